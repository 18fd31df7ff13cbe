import { answer } from '$lib/server/respond';
import type { RequestHandler } from './$types';

/** Where a phone finds this server, and the link for a screen that only looks. */
export const GET: RequestHandler = ({ locals }) =>
	answer(() => ({
		origins: (process.env.STEADY_ARC_ORIGINS ?? '').split(',').filter(Boolean),
		wallPath: locals.role === 'full' ? process.env.STEADY_ARC_WALL || null : null,
		role: locals.role
	}));
