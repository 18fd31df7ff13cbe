/**
 * The core's public face: what screens, routes, workers and scripts use. What is asked for only now and
 * then has a face of its own and loads when it is: `plan/explain`, `studies`.
 */
export * from './quantity/errors';
export * from './inputs';
export * from './figure/types';
export { filled, type Told } from './figure/finding';
export type { Plan, Said } from './plan/types';
export { MODEL_VERSION, plan } from './plan/plan';
export type { ExplainedInput, Explanation } from './plan/explain';
export { FIGURE_IDS, NAMES, type FigureId } from './plan/names';
export type { Check } from './plan/rooms';
export { COATINGS, type Coating } from './metal/coatings';
export { CHART_ROWS_MOST, ChartRowSchema, type Chart, type ChartRow } from './speed/chartSchema';
export { mergedRows, risingRows } from './speed/chart';
export { chartHash } from './solve/hash';
export {
	assemblySteps,
	FAMILY_WORDS,
	PART_WORDS,
	SHIELDS,
	TORCH_FAMILIES,
	type PartChange,
	type TorchFamily,
	type TorchPart
} from './torch/assembly';
export { METAL_IDS, METALS, type Metal, type MetalId } from './metal/metals';
export { parseQuantity, type ParseContext } from './quantity/parse';
export { say, showQuantity, type Shown } from './quantity/format';
export {
	defaultUnit,
	thicknessStepMm,
	UNIT_SYSTEMS,
	unitLabel,
	type UnitSystem
} from './quantity/systems';
export { CORE_UNIT, type Quantity } from './quantity/units';
export type { GaugeTable } from './quantity/gauge';
export { DROSSES, isMeasurement, isReading, READINGS, TRIP_DEVICES } from './evidence/measured';
export { EntrySchema, type Entry, type EntryKind, type LoggedEntry } from './evidence/entries';
export {
	evidenceFromLedger,
	PATTERN_CUTS_MOST,
	GROOVES_MOST,
	READINGS_MOST,
	type Ledger,
	type LoggedCut,
	type PartLedger
} from './evidence/ledger';
export {
	evidenceFromLog,
	ledgerFromLog,
	type FittedPart,
	type FittedSet
} from './evidence/ledgerFromLog';
export {
	addTally,
	boreGrowthNm,
	growthNm,
	NM_PER_UM,
	NO_TALLY,
	pitNm,
	isGouging,
	TALLY_VERSION,
	tallyOf,
	type Tally
} from './evidence/tally';
export { nextCut, type NextCut } from './studies/nextCut';
export { readingsOf, type TestCut } from './evidence/speedReadings';
export { completeEntry } from './evidence/supply';
export { whatChanged, type ChangeSide, type FigureChange } from './plan/changes';
export { studySession, type SessionStudy, type SessionTrace } from './studies/session';
export type { Pause, PausePlan } from './session/pauses';
export { applied, type Change } from './studies/fix/change';
export { fixesFor, type Fix } from './studies/fix/fixes';
export { pluggedInto } from './studies/fix/electric';
export { solvedFor, type Solved } from './studies/fix/solved';
export { cutsInTenMin, restForRateS } from './session/schedule';
export {
	judgedBy,
	readResult,
	SIGNS,
	suspectsOf,
	type Cause,
	type Reading,
	type Sign
} from './faults/read';
export { scrapMm, type Guide } from './cut/guide';
export type { Caution } from './safety/cautions';
export { keptPlan, planAsKept, saidAsKept } from './plan/keep';
export { type KeptPlan } from './plan/kept';
export { START_METHODS, type StartMethod } from './cut/start';
export { type StartOption } from './wear/starts';
export { MARKS_MM, paceOf, travelMmS, travelS, type Pace } from './cut/pace';
export { advise, type Advice, type AdviceReason } from './studies/advise';
export { speedCurves, type SpeedCurves } from './studies/curves';
