import type { Verdict } from '$lib/core';

export const VERDICT_INK: Record<Verdict, string> = {
	holds: 'var(--holds)',
	tight: 'var(--tight-ink)',
	stops: 'var(--stops)',
	'not set': 'var(--ink2)'
};
