import { defineConfig } from '@playwright/test';

// Server and browser show the clock on the wall: the same wherever the tests run.
process.env.TZ = 'UTC';

export default defineConfig({
	testDir: 'tests/e2e',
	// Each has a server of its own: a file of tests runs in one of them, in order.
	workers: 2,
	retries: 0,
	timeout: 120_000,
	expect: { timeout: 10_000 },
	use: {
		viewport: { width: 1280, height: 800 },
		reducedMotion: 'reduce',
		launchOptions: {
			executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
			args: [
				'--no-sandbox',
				'--disable-gpu',
				'--disable-quic',
				'--no-first-run',
				'--disable-background-networking',
				'--disable-component-update',
				'--disable-sync'
			]
		}
	}
});
