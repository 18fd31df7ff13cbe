import { MODEL_VERSION } from '$lib/core';
import { store } from '$lib/server/current';
import { SCHEMA_VERSION } from '$lib/server/db';
import { answer } from '$lib/server/respond';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = () =>
	answer(() => ({
		ok: true,
		benches: store().benches.count(),
		modelVersion: MODEL_VERSION,
		storeVersion: SCHEMA_VERSION
	}));
