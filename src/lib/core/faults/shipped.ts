import * as v from 'valibot';
import { FaultFileSchema, type FaultFile } from './file';
import shipped from './shipped.json';

/** The file that comes with the program; read as any other, so that a slip in it is told at the start. */
export const SHIPPED_FAULTS: FaultFile = v.parse(FaultFileSchema, shipped);
