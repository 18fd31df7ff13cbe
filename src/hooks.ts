import type { Transport } from '@sveltejs/kit';
import { SentChart } from '$lib/state/sent';

export const transport: Transport = {
	SentChart: {
		encode: (value) => value instanceof SentChart && value.packed(),
		decode: (packed: ReturnType<SentChart['packed']>) => new SentChart(...packed)
	}
};
