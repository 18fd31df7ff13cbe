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

const BANDS = [
	{ top: STRIPS[0].top + 20, height: 84 },
	{ top: STRIPS[1].top + 20, height: 56 },
	{ top: STRIPS[2].top + 20, height: 56 },
	{ top: 290, height: 14 }
] as const;

/** Time along all four, told under the last; what each counts upward. */
function axesOf(trace: SessionTrace, inks: Inks, words: ChartWords) {
	const label = { color: inks.ink2, fontFamily: inks.font, fontSize: 13 };
	const breakerMost = Math.max(0, ...trace.breakerTouchy) > 1 ? 1.5 : 1;
	return {
		xAxis: BANDS.map((_, i) => ({
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
			{ gridIndex: 1, min: 0, max: breakerMost, interval: 0.5 },
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
		}))
	};
}

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

/** What is on, as a bar in the last strip. */
const bar = (
	name: string,
	{ timeS }: SessionTrace,
	on: readonly boolean[],
	from: number,
	style: { color: string; opacity: number }
) =>
	line(
		name,
		3,
		style.color,
		pairs(
			timeS,
			on.map((isOn) => (isOn ? from + 0.8 : from))
		),
		{ step: 'end', lineStyle: { width: 0 }, areaStyle: { ...style, origin: from } }
	);

/** Options for the four strips: air, breaker, cutter, and what is on. */
export function sessionOption(trace: SessionTrace, inks: Inks, words: ChartWords) {
	const t = trace.timeS;
	const limit = trace.limit && trace.limit.atS <= trace.untilS ? [{ xAxis: trace.limit.atS }] : [];
	/** Where the first limit is met, and levels that must not be passed. */
	const limits = (levels: object[] = []) => ({
		silent: true,
		animation: false,
		symbol: 'none',
		lineStyle: { color: inks.stops, width: 3 },
		label: { show: false, color: inks.stops, fontSize: 13, position: 'insideEndTop' },
		data: [...limit, ...levels]
	});
	const bars = (values: readonly (number | null)[]) =>
		pairs(
			t,
			values.map((value) => (value === null ? null : words.pressure(value)))
		);
	const [lowBar, highBar] = words.windowBar;
	return {
		animation: false,
		grid: BANDS.map((band) => ({ left: 56, right: 12, ...band })),
		...axesOf(trace, inks, words),
		series: [
			line('tank', 0, inks.ink2, bars(trace.tankBar ?? []), { markLine: limits() }),
			line('inlet', 0, inks.arc, bars(trace.inletBar), {
				lineStyle: { color: inks.arc, width: 3 },
				markArea: {
					silent: true,
					itemStyle: { color: inks.arcWash },
					data: [[{ yAxis: words.pressure(lowBar) }, { yAxis: words.pressure(highBar) }]]
				}
			}),
			line('breaker, latest', 1, inks.spark, pairs(t, trace.breakerLazy), {
				markLine: limits([{ yAxis: 1 }])
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
				{ markLine: limits([{ yAxis: words.temperature(words.limitC) }]) }
			),
			bar('arc', trace, trace.arc, 1.15, { color: inks.arc, opacity: 1 }),
			bar('compressor', trace, trace.compressorOn, 0.05, { color: inks.ink2, opacity: 0.8 })
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
