/** Times and masses behind the lines of a quote, as a pencil would add them. */
import type { DayList } from '../../list/inputs';
import type { WholeStudy } from './book';

export interface Behind {
	pieces: number;
	/** Seconds of all pieces that are paid, rejects included. */
	arcS: number;
	handlingS: number;
	finishingS: number;
	setUpS: number;
	/** Changes of parts and rests. */
	besidesS: number;
	kwh: number;
	airL: number;
	plateKg: number;
	starts: number;
	/** Pit of the electrode, mm. */
	pitMm: number;
	/** Of the compressor; 0: bottles, or built in. */
	airKwh: number;
}

export function behind(list: DayList, study: WholeStudy): Behind {
	const made = 1 / (1 - list.quote.rejectShare);
	const run = study.run && !('trouble' in study.run) ? study.run : null;
	const sum = (of: (plan: WholeStudy['plans'][number]) => number) =>
		made *
		study.plans.reduce(
			(total, plan) =>
				total + of(plan) * (list.items.find(({ id }) => id === plan.id)?.pieces ?? 0),
			0
		);
	return {
		pieces: sum(() => 1),
		arcS: sum(({ pieceArcS }) => pieceArcS),
		handlingS: sum(({ arcs }) => arcs.reduce((total, arc) => total + arc.handlingS, 0)),
		finishingS: sum(() => list.quote.finishingS),
		setUpS: 60 * list.quote.setUpMin,
		besidesS: run ? run.restS + run.changes * list.changeS : 0,
		kwh: sum(({ pieceKwh }) => pieceKwh),
		airL: sum(({ pieceAirL }) => pieceAirL),
		plateKg: sum(({ pieceKg }) => pieceKg),
		starts: sum(({ arcs }) => arcs.length),
		pitMm: sum(({ pieceUm }) => pieceUm / 1000),
		airKwh: sum(({ pieceAirKwh }) => pieceAirKwh)
	};
}
