/** Cards on the shelf. */
import type { Workbench } from './workbench.svelte';
import { lookAgain, write } from './write';

/** Puts the planned cut, or the planned groove, on the shelf, with everything it was planned from. */
export async function saveCard(
	bench: Workbench,
	name: string,
	what: 'cut' | 'groove'
): Promise<boolean> {
	const { search, benchId } = bench;
	const result = await write<{ id: string; revision: number }>(
		bench,
		{
			method: 'POST',
			path: '/api/cards',
			body: { benchId, name, what, search },
			words: `Card ${name}`
		},
		'Not on the shelf yet: the card is kept on this device and sent when the server answers.'
	);
	if (result.outcome === 'refused') return false;
	if (result.outcome !== 'done') return true;
	const card = { id: result.data.id, name, what, search, revision: result.data.revision };
	bench.cards = [...bench.cards, card];
	bench.revised({ cards: bench.revisions.cards + 1 });
	const undo = () => void shelveCard(bench, card, false, true);
	bench.notice = { kind: 'done', text: `${name} is on the shelf.`, undo };
	return true;
}

/** Takes a card off the shelf, or puts it back; `takesBack`: as the way back of the other. */
export async function shelveCard(
	bench: Workbench,
	card: Workbench['cards'][number],
	onShelf: boolean,
	takesBack = false
): Promise<void> {
	const words = `${card.name} ${onShelf ? 'back on' : 'off'} the shelf`;
	const result = await write<{ revision: number }>(
		bench,
		{
			method: 'PUT',
			path: `/api/cards/${card.id}`,
			body: { onShelf, revision: card.revision },
			words
		},
		`${words}: not done yet, kept on this device and sent when the server answers.`
	);
	if (result.outcome !== 'done') return lookAgain(bench, result);
	const now = { ...card, revision: result.data.revision };
	const others = bench.cards.filter((one) => one.id !== card.id);
	bench.cards = onShelf ? [...others, now] : others;
	bench.revised({ cards: bench.revisions.cards + 1 });
	const text = `${card.name} is ${onShelf ? 'back on' : 'off'} the shelf.`;
	const other = () => void shelveCard(bench, now, !onShelf, !takesBack);
	bench.notice = { kind: 'done', text, ...(takesBack ? { redo: other } : { undo: other }) };
}
