import { defineConfig } from '@playwright/test';
import { chromiumHere } from './scripts/ensure.js';

// Server and browser show the clock on the wall: the same wherever the tests run.
process.env.TZ = 'UTC';

/**
 * What a browser with a window does besides showing pages: most are what the test runner turns off itself (of
 * two such lists the browser takes the last); the two popups of its address bar are pages, and a process, of
 * their own in every context.
 */
const OFF = [
	'WebUIOmniboxPopup',
	'WebUIOmniboxAimPopup',
	'AimEnabled',
	'AvoidUnnecessaryBeforeUnloadCheckSync',
	'DestroyProfileOnBrowserClose',
	'HttpsUpgrades',
	'HttpsFirstBalancedModeAutoEnable',
	'LensOverlay',
	'MediaRouter',
	'NetworkTimeServiceQuerying',
	'OptimizationHints',
	'PaintHolding',
	'PreconnectToSearch',
	'ThirdPartyStoragePartitioning'
];

export default defineConfig({
	testDir: 'tests/e2e',
	// Each has a server of its own: a file of tests runs in one of them, in order.
	workers: 2,
	retries: 0,
	// No test measures speed: these only end one that hangs, on a machine that does much else besides.
	timeout: 300_000,
	expect: { timeout: 30_000 },
	use: {
		viewport: { width: 1280, height: 800 },
		reducedMotion: 'reduce',
		launchOptions: {
			executablePath: chromiumHere(),
			args: [
				'--no-sandbox',
				'--disable-gpu',
				// As a window shows letters; without it each is put on a whole pixel.
				'--font-render-hinting=none',
				'--disable-quic',
				'--no-first-run',
				'--disable-background-networking',
				'--disable-component-update',
				'--disable-sync',
				`--disable-features=${OFF.join()}`
			]
		}
	}
});
