import { handMostMmS } from '../cut/heat';
import { CLEAN_AIMS, HAND_BAND_MM_S } from '../cutter/speed';
import { PART_WORDS } from '../torch/assembly';
import { supplyChecks } from './supplyChecks';
import type { Check, Verdict } from './types';
import { verdictOf } from './verdict';
import type { Workings } from './workings';

function setupChecks(w: Workings): Check[] {
	const { cut } = w.inputs;
	const c = w.cutting;
	const t = c.arcMm;
	const clean = CLEAN_AIMS.includes(cut.aim);
	const limitMm = clean ? c.cleanMm : c.severMm;
	const severs = t <= c.severMm;
	const margin = (limitMm - t) / limitMm;
	// Past the clean rating it still parts: the edge suffers, the work does not stop.
	const thickness: Verdict = !severs ? 'stops' : margin < 0 ? 'tight' : verdictOf(margin);
	const checks: Check[] = [
		{
			id: clean ? 'setup.cleanMm' : 'setup.severMm',
			station: 'setup',
			part: 'Thickness',
			verdict: thickness,
			margin: severs ? Math.max(0, margin) : margin,
			spare: { value: limitMm - t, quantity: 'thickness' },
			stopsAtS: severs ? undefined : 0,
			word: !severs ? 'too thick' : margin < 0 ? 'severs, not clean' : 'thickness'
		}
	];
	if (c.speedMmS > 0) {
		const mostMmS = handMostMmS(cut.guide);
		const tooSlow = c.speedMmS < HAND_BAND_MM_S[0];
		const tooFast = c.speedMmS > mostMmS;
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
		word: fit === 'stops' ? 'change the nozzle' : fit === 'tight' ? 'nozzle far too big' : 'nozzle'
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

function cutCheck(w: Workings): Check {
	const c = w.cutting;
	const { cut } = w.inputs;
	const pierce = cut.start !== 'edge';
	const limitMm = pierce ? c.start.rolledMm : c.severMm;
	const margin = (limitMm - c.arcMm) / limitMm;
	const none = c.startMethod === 'none';
	const verdict: Verdict = none
		? 'stops'
		: c.startMethod === 'rolled' || (c.startMethod === 'hover' && c.arcMm > c.start.straightMm)
			? 'tight'
			: verdictOf(margin);
	const word = none
		? pierce && c.arcMm <= c.severMm
			? 'edge start only'
			: 'no start goes through'
		: c.startMethod === 'rolled'
			? 'roll it in'
			: c.startMethod === 'hover'
				? 'hover'
				: 'start';
	return {
		id: pierce ? 'cut.rolledPierceMm' : 'cut.offsetMm',
		station: 'cut',
		part: 'Start',
		verdict,
		margin: none ? margin : Math.max(0, margin),
		spare: { value: limitMm - c.arcMm, quantity: 'thickness' },
		stopsAtS: none ? 0 : undefined,
		word
	};
}

function gougeCheck(w: Workings): Check {
	const { speedMmS, hasNozzle } = w.gouging;
	const [slow, fast] = HAND_BAND_MM_S;
	const inside = speedMmS >= slow && speedMmS <= fast;
	return {
		id: 'gouge.speedMmS',
		station: 'gouge',
		part: 'Gouge',
		verdict: !hasNozzle ? 'not set' : inside ? 'holds' : 'tight',
		margin: inside && hasNozzle ? Math.min(speedMmS - slow, fast - speedMmS) / (fast - slow) : 0,
		spare: { value: Math.min(speedMmS - slow, fast - speedMmS), quantity: 'speed' },
		word: !hasNozzle
			? 'no gouging nozzle'
			: speedMmS > fast
				? 'fast for a hand'
				: inside
					? 'gouge'
					: 'slow for a hand'
	};
}

function wearCheck(w: Workings): Check {
	const { lifeShare, cutsLeft } = w.wearing;
	const worn = cutsLeft < 1;
	return {
		id: 'wear.cutsLeft',
		station: 'wear',
		part: 'Electrode',
		verdict: worn ? 'stops' : verdictOf(lifeShare),
		margin: worn ? Math.min(0, lifeShare) : lifeShare,
		spare: { value: cutsLeft, quantity: 'count' },
		stopsAtS: worn ? 0 : undefined,
		word: worn ? 'change the electrode' : 'electrode'
	};
}

/** Every question asked of bench and cut, in the order of the work. */
export function checksOf(w: Workings): Check[] {
	return [...supplyChecks(w), ...setupChecks(w), cutCheck(w), gougeCheck(w), wearCheck(w)];
}
