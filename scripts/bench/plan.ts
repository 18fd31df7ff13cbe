import { explain } from '../../src/lib/core/plan/explain';
import { HyperFormula } from 'hyperformula';
import {
	DEFAULT_CUT,
	DEFAULT_SETTINGS,
	FIGURE_IDS,
	NO_EVIDENCE,
	plan,
	type FigureId,
	type PlanInputs
} from '../../src/lib/core';
import { build } from 'vite';
import { alone, over, type Paced } from './pace';
import { rounds } from './rounds';
import { BAY_2 } from '../demo/benches';

const inputs = (thicknessMm: number): PlanInputs => ({
	bench: BAY_2,
	cut: { ...DEFAULT_CUT, thicknessMm },
	evidence: NO_EVIDENCE,
	work: BAY_2.usual,
	settings: DEFAULT_SETTINGS,
	chart: null
});

const FUNCTIONS: Record<string, string> = {
	log: 'LN',
	sqrt: 'SQRT',
	exp: 'EXP',
	max: 'MAX',
	min: 'MIN',
	round: 'ROUND',
	floor: 'INT',
	ceil: 'ROUNDUP',
	tan: 'TAN',
	atan: 'ATAN',
	pi: 'PI()'
};

/** The registry's formula text as a sheet formula, with each symbol replaced by its cell. */
function sheetFormula(formula: string, cells: Map<string, string>): string {
	const body = formula
		.replace(/^(.+) \? (.+) : (.+)$/, 'IF($1, $2, $3)')
		.replace(/ceil\((.+)\)(?=\)|$)/, 'ROUNDUP($1, 0)')
		.replace(/round\(([A-Za-z_0-9]+)\)/, 'ROUND($1, 0)')
		.replace(/1e-9/g, '0.000000001')
		.replace(/1e5/g, '100000')
		.replace(/[A-Za-z][A-Za-z_0-9]*/g, (name) => cells.get(name) ?? FUNCTIONS[name] ?? name);
	return `=${body}`;
}

/**
 * The same sheet of formulas in a general engine: one row a figure, its inputs in cells, references
 * where an input is a figure itself. Each round changes every input that is not a figure.
 */
function sheet() {
	const rowOf = new Map<FigureId, number>(FIGURE_IDS.map((id, row) => [id, row]));
	const leaves: { row: number; col: number; value: number }[] = [];
	const rows = FIGURE_IDS.map((id, row) => {
		const working = explain(inputs(6), id);
		const cells = new Map<string, string>();
		const values: (number | string)[] = [];
		working.inputs.forEach((input, i) => {
			const col = i + 1;
			cells.set(input.symbol, `${String.fromCharCode(65 + col)}${row + 1}`);
			if (input.from) values.push(`=A${rowOf.get(input.from)! + 1}`);
			else {
				values.push(input.value);
				leaves.push({ row, col, value: input.value });
			}
		});
		return [sheetFormula(working.formula, cells), ...values];
	});
	const engine = HyperFormula.buildFromArray(rows, {
		licenseKey: 'gpl-v3',
		precisionRounding: 14,
		smartRounding: false
	});
	// It must compute the same figures, else the race means nothing.
	FIGURE_IDS.forEach((id, row) => {
		const own = plan(inputs(6)).figures[id].value;
		const theirs = engine.getCellValue({ sheet: 0, row, col: 0 });
		if (own === null || typeof theirs === 'boolean') return;
		if (typeof theirs !== 'number' || Math.abs(theirs - own) > 1e-6 * Math.max(1, Math.abs(own))) {
			throw new Error(
				`${rows[row]![0]} the sheet says ${JSON.stringify(theirs)} for ${id}, the plan ${own}`
			);
		}
	});
	return (round: number) =>
		engine.batch(() => {
			for (const { row, col, value } of leaves) {
				engine.setCellContents({ sheet: 0, row, col }, value * (1 + round * 1e-9));
			}
		});
}

/** Median ms of one run, measured over so many at once. */
function msOf(run: (round: number) => void, atOnce: number): Paced {
	for (let i = 0; i < 20; i++) run(i);
	let round = 0;
	const timed = () => {
		const start = performance.now();
		for (let i = 0; i < atOnce; i++) run(round++);
		return (performance.now() - start) / atOnce;
	};
	return alone(timed, 15, 60);
}

const ROOT = new URL('../../', import.meta.url).pathname;

/** The core as it is shipped: what runs the benchmarks keeps the name of every function, at a price in each plan. */
async function builtCore(): Promise<typeof import('../../src/lib/core')> {
	const outDir = `${ROOT}node_modules/.steady-arc/bench-core`;
	await build({
		configFile: false,
		logLevel: 'silent',
		resolve: { alias: { $lib: `${ROOT}src/lib` } },
		build: { ssr: `${ROOT}src/lib/core/index.ts`, outDir, minify: false }
	});
	return (await import(`${outDir}/index.js`)) as typeof import('../../src/lib/core');
}

/** How many whole plans are made in the time of one recalculation of the sheet. */
export async function benchPlan(): Promise<Paced[]> {
	const recalculate = sheet();
	const built = await builtCore();
	return rounds(() =>
		over(
			msOf(recalculate, 1),
			msOf((round) => built.plan(inputs(6 + (round % 50) * 0.1), { hashed: false }), 100)
		)
	);
}
