import type * as v from 'valibot';

export type Schema = v.GenericSchema;

/** One route of the API, for its description. */
export interface Operation {
	path: string;
	method: 'get' | 'post' | 'put' | 'delete';
	summary: string;
	body?: Schema;
	params?: string[];
	query?: string[];
	optionalQuery?: string[];
	/** The body is a file of this type. */
	fileBody?: string;
	refusals?: number[];
}
