import { tick } from 'svelte';

/**
 * After a change was taken: the field shows the value as the shop says it. Where that is the text it
 * showed before ("1/4 in" typed over "6.4 mm"), nothing else would put it back.
 */
export function showAgain(input: HTMLInputElement, text: () => string): void {
	void tick().then(() => (input.value = text()));
}
