import { openedCard } from '$lib/state/opened';
import type { PageLoad } from './$types';

export const load: PageLoad = async ({ data }) => ({
	...data,
	cards: await Promise.all(
		data.cards.map(async (card) => ({ ...card, workbench: await openedCard(card.workbench) }))
	)
});
