/** The session as a chart: what ECharts is told. Plain data in, plain options out. */
import type { SessionTrace } from '$lib/core';
import type { Inks } from '$lib/components/Graph/inks';

export interface ChartWords {
	pressure: (bar: number) => number;
	pressureUnit: string;
	temperature: (c: number) => number;
	temperatureUnit: string;
	time: (s: number) => string;
	/** Inlet window, bar. */
	windowBar: [number, number];
	limitC: number;
}

/** The strips of the chart: where each begins, px, and what its lines are. */
export const STRIPS = [
	{
		name: 'Air',
		top: 0,
		keys: [
			['tank', '--ink2'],
			['inlet, in its window', '--arc']
		]
	},
	{
		name: 'Breaker',
		top: 114,
		keys: [
			['earliest', '--ink'],
			['latest', '--spark']
		]
	},
	{ name: 'Cutter', top: 200, keys: [['hot spot', '--ink']] }
] as const;

const pairs = (times: readonly number[], values: readonly (number | null)[]) =>
	values.map((value, i) => [times[i]!, value] as const);

/** Options for the four strips: air, breaker, cutter, and what is on. */
export function sessionOption(trace: SessionTrace, inks: Inks, words: ChartWords) {
	const t = trace.timeS;
	const bands = [
		{ top: STRIPS[0].top + 20, height: 84 },
		{ top: STRIPS[1].top + 20, height: 56 },
		{ top: STRIPS[2].top + 20, height: 56 },
		{ top: 290, height: 14 }
	];
	const label = { color: inks.ink2, fontFamily: inks.font, fontSize: 13 };
	const line = (name: string, grid: number, color: string, data: unknown, more: object = {}) => ({
		name,
		type: 'line',
		xAxisIndex: grid,
		yAxisIndex: grid,
		showSymbol: false,
		animation: false,
		silent: true,
		lineStyle: { color, width: 2 },
		itemStyle: { color },
		data,
		...more
	});
	const rule = (color: string, at: object[], text = '') => ({
		silent: true,
		animation: false,
		symbol: 'none',
		lineStyle: { color, width: 1.5, type: 'dashed' },
		label: { show: text !== '', formatter: text, color, fontSize: 13, position: 'insideEndTop' },
		data: at
	});
	const limit = trace.limit && trace.limit.atS <= trace.untilS ? [{ xAxis: trace.limit.atS }] : [];
	const limitLine = { ...rule(inks.stops, limit), lineStyle: { color: inks.stops, width: 3 } };
	const bars = trace.inletBar.map((bar) => (bar === null ? null : words.pressure(bar)));
	const step = (on: readonly boolean[], from: number, height: number) =>
		pairs(
			t,
			on.map((isOn) => (isOn ? from + height : from))
		);
	const most = (values: readonly number[], least: number) => Math.max(least, ...values);
	return {
		animation: false,
		grid: bands.map((band) => ({ left: 56, right: 12, ...band })),
		xAxis: bands.map((_, i) => ({
			gridIndex: i,
			type: 'value',
			min: 0,
			max: trace.untilS,
			splitNumber: 6,
			axisLine: { lineStyle: { color: inks.rule } },
			axisTick: { show: i === 3 },
			splitLine: { lineStyle: { color: inks.rule, opacity: 0.5 } },
			axisLabel: { show: i === 3, ...label, formatter: words.time }
		})),
		yAxis: [
			{ gridIndex: 0, name: '', min: 0, scale: false, splitNumber: 3 },
			{ gridIndex: 1, min: 0, max: most(trace.breakerTouchy, 0) > 1 ? 1.5 : 1, interval: 0.5 },
			{ gridIndex: 2, scale: true, splitNumber: 2 },
			{ gridIndex: 3, min: 0, max: 2, splitNumber: 1 }
		].map((axis, i) => ({
			type: 'value',
			axisLine: { show: false },
			axisTick: { show: false },
			splitLine: { show: false },
			axisLabel: {
				...label,
				show: i < 3,
				formatter: (value: number) =>
					i === 1 ? `${Math.round(value * 100)} %` : String(Math.round(value * 10) / 10)
			},
			...axis
		})),
		series: [
			line(
				'tank',
				0,
				inks.ink2,
				trace.tankBar
					? pairs(
							t,
							trace.tankBar.map((bar) => words.pressure(bar))
						)
					: [],
				{ markLine: limitLine }
			),
			line('inlet', 0, inks.arc, pairs(t, bars), {
				lineStyle: { color: inks.arc, width: 3 },
				markArea: {
					silent: true,
					itemStyle: { color: inks.arcWash },
					data: [
						[
							{ yAxis: words.pressure(words.windowBar[0]) },
							{ yAxis: words.pressure(words.windowBar[1]) }
						]
					]
				}
			}),
			line('breaker, latest', 1, inks.spark, pairs(t, trace.breakerLazy), {
				lineStyle: { color: inks.spark, width: 2 },
				markLine: { ...limitLine, data: [...limit, { yAxis: 1 }] }
			}),
			line('breaker, earliest', 1, inks.ink, pairs(t, trace.breakerTouchy)),
			line(
				'cutter',
				2,
				inks.ink,
				pairs(
					t,
					trace.cutterC.map((c) => words.temperature(c))
				),
				{ markLine: { ...limitLine, data: [...limit, { yAxis: words.temperature(words.limitC) }] } }
			),
			line('arc', 3, inks.arc, step(trace.arc, 1.15, 0.8), {
				step: 'end',
				lineStyle: { width: 0 },
				areaStyle: { color: inks.arc, opacity: 1, origin: 1.15 }
			}),
			line('compressor', 3, inks.ink2, step(trace.compressorOn, 0.05, 0.8), {
				step: 'end',
				lineStyle: { width: 0 },
				areaStyle: { color: inks.ink2, opacity: 0.8, origin: 0.05 }
			})
		]
	};
}

/** Place of the last point at or before a time. */
export function indexAt(trace: SessionTrace, timeS: number): number {
	let [low, high] = [0, trace.timeS.length - 1];
	while (low < high) {
		const middle = (low + high + 1) >> 1;
		if (trace.timeS[middle]! <= timeS) low = middle;
		else high = middle - 1;
	}
	return low;
}

/** Rows of the table: evenly in time, and the limit. */
export function tableRows(trace: SessionTrace, rows = 16): number[] {
	const endS = trace.timeS.at(-1) ?? 0;
	const places = Array.from({ length: rows }, (_, i) => indexAt(trace, (endS * i) / (rows - 1)));
	if (trace.limit) places.push(indexAt(trace, trace.limit.atS));
	return [...new Set(places)].sort((a, b) => a - b);
}
