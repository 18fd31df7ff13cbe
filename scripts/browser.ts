import { chromium, type Browser } from '@playwright/test';
import config from '../playwright.config';

/** Debian's Chromium with the flags that the tests use. */
export function openBrowser(): Promise<Browser> {
	return chromium.launch(config.use?.launchOptions);
}
