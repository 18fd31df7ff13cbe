/** What a list costs. */
import type { PlanInputs } from '../../inputs/planInputs';
import type { DayList } from '../../list/inputs';
import { quoteBand, quoteOf, type Quote } from '../../list/quote';
import type { ItemPlan } from './items';

/** The quote of what can be made, at the shop's prices. */
export function quoteOfList(
	{ settings, bench }: Pick<PlanInputs, 'settings' | 'bench'>,
	list: Pick<DayList, 'items' | 'quote'>,
	plans: readonly ItemPlan[],
	/** Changes of parts and rests, s; and litres in a full bottle. */
	besides: { besidesS: number; bottleL: number; pitLimitUm: number }
): Quote & { band: [number, number] | null } {
	const { electrodePrice, nozzlePrice, pricePerKwh, bottlePrice } = settings;
	const pair =
		electrodePrice === null || nozzlePrice === null ? null : electrodePrice + nozzlePrice;
	const items = plans.map((plan) => {
		const { pieces } = list.items.find(({ id }) => id === plan.id)!;
		const kwh = (of: number) => (pricePerKwh === null ? null : pieces * of * pricePerKwh);
		const bottled =
			bottlePrice === null || besides.bottleL <= 0
				? null
				: (pieces * plan.pieceAirL * bottlePrice) / besides.bottleL;
		const handlingS = plan.arcs.reduce((sum, arc) => sum + arc.handlingS, 0);
		return {
			pieces,
			arcS: pieces * plan.pieceArcS,
			handlingS: pieces * handlingS,
			arcFactor: plan.arcFactor,
			parts: pair === null ? null : (pieces * plan.pieceUm * pair) / besides.pitLimitUm,
			power: kwh(plan.pieceKwh),
			air: bench.air.source === 'bottle' ? bottled : kwh(plan.pieceAirKwh),
			plateKg: pieces * plan.pieceKg
		};
	});
	const rates = { labourPerH: settings.labourPerH, besidesS: besides.besidesS };
	return {
		...quoteOf(items, list.quote, rates),
		band: quoteBand(items, list.quote, rates)
	};
}
