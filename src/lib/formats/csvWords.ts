/** What a header and a metal are called in other people's tables. */
import type { MetalId } from '$lib/core';

const METAL_WORDS: [RegExp, MetalId][] = [
	[/galv/, 'galvanized'],
	[/stainless|inox|^ss$|^s\/s$/, 'stainless'],
	[/alum|^al$|^alu$/, 'aluminium'],
	[/cast/, 'cast-iron'],
	[/titan|^ti$/, 'titanium'],
	[/copper|^cu$/, 'copper'],
	[/brass/, 'brass'],
	[/steel|^ms$|^cs$|carbon|mild/, 'mild-steel']
];

export function metalOf(text: string): MetalId | undefined {
	const plain = text.trim().toLowerCase();
	return METAL_WORDS.find(([words]) => words.test(plain))?.[1];
}

/** "Speed (in/min)", "thickness_mm", "Amps [A]": words and unit. */
export function headerParts(header: string): { words: string; unit: string } {
	const plain = header.trim().toLowerCase().replace(/\s+/g, ' ');
	const bracket = /^(.*?)[([]\s*([^)\]]+?)\s*[)\]]\s*$/.exec(plain);
	if (bracket) return { words: bracket[1]!.trim(), unit: bracket[2]! };
	const tail =
		/^(.*?)[ _,]+(mm\/s|mm\/min|m\/min|in\/min|ipm|mm|in|inch|psi|bar|kpa|amps?|a|s|sec)$/.exec(
			plain
		);
	return tail ? { words: tail[1]!, unit: tail[2]! } : { words: plain, unit: '' };
}
