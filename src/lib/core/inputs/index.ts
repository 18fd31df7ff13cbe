/** What the Plan is made from, composed from the inputs of the rooms. */
export type { Circuit, Load, Supply } from '../circuit/inputs';
export { CIRCLES, SCHOOLS } from '../cut/inputs';
export { GUIDES } from '../cut/guide';
export { STARTS } from '../cut/start';
export { CutterSchema, plateInput, REGULATORS, type PlateInput } from '../cutter/inputs';
export type { Stat } from '../quantity/stat';
export { WorkSchema, type Work } from '../session/inputs';
export { AIMS } from '../speed/inputs';
export { TorchSchema, type Nozzle } from '../torch/inputs';
export * from './bench';
export * from './cut';
export * from './evidence';
export * from './planInputs';
export * from './settings';
