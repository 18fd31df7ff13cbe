import type { CutView } from './workings';
import type { Check, Verdict } from '../figure/types';
import { CLEAN_AIMS, HAND_BAND_MM_S } from '../speed/speed';
import { surelySeversMm } from './workings';
import { verdictOf } from '../figure/verdict';
import { handMostMmS, handPace } from './heat';
import { PART_WORDS } from '../torch/assembly';
import { GAP_MOST_MM } from './guide';
import type { CUT_FIGURES } from './figures/guide';
import type { SETUP_FIGURES } from './figures/setup';
import type { TRAVEL_FIGURES } from './figures/travel';

/** A question asked of a figure of this room. */
type Asked = Check<
	keyof typeof CUT_FIGURES | keyof typeof SETUP_FIGURES | keyof typeof TRAVEL_FIGURES
>;

function setupChecks(w: CutView): Asked[] {
	const { cut } = w.inputs;
	const c = w.cutting;
	const t = c.arcMm;
	const clean = CLEAN_AIMS.includes(cut.aim);
	const limitMm = clean ? c.cleanMm : c.severMm;
	const severs = c.parts;
	const margin = (limitMm - t) / limitMm;
	// Past the clean rating it still parts: the edge suffers, the work does not stop. Where the sever limit
	// itself is not sure, it is tight.
	const unsure = t > surelySeversMm(c.severMm, c.severSpread);
	const thickness: Verdict = !severs ? 'stops' : margin < 0 || unsure ? 'tight' : verdictOf(margin);
	const checks: Asked[] = [
		{
			id: clean ? 'setup.cleanMm' : 'setup.severMm',
			station: 'setup',
			part: 'Thickness',
			verdict: thickness,
			margin: severs ? Math.max(0, margin) : margin,
			spare: { value: (severs ? limitMm : c.severMm) - t, quantity: 'thickness' },
			stopsAtS: severs ? undefined : 0,
			word: !severs ? 'too thick' : margin < 0 ? 'severs, not clean' : 'thickness'
		}
	];
	if (c.speedMmS !== null) {
		const mostMmS = handMostMmS(cut.guide);
		const pace = handPace(c.speedMmS, cut.guide);
		const tooSlow = pace === 'slow';
		const tooFast = pace === 'fast';
		const spare = tooSlow ? c.speedMmS - HAND_BAND_MM_S[0] : mostMmS - c.speedMmS;
		checks.push({
			id: 'setup.speedMmS',
			station: 'setup',
			part: 'Hand',
			verdict: tooSlow || tooFast ? 'tight' : 'holds',
			margin: tooSlow || tooFast ? 0 : Math.min(1, spare / mostMmS),
			spare: { value: spare, quantity: 'speed' },
			word: tooFast ? 'fast for a hand' : tooSlow ? 'slow for a hand' : 'hand'
		});
	}
	const fittedA = w.inputs.bench.torch.fittedA;
	const fit: Verdict =
		c.nozzleFits === 'too small' ? 'stops' : c.nozzleFits === 'fits' ? 'holds' : 'tight';
	checks.push({
		id: 'setup.nozzleA',
		station: 'setup',
		part: 'Nozzle',
		verdict: fit,
		margin: fit === 'stops' ? 1 - c.outputA / fittedA : fit === 'tight' ? 0 : 1,
		spare: { value: fittedA - c.outputA, quantity: 'current' },
		stopsAtS: fit === 'stops' ? 0 : undefined,
		word:
			fit === 'stops'
				? 'change the nozzle'
				: fit === 'holds'
					? 'nozzle'
					: c.nozzle.ratingA < fittedA
						? 'nozzle far too big'
						: 'no smaller nozzle'
	});
	const wrong = c.changes.find(({ part, need }) => part !== 'nozzle' && need === 'must');
	if (wrong) {
		checks.push({
			id: 'setup.currentA',
			station: 'setup',
			part: 'Parts',
			verdict: 'stops',
			margin: 0,
			spare: { value: 0, quantity: 'count' },
			stopsAtS: 0,
			word: `change the ${PART_WORDS[wrong.part]}`
		});
	}
	return checks;
}

function cutCheck(w: CutView): Asked {
	const c = w.cutting;
	const { cut } = w.inputs;
	const pierce = cut.start !== 'edge';
	const inside = c.startMethod === 'edge' || c.startMethod === 'drilled' || !c.parts;
	const limitMm = inside ? c.severMm : c.start.rolledMm;
	const margin = (limitMm - c.arcMm) / limitMm;
	const none = c.startMethod === 'none';
	const verdict: Verdict = none
		? 'stops'
		: c.startMethod === 'rolled' || (c.startMethod === 'hover' && c.arcMm > c.start.straightMm)
			? 'tight'
			: verdictOf(margin);
	const word = none
		? pierce && c.parts
			? 'edge start only'
			: 'too thick'
		: c.startMethod === 'rolled'
			? 'roll it in'
			: c.startMethod === 'hover'
				? 'hover'
				: 'start';
	return {
		id: inside ? 'cut.offsetMm' : 'cut.rolledPierceMm',
		station: 'cut',
		part: 'Start',
		verdict,
		margin: none ? margin : Math.max(0, margin),
		spare: { value: limitMm - c.arcMm, quantity: 'thickness' },
		stopsAtS: none ? 0 : undefined,
		word
	};
}

/** A tilted torch that stands on its rim further off than anyone cuts is not dragged. */
function bevelCheck(w: CutView): Asked[] {
	const { bevelDeg, guide } = w.inputs.cut;
	const c = w.cutting;
	if (bevelDeg === 0) return [];
	const margin = 1 - c.bevelGapMm / GAP_MOST_MM;
	const helped = guide === 'roller';
	return [
		{
			id: 'setup.standoffMm',
			station: 'cut',
			part: 'Bevel',
			verdict: helped ? 'holds' : verdictOf(margin),
			margin: helped ? 1 : margin,
			spare: { value: GAP_MOST_MM - c.bevelGapMm, quantity: 'small' },
			stopsAtS: margin < 0 && !helped ? 0 : undefined,
			word: margin < 0 ? 'tilted too far to drag' : 'bevel'
		}
	];
}

/** What is asked of the cut: thickness, hand, parts, start and bevel. */
export const cutChecks = (w: CutView): Asked[] => [
	...setupChecks(w),
	cutCheck(w),
	...bevelCheck(w)
];
