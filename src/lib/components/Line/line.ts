import { isSpot } from '$lib/core/gouge/targets';
import type { Cut, FigureId, Plan, Shown, Station, StationVerdict, Verdict } from '$lib/core';
import type { Workbench } from '$lib/state/workbench.svelte';

/** Pages that belong to a station. */
export const ROOM_OF: Partial<Record<string, Station>> = {
	beside: 'supply',
	chart: 'setup',
	template: 'cut',
	practice: 'cut',
	fault: 'checks'
};

/** What one station shows on the line: one or two figures, a word of context, and its state. */
export interface StationCell {
	station: Station;
	name: string;
	href: string;
	/** As many at any time, so that none comes or goes under a hand. A phone shows the last. */
	figures: Shown[];
	context: string;
	verdict: Verdict;
	/** "tight at 45 A", "stops 6:58". */
	word: string;
	/** The bare state for a phone: as short as "holds". */
	state: string;
}

const NAMES: Record<Station, string> = {
	supply: 'Supply',
	setup: 'Setup',
	cut: 'Cut',
	gouge: 'Gouge',
	wear: 'Wear',
	checks: 'Checks'
};

/** Where a figure would stand. */
const NONE: Shown = { text: '', unit: '' };
/** In its place, where the cut does not go through. */
const NO_CUT = 'no such cut';

/** What the distance of each guide is. */
const GUIDE_CONTEXT: Record<Cut['guide'], string> = {
	kept: 'guide offset',
	waste: 'guide offset',
	circle: 'radius',
	roller: 'beside it',
	freehand: 'beside it'
};

/** The state in words: the reason when there is one to tell. */
export function stateWord(s: StationVerdict, bench: Workbench): string {
	if (s.verdict === 'holds') return 'holds';
	if (s.verdict === 'not set') return s.word;
	if (s.verdict === 'stops' && s.stopsAtS)
		return `${s.part?.toLowerCase()} stops ${bench.say(s.stopsAtS, 'time').replace(' min', '')}`;
	return s.verdict === 'stops' ? s.word : `tight: ${s.word}`;
}

/** As many letters as a cell of the line shows at 1280 px. */
const CELL_LETTERS = 16;
/**
 * A long reason, or its time, stands alone in its cell: the mark before it shows the state, figures and page tell
 * of which part, and the rest is only read out.
 */
export function seenWord(word: string): { unseen: string; seen: string } {
	const [, unseen, seen] =
		(word.length > CELL_LETTERS && /^(tight: |\D+ (?=stops \d))(.+)$/.exec(word)) || [];
	return { unseen: unseen ?? '', seen: seen ?? word };
}

/** "45 A stops 6:58 · 40 A runs on": the amps chosen and, when they do not run on, those that do. */
export function runsOn(plan: Plan, bench: Workbench): { figure: Shown; context: string } {
	const held = plan.checks.some(
		({ station, part, verdict }) => station === 'supply' && part === 'Checks' && verdict === 'stops'
	);
	const most = plan.figures['supply.runsOnA'].value;
	const chosen = plan.figures['setup.currentA'].value!;
	// What somebody found wrong at the machine comes before what the figures say.
	if (held)
		return {
			figure: bench.show(plan.figures['setup.currentA'].value, 'current'),
			context: 'held up'
		};
	if (plan.figures['air.shortAtS'].value !== null) {
		return { figure: bench.show(chosen, 'current'), context: 'air falls short' };
	}
	if (most === null) return { figure: bench.show(chosen, 'current'), context: 'none surely runs' };
	return {
		figure: bench.show(most, 'current'),
		context: most < chosen ? 'surely runs on' : 'runs here'
	};
}

/** Gouge and wear are counted in words of their own. */
function counted(
	bench: Workbench,
	id: 'gouge.strings' | 'wear.cutsLeft',
	one: string,
	many: string
): Shown {
	const { value } = bench.plan.figures[id];
	return { text: bench.show(value, 'count').text, unit: value === 1 ? one : many };
}

/** What is left of the part that goes first: told where no such cut can be counted. */
export const lifeOfFirst = ({ checks }: Plan): FigureId =>
	checks.some(({ station, part }) => station === 'wear' && part === 'Nozzle')
		? 'wear.nozzleShare'
		: 'wear.electrodeShare';

/** Ticked of how many; signed off as long as cut and bench are those that were signed. */
function checksCell(bench: Workbench): Pick<StationCell, 'figures' | 'context'> & {
	signed: string | null;
} {
	const { ticked } = bench;
	if (!ticked || ticked.search !== bench.search)
		return {
			figures: [NONE],
			context: ticked ? 'plan changed' : 'before the arc',
			signed: null
		};
	return {
		figures: [{ text: String(ticked.ticked), unit: `of ${ticked.of}` }],
		context: 'ticked',
		signed: ticked.signedAt
	};
}

export function stationCells(bench: Workbench): StationCell[] {
	const { plan } = bench;
	const supply = runsOn(plan, bench);
	const { signed, ...checks } = checksCell(bench);
	const content: Record<Station, Pick<StationCell, 'figures' | 'context'>> = {
		supply: { figures: [supply.figure], context: supply.context },
		setup: {
			figures:
				plan.figures['setup.speedMmS'].value === null
					? [NONE, bench.showFigure('setup.currentA')]
					: [bench.showFigure('setup.currentA'), bench.showFigure('setup.speedMmS')],
			context: ''
		},
		cut: {
			figures: [
				plan.figures['cut.offsetMm'].value === null ? NONE : bench.showFigure('cut.offsetMm')
			],
			context: plan.figures['cut.offsetMm'].value === null ? NO_CUT : GUIDE_CONTEXT[bench.cut.guide]
		},
		gouge: {
			figures:
				plan.figures['gouge.strings'].value === null
					? [NONE]
					: isSpot(bench.cut.gouge.target)
						? [bench.showFigure('gouge.stringS')]
						: [counted(bench, 'gouge.strings', 'string', 'strings')],
			context: !bench.cut.gouge.asked
				? 'none asked for'
				: plan.figures['gouge.strings'].value === null
					? 'not as asked'
					: isSpot(bench.cut.gouge.target)
						? 'each'
						: bench.sayFigure('gouge.pieceS')
		},
		wear: {
			figures: [
				plan.figures['wear.cutsLeft'].value === null
					? bench.showFigure(lifeOfFirst(plan))
					: counted(bench, 'wear.cutsLeft', 'cut', 'cuts')
			],
			context: 'left'
		},
		checks
	};
	return (Object.keys(NAMES) as Station[]).map((station) => {
		const s = plan.stations[station];
		// Signed off is a person's word; what was found wrong outranks it.
		const looked = station === 'checks' && s.verdict === 'not set';
		const verdict = looked && signed ? 'holds' : s.verdict;
		return {
			station,
			name: NAMES[station],
			href: `/${station}?${bench.search}`,
			...content[station],
			verdict,
			word: looked ? (signed ? `signed ${signed}` : 'to tick') : stateWord(s, bench),
			state: looked ? (signed ? 'signed' : 'to do') : verdict === 'not set' ? 'to set' : verdict
		};
	});
}
