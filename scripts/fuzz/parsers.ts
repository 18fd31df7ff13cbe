/** Every reader of files and text, with input made to hurt: each ends, with a result or its own error. */
import fc from 'fast-check';
import { DomainError } from '../../src/lib/core/quantity/errors';
import { parseQuantity } from '../../src/lib/core/quantity/parse';
import { BENCH, CHART, ENTRY, OUTLINE, SETTINGS } from '../../src/lib/core/stored/kinds';
import { readBenchFile } from '../../src/lib/formats/benchFile';
import { readChartCsv } from '../../src/lib/formats/chartCsv';
import { cutFromSearch } from '../../src/lib/formats/readSearch';
import { readDxf } from '../../src/lib/formats/outline/dxfIn';
import { OutlineError } from '../../src/lib/formats/outline/gather';
import { readSvg } from '../../src/lib/formats/outline/svgIn';
import { BAY_2 } from '../demo/benches';

const number = fc.oneof(
	fc.integer({ min: -100, max: 100 }).map(String),
	fc.double().map(String),
	fc.constantFrom('1e999', '-0', 'NaN', '', '1e-320', '١٢', '0x10', '1,5', '99999999999999999999')
);
const junk = fc.oneof(
	fc.string({ maxLength: 20 }),
	fc.constantFrom('\u0000', '<', '&', '__proto__', 'constructor', '"', "'", '\n', '\ud800', ']]>')
);
/** Something valid, cut and stuffed. */
const spoiled = (valid: string) =>
	fc
		.array(fc.tuple(fc.nat(valid.length), fc.nat(12), junk), { maxLength: 4 })
		.map((cuts) =>
			cuts.reduce((text, [at, n, more]) => text.slice(0, at) + more + text.slice(at + n), valid)
		);

const entity = fc.oneof(
	fc
		.tuple(number, number, number, number)
		.map(([a, b, c, d]) => `0\nLINE\n8\n0\n10\n${a}\n20\n${b}\n11\n${c}\n21\n${d}\n`),
	fc
		.tuple(number, number, number)
		.map(([a, b, r]) => `0\nCIRCLE\n8\n0\n10\n${a}\n20\n${b}\n40\n${r}\n`),
	fc
		.tuple(number, number, number, number)
		.map(([a, r, s, e]) => `0\nARC\n8\n0\n10\n${a}\n20\n0\n40\n${r}\n50\n${s}\n51\n${e}\n`),
	fc
		.tuple(number, number, number)
		.map(
			([x, y, b]) =>
				`0\nLWPOLYLINE\n8\n0\n90\n3\n70\n1\n10\n0\n20\n0\n42\n${b}\n10\n${x}\n20\n0\n10\n${x}\n20\n${y}\n`
		),
	fc
		.tuple(number, number)
		.map(([x, r]) => `0\nELLIPSE\n8\n0\n10\n0\n20\n0\n11\n${x}\n21\n1\n40\n${r}\n41\n0\n42\n6.28\n`)
);
const dxf = fc
	.tuple(fc.array(entity, { maxLength: 8 }), number)
	.map(
		([entities, unit]) =>
			`0\nSECTION\n2\nHEADER\n9\n$INSUNITS\n70\n${unit}\n0\nENDSEC\n0\nSECTION\n2\nENTITIES\n${entities.join('')}0\nENDSEC\n0\nEOF\n`
	);
const shape = fc.oneof(
	fc.tuple(number, number, number).map(([x, y, r]) => `<circle cx="${x}" cy="${y}" r="${r}"/>`),
	fc.tuple(number, number).map(([w, h]) => `<rect width="${w}" height="${h}" rx="${h}"/>`),
	fc
		.array(number, { maxLength: 12 })
		.map((n) => `<path d="M0 0 C${n.join(' ')} A5 5 0 1 1 ${n.slice(0, 2).join(' ')} z"/>`),
	fc
		.tuple(number, shape2())
		.map(([n, inner]) => `<g transform="rotate(${n}) scale(${n})">${inner}</g>`)
);
function shape2() {
	return fc.tuple(number, number).map(([a, b]) => `<polygon points="0,0 ${a},0 ${a},${b}"/>`);
}
const svg = fc
	.tuple(number, fc.array(shape, { maxLength: 5 }))
	.map(
		([w, shapes]) =>
			`<svg xmlns="http://www.w3.org/2000/svg" width="${w}mm" viewBox="0 0 ${w} 100">${shapes.join('')}</svg>`
	);

/** Throws when a reader gives anything but a result or its own error. */
const own = (read: () => unknown) => {
	try {
		read();
	} catch (error) {
		if (!(error instanceof OutlineError || error instanceof DomainError)) throw error;
	}
};
const bench = JSON.stringify({ format: 'steady-arc/bench', version: 3, bench: BAY_2 });
const csv = 'metal,thickness (mm),amps (A),speed (mm/s)\nmild steel,6,45,20\nstainless,3,45,30\n';

export const PARSERS: Record<string, fc.IProperty<unknown>> = {
	'DXF from parts': fc.property(dxf, (text) => own(() => readDxf(text))),
	'DXF spoiled': fc.property(
		spoiled('0\nSECTION\n2\nENTITIES\n0\nCIRCLE\n8\n0\n10\n5\n20\n5\n40\n4\n0\nENDSEC\n0\nEOF\n'),
		(text) => own(() => readDxf(text))
	),
	'SVG from parts': fc.property(svg, (text) => own(() => readSvg(text))),
	'SVG spoiled': fc.property(
		spoiled(
			'<svg xmlns="http://www.w3.org/2000/svg" width="9mm" viewBox="0 0 9 9"><path d="M1 1h5v5z"/></svg>'
		),
		(text) => own(() => readSvg(text))
	),
	'chart CSV': fc.property(spoiled(csv), (text) => {
		for (const row of readChartCsv(text).rows) {
			if (!(row.speedMmS > 0 && row.thicknessMm > 0)) throw new Error(JSON.stringify(row));
		}
	}),
	'chart CSV of cells': fc.property(
		fc.array(fc.array(fc.oneof(number, junk), { maxLength: 6 }), { maxLength: 6 }),
		(rows) =>
			void readChartCsv(['metal,thickness,amps,speed', ...rows.map((r) => r.join())].join('\n'))
	),
	'bench file': fc.property(spoiled(bench), (text) => {
		const read = readBenchFile(text);
		if (!read.ok && !read.problem.message) throw new Error('refused without a word');
	}),
	address: fc.property(
		fc.array(
			fc.tuple(
				fc.oneof(fc.constantFrom('t', 'metal', 'a', 'arc', 'shift', 'gd'), junk),
				fc.oneof(number, junk)
			)
		),
		(pairs) => {
			const { cut } = cutFromSearch(
				new URLSearchParams(pairs.map(([k, v]) => [k.toWellFormed(), v.toWellFormed()])),
				BAY_2.usual
			);
			if (!(cut.thicknessMm >= 0.3 && cut.thicknessMm <= 100))
				throw new Error(String(cut.thicknessMm));
		}
	),
	quantity: fc.property(fc.oneof(number, junk, spoiled('1 1/4"'), spoiled('85 psi')), (text) => {
		for (const quantity of ['thickness', 'pressure', 'speed', 'length'] as const) {
			own(() => parseQuantity(text, { quantity, units: 'imperial', gauge: 'steel' }));
		}
	}),
	'kept data': fc.property(fc.anything(), fc.integer({ min: 0, max: 9 }), (data, version) => {
		for (const kind of [BENCH, SETTINGS, ENTRY, CHART, OUTLINE]) {
			const read = kind.read(data, version);
			if (!read.ok && !read.reason) throw new Error('refused without a word');
		}
	})
};

/** Runs every parser on `runs` inputs; throws with the seed and the smallest input that fails. */
export function fuzzParsers(
	seed: number,
	runs: number,
	told: (name: string) => void = () => {}
): void {
	const { log, error, warn } = console;
	// One of the libraries talks about what it does not know.
	console.log = console.error = console.warn = () => {};
	try {
		for (const [name, property] of Object.entries(PARSERS)) {
			fc.assert(property, { seed, numRuns: runs });
			told(name);
		}
	} finally {
		Object.assign(console, { log, error, warn });
	}
}
