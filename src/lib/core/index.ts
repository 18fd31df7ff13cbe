/** The core's public face: what screens, routes, workers and scripts use. */
export * from './errors';
export * from './plan/inputs';
export * from './plan/types';
export { explain, MODEL_VERSION, plan, type ExplainedInput, type Explanation } from './plan/plan';
export { FIGURE_IDS, REGISTRY, type FigureId } from './plan/registry';
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
export { EntrySchema, type Entry, type EntryKind, type LoggedEntry } from './evidence/entries';
export { completeEntry, evidenceFromLog } from './evidence/fromLog';
