/** Every kind of thing that is kept, with its version and its way up to it. */
import * as v from 'valibot';
import { ChartRowSchema, CHART_ROWS_MOST } from '../speed/chartSchema';
import { FaultFileSchema } from '../faults/file';
import { DayListSchema } from '../list/inputs';
import { OwnChecksSchema } from '../preflight/own';
import { SeenSchema } from '../arcline/seen';
import { EntrySchema } from '../evidence/entries';
import { BenchSchema } from '../inputs/bench';
import { PlanInputsSchema } from '../inputs/planInputs';
import { SettingsSchema } from '../inputs/settings';
import { NO_USE, RATES_UM } from '../wear/electrode';
import { KeptPlanSchema } from '../plan/kept';
import { ContoursSchema } from '../shape/schema';
import { BENCH_UPGRADES, tellBenchVersion } from './benchUpgrades';
import { isObject, kindOf, withField, type Upgrade } from './kind';

export const BENCH = kindOf('bench', BenchSchema, BENCH_UPGRADES, tellBenchVersion);
/** Version 1 knew no money but the prices of parts. */
const settingsFromVersion1: Upgrade = (settings) =>
	isObject(settings)
		? { labourPerH: null, handlingS: 60, pricePerKwh: null, bottlePrice: null, ...settings }
		: settings;
export const SETTINGS = kindOf('settings', SettingsSchema, [settingsFromVersion1]);

/** Test cuts of the first shapes went through unless they said otherwise; cuts did not tell the nozzle. */
export const ENTRY = kindOf('log entry', EntrySchema, [
	(entry) => (isObject(entry) && entry.kind === 'test-cut' ? { through: true, ...entry } : entry),
	// Version 2 told every failed start alone.
	(entry) => entry,
	// Version 3 knew no bore and no look.
	(entry) => entry,
	// Version 4 knew no grooves, and nothing of looking after the shop.
	(entry) => entry,
	// Version 5 knew no checks.
	(entry) => entry,
	// Version 6 knew no lag read by an instrument.
	(entry) => entry,
	// Version 7 knew no kerf but from scrap.
	(entry) => entry
]);
export const CHART = kindOf(
	'cut chart',
	v.pipe(v.array(ChartRowSchema), v.maxLength(CHART_ROWS_MOST, 'at most 10 000 rows'))
);
export const OWN_CHECKS = kindOf('own checks', OwnChecksSchema);
/** null: the shop went back to the file that is shipped. */
export const FAULT_FILE = kindOf('file of faults', v.nullable(FaultFileSchema));
export const DAY_LIST = kindOf('day’s list', DayListSchema, [
	// Version 1 knew no breaks, no end of the day, and no guide as the first piece showed.
	(list) => list
]);
export const OUTLINE = kindOf('outline', ContoursSchema);

/**
 * What a card was planned from. Version 1 kept the bench as it stood then, and test cuts as a sum against
 * a law that is gone: they are left out, and the card's own numbers are kept beside it from version 2 on.
 */
const cardFromVersion1: Upgrade = (inputs) => {
	if (!isObject(inputs)) return inputs;
	const bench = BENCH_UPGRADES.slice(tellBenchVersion(inputs.bench) - 1).reduce<unknown>(
		(b, up) => up(b),
		inputs.bench
	);
	const use = (u: Record<string, unknown>) => ({ loadMin: u.arcMin, pilotS: 0, ...u });
	return withField(
		withField(
			withField({ ...inputs, bench }, 'work', (w) => ({ ...w, by: 'pattern' })),
			'cut',
			(c) => withField(c, 'gouge', (g) => ({ ...g, asked: false }))
		),
		'evidence',
		(e) => ({
			...withField(e, 'wear', (w) =>
				withField(withField(w, 'total', use), 'lastPit', (p) => withField(p, 'useSince', use))
			),
			speed: []
		})
	);
};
/** One pit of at most 5 mm that grew so many times as fast as the starting rates, by starts alone. */
const pitAtRate = (times: number, sumUm: number) => {
	const grownUm = Math.min(sumUm, 5000);
	return { grownUm, use: { ...NO_USE, starts: grownUm / Math.max(times, 1e-6) / RATES_UM.start } };
};
const evidenceFromVersion3 = (evidence: Record<string, unknown>) =>
	withField(evidence, 'wear', ({ total, lastPit, measuredUm, expectedUm }) => {
		const last = isObject(lastPit) ? { grownUm: lastPit.pitUm, useSince: lastPit.useSince } : null;
		const measured =
			typeof expectedUm === 'number' && expectedUm > 0
				? [pitAtRate(Number(measuredUm) / expectedUm, Number(measuredUm))]
				: [];
		return {
			electrode: { total, last, measured, lives: [] },
			nozzle: { total, last: null, measured: [], lives: [] },
			starts: { ring: null, cap: null, shield: null }
		};
	});
export const CARD_INPUTS = kindOf('card', PlanInputsSchema, [
	cardFromVersion1,
	// Version 2 kept a bench that did not tell what nobody had checked.
	(inputs) =>
		isObject(inputs) ? withField(inputs, 'bench', (b) => ({ typical: [], ...b })) : inputs,
	// Version 3 knew the electrode alone, and of earlier pits only their sum.
	(inputs) =>
		isObject(inputs)
			? withField(
					{ ...inputs, settings: settingsFromVersion1(inputs.settings) },
					'evidence',
					evidenceFromVersion3
				)
			: inputs,
	// Version 4 knew one kind of groove, and no test grooves: what is left out is as it was.
	(inputs) => inputs,
	// Version 5 knew nothing of what was found wrong.
	(inputs) => inputs,
	// Version 6 kept a cutter whose lamps were not told.
	(inputs) => inputs,
	// Version 7 knew no face of a nozzle.
	(inputs) => inputs,
	// Version 8 knew fillets with equal legs alone.
	(inputs) => inputs,
	// Version 9 counted no starts of o-rings and gouging nozzles: absent is not noted.
	(inputs) => inputs
]);
/** The numbers that a card was saved with. */
export const CARD_PLAN = kindOf('plan of a card', KeptPlanSchema, [
	// Version 1 wrote the quantities of a finding into its text.
	(plan) => plan,
	// Version 2 had no letter for what was asked for.
	(plan) => plan,
	// Version 3 had no quantities for what a metre or a kilogram takes.
	(plan) => plan
]);

/** What a sensor saw. */
export const SEEN = kindOf('arc line', SeenSchema);

export const KINDS = [
	BENCH,
	SETTINGS,
	ENTRY,
	CHART,
	OUTLINE,
	CARD_INPUTS,
	CARD_PLAN,
	OWN_CHECKS,
	FAULT_FILE,
	DAY_LIST,
	SEEN
];
