/** What the Plan is made from, composed from the inputs of the rooms. */
export type { Circuit, Load, Supply } from '../circuit/inputs';
export { CIRCLES, SCHOOLS } from '../cut/lineCut';
export { GUIDES } from '../cut/guide';
export { STARTS } from '../cut/start';
export { CutterSchema, type PlateInput } from '../cutter/inputs';
export { plateInput, REGULATORS } from '../cutter/plate';
export type { Stat } from '../quantity/stat';
export { WorkSchema, type Work } from '../session/inputs';
export { AIMS } from '../speed/speed';
export { TorchSchema, type Nozzle } from '../torch/inputs';
export * from './bench';
export * from './cut';
export * from './defaults';
export * from './evidence';
export * from './planInputs';
export * from './settings';
