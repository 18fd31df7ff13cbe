import { error, redirect, type Cookies } from '@sveltejs/kit';
import {
	MODEL_VERSION,
	plan,
	NAMES,
	say,
	type FigureId,
	type PlanInputs,
	type UnitSystem
} from '$lib/core';
import { spokenPlan } from '$lib/core/plan/said';
import { dayOf } from '$lib/formats/days';
import { cutFromSearch } from '$lib/formats/readSearch';
import { SentChart, SentPlan, type SentWorkbench } from '$lib/state/sent';
import type { CardWhat, FoundCard } from './cards';
import { benchOf, workbenchData } from './pageData';
import { requestedInputs } from './planning';
import type { Store } from './store';

/** What differs between a card as it was saved and the same cut planned today. */
const COMPARED: Record<CardWhat, readonly FigureId[]> = {
	cut: ['setup.currentA', 'setup.speedMmS', 'setup.nozzleA'],
	groove: ['gouge.currentA', 'gouge.strings', 'gouge.pieceS']
};

export interface CardData {
	workbench: SentWorkbench & Pick<PlanInputs, 'cut' | 'work'> & { spoken: SentPlan };
	/** "2026-11-25": when it was planned. */
	day: string;
	saved: null | {
		id: string;
		name: string;
		what: CardWhat;
		/** The numbers are those of that day; false: its program did not keep them. */
		kept: boolean;
		/** "Travel: 22 mm/s then, 23 mm/s today". */
		moved: string[];
		modelVersion: string;
		modelToday: string;
	};
}

/** A saved card with its own numbers, and what today's model and evidence say of the same cut. */
export function savedCardData(store: Store, found: FoundCard, units: UnitSystem): CardData {
	const { card, inputs, plan: kept } = found;
	const stored = store.benches.find(card.benchId)!;
	const { chart } = inputs;
	const spoken = spokenPlan(inputs);
	const workbench = {
		...workbenchData(store, stored, units),
		...inputs,
		// A card keeps its own chart; it is on no other address.
		chart: chart && new SentChart(null, chart.hash, chart.rows),
		kept,
		spoken: SentPlan.of(spoken)
	};
	const { cut, work } = inputs;
	const now = plan(requestedInputs(store, { benchId: card.benchId, cut, work })).figures;
	const then = kept?.figures ?? spoken.figures;
	const told = (id: FigureId, value: number | null) =>
		value === null ? '–' : say(value, { quantity: NAMES[id].quantity, units, gauge: 'steel' });
	const moved = COMPARED[card.what].flatMap((id) => {
		const [before, today] = [told(id, then[id]?.value ?? null), told(id, now[id].value)];
		return before === today ? [] : [`${NAMES[id].label}: ${before} then, ${today} today`];
	});
	return {
		workbench,
		day: dayOf(new Date(card.savedAt)),
		saved: {
			id: card.id,
			name: card.name,
			what: card.what,
			kept: kept !== null,
			moved,
			modelVersion: card.modelVersion,
			modelToday: MODEL_VERSION
		}
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
		return savedCardData(store, found, units);
	}
	const stored = benchOf(store, url, cookies);
	if (!stored) redirect(303, '/start');
	const asked = cutFromSearch(url.searchParams, stored.bench.usual);
	const inputs = requestedInputs(store, { benchId: stored.id, ...asked });
	return {
		workbench: {
			...workbenchData(store, stored, units),
			...asked,
			spoken: SentPlan.of(spokenPlan(inputs))
		},
		day: dayOf(new Date()),
		saved: null
	};
}
