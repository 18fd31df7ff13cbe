/** Speed against thickness as a chart: plain data in, what ECharts is told out. Both axes go by the logarithm. */
import type { SpeedCurves } from '$lib/core';
import { HAND_BAND_MM_S } from '$lib/core/speed/speed';
import type { Inks } from '$lib/components/Graph/inks';

/** A test cut as a point: the recommended speed that was seen in it. */
export interface TestPoint {
	thicknessMm: number;
	speedMmS: number;
	through: boolean;
}

export interface SpeedChartWords {
	thickness: (mm: number) => string;
	speed: (mmS: number) => string;
	amps: (a: number) => string;
	thicknessTicksMm: readonly number[];
	speedTicksMmS: readonly number[];
}

const IN = 25.4;
/** Round numbers on the axes, in the units that are shown. */
export const TICKS = {
	metric: {
		thicknessMm: [1, 2, 3, 4, 6, 8, 10, 12, 16, 20, 25, 32, 40, 50],
		speedMmS: [1, 2, 5, 10, 20, 50, 100, 200]
	},
	imperial: {
		thicknessMm: [1 / 32, 1 / 16, 1 / 8, 3 / 16, 1 / 4, 3 / 8, 1 / 2, 3 / 4, 1, 1.5, 2].map(
			(inch) => inch * IN
		),
		speedMmS: [2, 5, 10, 20, 50, 100, 200, 500].map((ipm) => (ipm * IN) / 60)
	}
};

const log = Math.log10;
/** Free space around the plot, px. */
export const PLOT = { left: 44, right: 16, top: 12, bottom: 28 } as const;
const SPEED_MM_S = [0.8, 250] as const;
const LABEL_AT_MM_S = 3;

/** Where a speed at a thickness lies in the plot, as shares from left and top; undefined: outside. */
export function placeOf(
	c: SpeedCurves,
	{ thicknessMm, speedMmS }: { thicknessMm: number; speedMmS: number }
): { left: number; top: number } | undefined {
	const share = (value: number, [low, high]: readonly [number, number]) =>
		Math.log(value / low) / Math.log(high / low);
	const left = share(thicknessMm, [c.thicknessMm[0]!, c.thicknessMm.at(-1)!]);
	const top = 1 - share(speedMmS, SPEED_MM_S);
	return left >= 0 && left <= 1 && top >= 0 && top <= 1 ? { left, top } : undefined;
}

const inside = (values: readonly number[], [low, high]: readonly [number, number]) =>
	values.filter((value) => value >= low && value <= high).map(log);

function axis(
	inks: Inks,
	[min, max]: readonly [number, number],
	roundValues: readonly number[],
	say: (value: number) => string
) {
	const ticks = inside(roundValues, [min, max]);
	return {
		type: 'value',
		min: log(min),
		max: log(max),
		axisLine: { onZero: false, lineStyle: { color: inks.rule } },
		axisTick: { customValues: ticks },
		splitLine: { show: false },
		axisLabel: {
			color: inks.ink2,
			fontFamily: inks.font,
			fontSize: 13,
			customValues: ticks,
			hideOverlap: true,
			formatter: (value: number) => say(10 ** value)
		}
	};
}

const line = (name: string, data: number[][], style: object) => ({
	name,
	type: 'line',
	silent: true,
	animation: false,
	showSymbol: false,
	data,
	...style
});

const dots = (
	name: string,
	data: readonly { thicknessMm: number; speedMmS: number }[],
	style: { itemStyle: object; [key: string]: unknown }
) => ({
	name,
	type: 'scatter',
	silent: true,
	animation: false,
	data: data
		.filter(({ speedMmS }) => speedMmS > 0)
		.map(({ thicknessMm, speedMmS }) => [log(thicknessMm), log(speedMmS)]),
	...style,
	itemStyle: { opacity: 1, ...style.itemStyle }
});

type Points = (values: readonly (number | null)[]) => number[][];

/** The window that sparks can be read in, over the band of speeds that a hand holds. */
function windowSeries(c: SpeedCurves, points: Points, inks: Inks) {
	const low = points(c.windowMmS[0]);
	const high = points(c.windowMmS[1]);
	return [
		line('spark window, low', low, {
			stack: 'window',
			stackStrategy: 'all',
			lineStyle: { width: 0 },
			markArea: {
				silent: true,
				itemStyle: { color: inks.arcWash },
				data: [HAND_BAND_MM_S.map((mmS) => ({ yAxis: log(mmS) }))]
			}
		}),
		line(
			'spark window',
			high.map(([x, y], i) => [x!, y! - (low[i]?.[1] ?? y!)]),
			{
				stack: 'window',
				stackStrategy: 'all',
				lineStyle: { width: 0 },
				areaStyle: { color: inks.spark, opacity: 0.35 }
			}
		)
	];
}

/** The name of a curve where it comes down, else where it leaves on the right. */
function nameOf(
	{ outputA, chosen, speedMmS }: SpeedCurves['curves'][number],
	points: Points,
	inks: Inks,
	words: SpeedChartWords
) {
	const at = points(speedMmS);
	const i = at.findLastIndex(([, y]) => y! >= log(LABEL_AT_MM_S));
	const place = at[i];
	const leaves = i === at.length - 1;
	return {
		type: 'scatter',
		silent: true,
		animation: false,
		symbolSize: 0.1,
		labelLayout: { hideOverlap: true },
		z: 4,
		data: place ? [place] : [],
		label: {
			show: true,
			formatter: words.amps(outputA),
			position: leaves ? 'top' : 'right',
			offset: leaves ? [-16, 0] : [2, 0],
			color: chosen ? inks.arc : inks.ink2,
			fontFamily: inks.figure,
			fontSize: 17,
			fontWeight: 600,
			textBorderColor: inks.sheet,
			textBorderWidth: 4
		}
	};
}

/** What is known at places: plate ratings, rows of the chart, test cuts. */
function placeSeries(c: SpeedCurves, tests: readonly TestPoint[], inks: Inks) {
	const chosenA = c.curves.find((curve) => curve.chosen)?.outputA;
	return [
		dots('plate ratings', c.ratings, {
			symbol: 'diamond',
			symbolSize: 12,
			itemStyle: { color: inks.sheet, borderColor: inks.ink, borderWidth: 2 }
		}),
		dots(
			'chart rows, other amps',
			c.chartRows.filter((row) => row.outputA !== chosenA),
			{
				symbol: 'circle',
				symbolSize: 7,
				itemStyle: { color: inks.sheet, borderColor: inks.ink2, borderWidth: 1.5 }
			}
		),
		dots(
			'chart rows',
			c.chartRows.filter((row) => row.outputA === chosenA),
			{ symbol: 'circle', symbolSize: 8, itemStyle: { color: inks.ink } }
		),
		dots(
			'test cuts',
			tests.filter((test) => test.through),
			{
				symbol: 'triangle',
				symbolSize: 14,
				itemStyle: { color: inks.spark, borderColor: inks.ink, borderWidth: 1.5 }
			}
		),
		dots(
			'not through',
			tests.filter((test) => !test.through),
			{
				symbol: 'path://M0 2L2 0L6 4L10 0L12 2L8 6L12 10L10 12L6 8L2 12L0 10L4 6Z',
				symbolSize: 12,
				itemStyle: { color: inks.stops }
			}
		)
	];
}

/** Options of the chart: curves per amps, spark window, hand band, ratings, chart rows, test cuts. */
export function speedOption(
	c: SpeedCurves,
	tests: readonly TestPoint[],
	inks: Inks,
	words: SpeedChartWords
) {
	const range = [c.thicknessMm[0]!, c.thicknessMm.at(-1)!] as const;
	const points: Points = (values) =>
		values.flatMap((value, i) =>
			value === null || value <= 0 ? [] : [[log(c.thicknessMm[i]!), log(value)]]
		);
	return {
		animation: false,
		grid: PLOT,
		xAxis: axis(inks, range, words.thicknessTicksMm, words.thickness),
		yAxis: axis(inks, SPEED_MM_S, words.speedTicksMmS, words.speed),
		series: [
			...windowSeries(c, points, inks),
			...c.curves.map(({ outputA, chosen, speedMmS }) =>
				line(words.amps(outputA), points(speedMmS), {
					lineStyle: chosen
						? { color: inks.arc, width: 3.5 }
						: { color: inks.ink2, width: 1.8, type: 'dashed' }
				})
			),
			...c.curves.map((curve) => nameOf(curve, points, inks, words)),
			...placeSeries(c, tests, inks)
		]
	};
}

/** Rows of the same as a table: round thicknesses, one speed per amps. */
export function speedTable(
	c: SpeedCurves,
	ticksMm: readonly number[]
): { thicknessMm: number; speedMmS: (number | null)[] }[] {
	const [first, last] = [c.thicknessMm[0]!, c.thicknessMm.at(-1)!];
	const at = (values: readonly (number | null)[], mm: number): number | null => {
		const i = c.thicknessMm.findIndex((t) => t >= mm - 1e-9);
		const [a, b] = [values[Math.max(0, i - 1)] ?? null, values[i] ?? null];
		if (i < 0 || a === null || b === null) return null;
		const [ta, tb] = [c.thicknessMm[Math.max(0, i - 1)]!, c.thicknessMm[i]!];
		const share = tb > ta ? Math.log(mm / ta) / Math.log(tb / ta) : 1;
		return a * (b / a) ** share;
	};
	return ticksMm
		.filter((mm) => mm >= first && mm <= last)
		.map((mm) => ({ thicknessMm: mm, speedMmS: c.curves.map((curve) => at(curve.speedMmS, mm)) }))
		.filter((row) => row.speedMmS.some((speed) => speed !== null));
}
