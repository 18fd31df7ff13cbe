import { benchFileJsonSchema } from '$lib/formats/openapi';
import { answer } from '$lib/server/respond';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = () => answer(benchFileJsonSchema);
