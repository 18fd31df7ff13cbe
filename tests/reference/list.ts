import { partsOfList } from '../../src/lib/core/list/eats';
import { QuoteAskSchema, type QuoteAsk } from '../../src/lib/core/list/inputs';
import { layoutOf } from '../../src/lib/core/list/layout';
import { orderOf } from '../../src/lib/core/list/order';
import { quoteOf } from '../../src/lib/core/list/quote';
import { placePauses, runList, type ListArc, type ListShop } from '../../src/lib/core/session/list';
import * as v from 'valibot';
import type { Compute } from './compute';

interface OrderCase {
	items: {
		id: string;
		set: string;
		piece: string;
		handling_s: number;
		arc_s: Record<string, number>;
		cool_s: number;
	}[];
	benches: { id: string; set_in_torch: string }[];
	before?: [string, string][];
	changeover_s: Record<string, Record<string, number>>;
}
const order: Compute = (inputs) => {
	const { items, benches, before, changeover_s } = inputs as unknown as OrderCase;
	const found = orderOf({
		items: items.map((item) => ({
			id: item.id,
			set: item.set,
			piece: item.piece,
			handlingS: item.handling_s,
			arcS: item.arc_s,
			coolS: item.cool_s
		})),
		benches: benches.map(({ id, set_in_torch }) => ({ id, setInTorch: set_in_torch })),
		before: before ?? [],
		changeS: (from, to) => changeover_s[from]![to]!
	});
	if ('trouble' in found) return { ring: found.items.toSorted().join(' ') };
	const { soonest, fewest, boundS } = found;
	return {
		makespan_s: soonest.endS,
		changeovers_at_makespan: soonest.changes,
		fewest_changeovers: fewest.changes,
		makespan_at_fewest_changeovers_s: fewest.endS,
		within_5_percent_of_bound: soonest.endS,
		within_2_percent_of_best_found: soonest.endS,
		bound_s: boundS
	};
};

interface SessionCase {
	tank: {
		volume_l: number;
		cut_in_bar: number;
		cut_out_bar: number;
		start_bar: number;
		delivery: [{ flow_lpm: number; at_bar: number }, { flow_lpm: number; at_bar: number }];
		needed_bar: number;
	};
	breaker: {
		rating_a: number;
		trip_heat_earliest: number;
		tau_s: number;
		idle_a: number;
		compressor_a: number;
		start_heat: number;
	};
	cutter_heat: { ambient_c: number; tau_s: number; limit_c: number; start_c: number };
	items: {
		handling_s: number;
		arc_s: number;
		post_flow_s: number;
		air_lpm: number;
		input_a: number;
		heat_rise_k: number;
	}[];
}
const session: Compute = (inputs) => {
	const { tank, breaker: b, cutter_heat: h, items } = inputs as unknown as SessionCase;
	const [p, q] = tank.delivery;
	const slopeLpmBar = (q.flow_lpm - p.flow_lpm) / (q.at_bar - p.at_bar);
	const atZeroLpm = p.flow_lpm - slopeLpmBar * p.at_bar;
	const shop: ListShop = {
		tank: {
			line: [{ toBar: Infinity, atZeroLpm, slopeLpmBar }],
			cutInBar: tank.cut_in_bar,
			cutOutBar: tank.cut_out_bar,
			volumeL: tank.volume_l,
			startBar: tank.start_bar,
			leakLpm: 0
		},
		nodes: [
			{ tauS: b.tau_s, start: b.start_heat, limit: b.trip_heat_earliest },
			{ tauS: h.tau_s, start: h.start_c, limit: h.limit_c }
		]
	};
	const heat = (amps: number) => (amps / b.rating_a) ** 2;
	const arcs = items.map((item): ListArc => {
		const hot = h.ambient_c + item.heat_rise_k;
		return {
			handlingS: item.handling_s,
			arcS: item.arc_s,
			postS: item.post_flow_s,
			useLpm: item.air_lpm,
			neededBar: tank.needed_bar,
			targets: [
				[
					heat(b.idle_a),
					heat(b.idle_a + b.compressor_a),
					heat(item.input_a),
					heat(item.input_a + b.compressor_a)
				],
				[h.ambient_c, h.ambient_c, hot, hot]
			]
		};
	});
	const runs = runList(shop, arcs);
	const stop = runs.flatMap(({ stops }) => stops ?? []).sort((x, y) => x.atS - y.atS)[0];
	const { after } = runs.at(-1)!;
	const plan = placePauses(shop, arcs);
	const pausedS = plan.ok ? plan.pausedS : Infinity;
	return {
		lowest_bar: Math.min(...runs.map(({ lowestBar }) => lowestBar!)),
		peak_breaker_heat: Math.max(...runs.map(({ peaks }) => peaks[0]!)),
		peak_hot_spot_c: Math.max(...runs.map(({ peaks }) => peaks[1]!)),
		first_limit: stop
			? stop.because === 'air'
				? 'air'
				: ['breaker', 'heat'][stop.because]!
			: 'none',
		first_limit_at_s: stop?.atS ?? 'never',
		end_s: after.timeS,
		end_bar: after.bar,
		pauses_at_least_s: pausedS,
		pauses_at_most_s: pausedS
	};
};

type Numbers = Record<string, number>;
/** Parts, power and air by the case's own figures: they are the core's elsewhere, here only the sum is asked. */
const quote: Compute = (inputs) => {
	const i = inputs as unknown as Numbers & { air_source: string; margin_on: QuoteAsk['marginOn'] };
	const n = i.pieces!;
	const um =
		i.starts_per_piece! * i.um_per_start! +
		(i.arc_s! / 60) * i.um_per_arc_min! +
		i.pierces_per_piece! * i.um_per_pierce!;
	const kwh = ((i.arc_s! / 3600) * i.output_a! * (80 + 0.4 * i.output_a!)) / 1000 / i.efficiency!;
	const airL = ((i.arc_s! + i.starts_per_piece! * i.post_flow_s!) / 60) * i.air_lpm!;
	const bottleL =
		(i.bottle_l! * (i.bottle_bar! - i.bottle_reserve_bar!)) / (i.p_n_bar! * i.bottle_z!);
	const air =
		i.air_source === 'bottle'
			? (airL / bottleL) * i.bottle_price!
			: (airL / i.compressor_fad_lpm! / 60) * i.compressor_kw! * i.price_per_kwh!;
	const plateKg = i.area_mm2! * i.thickness_mm! * i.density_kg_m3! * 1e-9;
	const ask = v.parse(QuoteAskSchema, {
		setUpMin: i.setup_min,
		finishingS: i.finishing_s,
		rejectShare: i.reject_share,
		platePricePerKg: i.price_per_kg,
		plateScrapShare: i.plate_scrap_share,
		margin: i.margin,
		marginOn: i.margin_on
	});
	const q = quoteOf(
		[
			{
				pieces: n,
				arcS: n * i.arc_s!,
				handlingS: n * i.handling_s!,
				parts: (n * um * i.set_price!) / i.pit_limit_um!,
				power: n * kwh * i.price_per_kwh!,
				air: n * air,
				plateKg: n * plateKg,
				arcFactor: 1
			}
		],
		ask,
		{ labourPerH: i.rate_per_h!, besidesS: 0 }
	);
	return {
		pieces_made: q.piecesMade,
		setup_money: q.lines.setUp!,
		labour_money: q.lines.labour!,
		plate_money: q.lines.plate!,
		cost_money: q.cost!,
		price_money: q.price!,
		price_per_piece: q.price! / n,
		printed_cost: q.printed!.cost,
		printed_margin: q.printed!.margin,
		printed_price: q.printed!.price
	};
};
const stock: Compute = (inputs) => {
	const { growth_um_by_piece: growth, ...i } = inputs as unknown as {
		growth_um_by_piece: number[];
		pit_now_um: number;
		limit_um: number;
		sets_in_drawer: number;
	};
	const found = partsOfList(growth, {
		nowUm: i.pit_now_um,
		limitUm: i.limit_um,
		drawer: i.sets_in_drawer
	});
	const before = (at: number) =>
		found.changesBefore.at(at) === undefined ? 'never' : found.changesBefore.at(at)! + 1;
	return {
		sets_used: found.sets,
		first_change_before_piece: before(0),
		last_change_before_piece: before(-1),
		sets_short: found.short,
		pieces_possible_from_stock: found.possible,
		pit_at_end_um: found.pitAtEndUm
	};
};

interface LayoutCase {
	plate: { width_mm: number; height_mm: number };
	kerf_mm: number;
	edge_margin_mm: number;
	rotation: boolean;
	parts: { id: string; width_mm: number; height_mm: number; count?: number }[];
}
const layout =
	(count: number | null): Compute =>
	(inputs) => {
		const { plate, kerf_mm, edge_margin_mm, rotation, parts } = inputs as unknown as LayoutCase;
		const laid = layoutOf({
			parts: parts.map((part) => ({
				id: part.id,
				widthMm: part.width_mm,
				heightMm: part.height_mm,
				count: part.count ?? 99,
				turns: rotation
			})),
			plates: [{ name: 'Plate', widthMm: plate.width_mm, heightMm: plate.height_mm, count }],
			kerfMm: kerf_mm,
			trimMm: edge_margin_mm
		});
		const area = laid.plates
			.flatMap((one) => one.laid)
			.reduce((sum, { widthMm, heightMm }) => sum + widthMm * heightMm, 0);
		const plates = laid.plates.length;
		return {
			guillotine_area_mm2: area,
			area_mm2: area,
			most_area_mm2: area,
			guillotine_plates: plates,
			plates,
			plates_at_most: plates,
			parts_left: laid.left.reduce((sum, one) => sum + one.count, 0)
		};
	};

export const LIST_COMPUTE: Record<string, Compute> = {
	...Object.fromEntries(
		[
			'order_one_bench',
			'order_one_bench_cooling',
			'order_one_bench_uneven_changeovers',
			'order_two_benches',
			'order_two_unequal_benches',
			'order_large',
			'order_published_changeovers',
			'order_bad_input'
		].map((group) => [group, order])
	),
	list_layout_one_plate: layout(1),
	list_layout_published_value: layout(1),
	list_layout_plates: layout(null),
	list_layout_published: layout(null),
	list_layout_known_optimum: layout(null),
	session_of_a_list_with_pauses: session,
	session_of_a_list: session,
	quote,
	stock_of_a_job: stock
};
