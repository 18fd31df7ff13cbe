import { METALS } from '$lib/core';
import { inSheet } from '$lib/components/Words/sheet';
import { CLEAN_AIMS, LAG_WINDOW_DEG, type SparkSchool } from '$lib/core/speed/speed';
import type { Workbench } from '$lib/state/workbench.svelte';

export const AIM_WORDS = {
	clean: 'clean edge',
	sever: 'just sever',
	fastest: 'fastest',
	cheapest: 'least part cost',
	easiest: 'easy on the hand'
} as const;

/** "6 mm mild steel, clean edge" */
export function cutTitle(bench: Workbench, cut = bench.cut): string {
	const { thicknessMm, metal, aim, layers, bevelDeg } = cut;
	const stack = layers > 1 ? `${layers} × ` : '';
	const bevel = bevelDeg > 0 ? `, ${bench.say(bevelDeg, 'angle')} bevel` : '';
	return `${stack}${bench.say(thicknessMm, 'thickness')} ${METALS[metal].label.toLowerCase()}, ${AIM_WORDS[aim]}${bevel}`;
}

export function standoffWord(bench: Workbench): { value: string; note: string } {
	const { standoff } = bench.plan.choices;
	if (standoff === 'drag') return { value: 'Drag', note: 'shield rests' };
	if (standoff === 'guide')
		return { value: bench.sayFigure('setup.standoffMm'), note: 'stand-off guide or rollers' };
	if (standoff === 'touch') return { value: 'Touch', note: 'bare nozzle, low amps' };
	return { value: bench.sayFigure('setup.standoffMm'), note: 'nozzle to plate' };
}

export function startWord(bench: Workbench): { value: string; note: string } {
	const { startMethod } = bench.plan.choices;
	const straight = bench.sayFigure('cut.straightPierceMm');
	const rolled = bench.sayFigure('cut.rolledPierceMm');
	const note = `pierce ${straight}, rolled ${rolled}`;
	if (startMethod === 'edge') return { value: 'Edge', note };
	if (startMethod === 'pierce') return { value: 'Pierce', note };
	if (startMethod === 'rolled') return { value: 'Roll in', note };
	if (startMethod === 'hover') return { value: 'Hover', note };
	if (startMethod === 'drilled') return { value: 'Drill', note: 'start in a drilled hole' };
	const parts = bench.plan.figures['setup.speedMmS'].value !== null;
	return { value: 'None', note: parts ? 'edge start only' : 'too thick' };
}

/** Where the sparks go when it is right, by the shop's school. */
export function sparkWindow(sparks: SparkSchool): string {
	const [least, most] = LAG_WINDOW_DEG[sparks];
	return sparks === 'trailing'
		? `sparks ${least}–${most}° behind`
		: `sparks near straight down, ${most}° at most`;
}

/** Air on the card: at the inlet while flowing, and what the torch works at. */
export function airWord(bench: Workbench): { value: string; note: string } {
	const { cutter } = bench.bench;
	if (bench.plan.choices.flow === 'built-in') return { value: 'Own', note: 'built-in compressor' };
	const works = bench.plan.figures['setup.workingBar'].value;
	const note =
		cutter.regulator === 'none'
			? 'inlet, flowing'
			: works === null
				? 'inlet; sets its own'
				: `inlet; works at ${bench.say(works, 'pressure')}`;
	return { value: bench.sayFigure('setup.airBar'), note };
}

/** For the card of a cut; while a hand moves, of the plan and cut where it last rested. */
export function dosAndDonts(
	bench: Workbench,
	plan = bench.plan,
	cut = bench.cut
): { dos: string[]; donts: string[] } {
	const { settings } = bench;
	const dos = [
		'Power off before you touch it',
		`Shade ${bench.sayFigure('setup.shade', plan)}, gloves, sleeves, ears`
	];
	const parts = plan.figures['setup.speedMmS'].value !== null;
	if (!parts) return { dos, donts: ['Fire the pilot arc into the air'] };
	const sheet = inSheet(plan);
	dos.push(
		!CLEAN_AIMS.includes(cut.aim)
			? 'Go as fast as it still parts'
			: sheet
				? 'Go by the edge: sparks tell nothing in sheet'
				: `Watch: ${sparkWindow(settings.sparks)}`
	);
	const donts = ['Fire the pilot arc into the air'];
	if (plan.choices.startMethod === 'rolled') donts.push('Pierce straight down: roll it in');
	if (
		plan.choices.startMethod === 'edge' &&
		cut.thicknessMm > (plan.figures['cut.straightPierceMm'].value ?? 0)
	) {
		donts.push('Pierce straight down');
	}
	if (plan.choices.standoff === 'gap') donts.push('Touch the plate with the nozzle');
	donts.push('Crawl to be safe: it leaves dross');
	return { dos, donts: donts.slice(0, 3) };
}

/** Where the guide goes, for the card. */
export function guideLine(bench: Workbench): string {
	const { guide, circleOf, circleMm } = bench.cut;
	if (bench.plan.figures['cut.offsetMm'].value === null) return 'no guide: it does not go through';
	const distance = bench.sayFigure('cut.offsetMm');
	if (guide === 'circle') {
		return `${circleOf} of ${bench.saySide(circleMm)}: pivot to torch centre ${distance}`;
	}
	if (guide === 'kept' || guide === 'waste') {
		return `straight edge ${distance} off, on the ${guide === 'kept' ? 'part' : 'waste'}`;
	}
	return `torch centre ${distance} beside the line`;
}
