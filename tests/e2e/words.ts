import type { Page } from '@playwright/test';

/** Said once, and not understood by those who tried the program for the first time. */
const NOT_UNDERSTOOD = [
	/^Match$|Match,/m,
	/^Mine$/m,
	/^Circuit$/m,
	/\+ One plate/,
	/What stands there/,
	/Schools of this shop/,
	/tight: water\b/,
	/eight times in ten/,
	/^Take it\b/m,
	/^As it was$/m,
	/touchiest|laziest/i,
	/Lamp lights after/,
	/Of the electrode\b/,
	/starts a life/,
	/gone astray/,
	/arc at the ring/,
	/Slow down to be safe/,
	// A length in inches, and then the word.
	/\bin in\b/
];
/** What no page says to who works in inches. */
export const METRIC_WORDS = [
	/\b(?:a|per|each) (?:metre|kilogram|litre)\b/,
	/\d (?:mm\/s|bar|kg)\b/
];
/** Choices whose words say it alone. */
const PLAIN = ['Units', 'Theme', 'Currency', 'Words or keys'];

/** Of an open page, folded steps included: words that were not understood, and choices without a line of help. */
export async function unclear(page: Page, besides: readonly RegExp[] = []): Promise<string[]> {
	await page.evaluate(() => {
		for (const fold of document.querySelectorAll('details')) fold.open = true;
	});
	await page.waitForLoadState('networkidle');
	const text = await page.locator('body').innerText();
	const unexplained = await page.locator('[role=radiogroup][aria-label]').evaluateAll(
		(groups, plain) =>
			groups
				.filter((group) => group.querySelector(':checked'))
				.filter((group) => !group.parentElement!.querySelector('[data-testid="help"]'))
				.map((group) => group.getAttribute('aria-label')!)
				.filter((name) => !plain.includes(name)),
		PLAIN
	);
	return [
		...[...NOT_UNDERSTOOD, ...besides]
			.filter((words) => words.test(text))
			.map((words) => `says ${words}`),
		...unexplained.map((name) => `no line of help: ${name}`)
	];
}
