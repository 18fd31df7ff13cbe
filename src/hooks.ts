import type { Transport } from '@sveltejs/kit';
import { SentChart, SentPlan } from '$lib/state/sent';

export const transport: Transport = {
	SentChart: {
		encode: (value) => value instanceof SentChart && value.packed(),
		decode: (packed: ReturnType<SentChart['packed']>) => new SentChart(...packed)
	},
	SentPlan: {
		encode: (value) => value instanceof SentPlan && value.packed,
		decode: (packed: SentPlan['packed']) => new SentPlan(packed)
	}
};
