import { error, redirect, type Cookies } from '@sveltejs/kit';
import { plan, REGISTRY, say, type FigureId, type PlanInputs, type UnitSystem } from '$lib/core';
import type { WorkbenchData } from '$lib/state/workbench.svelte';
import type { SavedCard } from './cards';
import { benchOf, workbenchData } from './pageData';
import { requestedInputs } from './planning';
import type { Store } from './store';

/** What differs between a card as it was saved and the same cut planned today. */
const COMPARED: readonly FigureId[] = ['setup.currentA', 'setup.speedMmS', 'setup.nozzleA'];

export interface CardData {
	workbench: WorkbenchData;
	/** "2026-11-25": when it was planned. */
	day: string;
	saved: null | {
		id: string;
		name: string;
		/** "Travel: 22 mm/s then, 23 mm/s today". */
		moved: string[];
		modelVersion: string;
	};
}

/** A saved card with everything it was planned from, not what the bench knows today. */
export function savedCardData(
	store: Store,
	card: SavedCard,
	inputs: PlanInputs,
	units: UnitSystem
): CardData {
	const stored = store.benches.find(card.benchId)!;
	const search = new URLSearchParams(card.search);
	const workbench = { ...workbenchData(store, stored, search, units), ...inputs };
	const { cut, work } = inputs;
	const now = plan(requestedInputs(store, { benchId: card.benchId, cut, work })).figures;
	const then = plan(inputs).figures;
	const told = (id: FigureId, value: number | null) =>
		value === null ? '–' : say(value, { quantity: REGISTRY[id].quantity, units, gauge: 'steel' });
	const moved = COMPARED.flatMap((id) => {
		const [before, today] = [told(id, then[id].value), told(id, now[id].value)];
		return before === today ? [] : [`${REGISTRY[id].label}: ${before} then, ${today} today`];
	});
	return {
		workbench,
		day: card.savedAt.slice(0, 10),
		saved: { id: card.id, name: card.name, moved, modelVersion: card.modelVersion }
	};
}

/** The card that an address asks for: a saved one as it was, else the cut planned now. */
export function cardData(
	store: Store,
	{ url, cookies, units }: { url: URL; cookies: Cookies; units: UnitSystem }
): CardData {
	const id = url.searchParams.get('saved');
	if (id !== null) {
		const found = store.cards.find(id);
		if (!found) error(404, `There is no card "${id.slice(0, 64)}" on any shelf.`);
		return savedCardData(store, found.card, found.inputs, units);
	}
	const stored = benchOf(store, url, cookies);
	if (!stored) redirect(303, '/start');
	return {
		workbench: workbenchData(store, stored, url.searchParams, units),
		day: new Date().toISOString().slice(0, 10),
		saved: null
	};
}
