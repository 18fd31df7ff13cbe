/** Bodies about the shop: its settings, its own checks and faults, and what others changed. */
import * as v from 'valibot';
import { FaultFileSchema } from '$lib/core/faults/file';
import { OwnChecksSchema } from '$lib/core/preflight/own';
import { SettingsSchema } from '$lib/core';
import { OpIdSchema, revision } from './common';

export const SaveSettingsSchema = v.object({
	opId: OpIdSchema,
	revision,
	settings: SettingsSchema
});
export const SaveOwnChecksSchema = v.object({
	opId: OpIdSchema,
	revision,
	own: OwnChecksSchema
});
export const SaveFaultsSchema = v.object({
	opId: OpIdSchema,
	revision,
	/** null: the file that comes with the program. */
	faults: v.nullable(FaultFileSchema)
});
/** What two people can change, each with its revision. */
export interface Revisions {
	bench: number;
	parts: number;
	log: number;
	chart: number;
	cards: number;
	settings: number;
	/** How many benches there are. */
	benches: number;
}
