/** The same groove made otherwise: deep or light, flat or steep, full amps or fewer; each planned for real. */
import type { Verdict } from '../figure/types';
import type { Gouge } from '../gouge/inputs';
import { PRECISE_A } from '../gouge/removal';
import { isSpot } from '../gouge/targets';
import { rankOf } from '../figure/verdict';
import type { PlanInputs } from '../inputs/planInputs';
import { inputsHash, plan } from '../plan/plan';

export const GROOVE_CHOICES = ['full', 'steep', 'held', 'light', 'precise'] as const;
export type GrooveChoiceId = (typeof GROOVE_CHOICES)[number];
/** The two schools of the angle. */
export const GROOVE_ANGLES = { full: 40, steep: 45 } as const;

export interface GrooveChoice {
	ids: GrooveChoiceId[];
	/** What it changes of the groove asked for. */
	change: Pick<Gouge, 'outputA' | 'way' | 'angleFromPlateDeg'>;
	outputA: number;
	/** null: it cannot be made so. */
	strings: number | null;
	pieceS: number | null;
	speedMmS: [number, number] | null;
	standsMm: number | null;
	heatKJm: number | null;
	verdict: Verdict;
	word: string;
	stopsAtS?: number;
}
export interface GrooveAnswer {
	inputsHash: string;
	choices: GrooveChoice[];
}

type Change = GrooveChoice['change'];
function choiceOf(inputs: PlanInputs, id: GrooveChoiceId, change: Change): GrooveChoice {
	const gouge = { ...inputs.cut.gouge, ...change };
	const { figures, stations } = plan(
		{ ...inputs, cut: { ...inputs.cut, gouge } },
		{ hashed: false }
	);
	const [slow, fast] = [figures['gouge.speedMmS'].value, figures['gouge.fastMmS'].value];
	const { verdict, word, stopsAtS } = stations.gouge;
	return {
		ids: [id],
		change,
		outputA: figures['gouge.currentA'].value!,
		strings: figures['gouge.strings'].value,
		pieceS: figures['gouge.pieceS'].value,
		speedMmS: slow === null || fast === null ? null : [slow, fast],
		standsMm: figures['gouge.standsMm'].value,
		heatKJm: figures['gouge.heatKJm'].value,
		verdict,
		word,
		...(stopsAtS === undefined ? {} : { stopsAtS })
	};
}

/** Amps are tried in so many steps down to the least. */
const STEPS = 12;

/** The most amps at which the supply surely carries it; undefined: none, or full amps do. */
function heldAt(inputs: PlanInputs, full: GrooveChoice): GrooveChoice | undefined {
	if (rankOf(full.verdict) <= rankOf('holds')) return undefined;
	const least = Math.ceil(inputs.bench.cutter.outputMinA);
	const step = Math.max(1, Math.round((full.outputA - least) / STEPS));
	for (let outputA = full.outputA - step; outputA >= least; outputA -= step) {
		const tried = choiceOf(inputs, 'held', { ...full.change, outputA });
		if (tried.verdict === 'holds') return tried;
	}
	return undefined;
}

/** The schools side by side; the same one under two names stands once. */
export function grooveChoices(inputs: PlanInputs): GrooveAnswer {
	const { gouge } = inputs.cut;
	const hash = inputsHash(inputs);
	if (!gouge.asked || isSpot(gouge.target)) return { inputsHash: hash, choices: [] };
	const full = choiceOf(inputs, 'full', {
		outputA: null,
		way: 'deep',
		angleFromPlateDeg: GROOVE_ANGLES.full
	});
	const steep = choiceOf(inputs, 'steep', {
		...full.change,
		angleFromPlateDeg: GROOVE_ANGLES.steep
	});
	const held = heldAt(inputs, full);
	const light = choiceOf(inputs, 'light', { ...full.change, way: 'light' });
	const precise =
		full.outputA > PRECISE_A && inputs.bench.cutter.outputMinA <= PRECISE_A
			? choiceOf(inputs, 'precise', { ...full.change, outputA: PRECISE_A })
			: undefined;
	const choices: GrooveChoice[] = [];
	for (const one of [full, steep, held, light, precise]) {
		if (!one) continue;
		const same = choices.find(
			({ change }) => JSON.stringify(change) === JSON.stringify(one.change)
		);
		if (same) same.ids.push(...one.ids);
		else choices.push(one);
	}
	return { inputsHash: hash, choices };
}
