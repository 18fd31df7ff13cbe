import type { Handle, HandleServerError, ServerInit } from '@sveltejs/kit';
import { UNIT_SYSTEMS, type UnitSystem } from '$lib/core';
import { leave, store } from '$lib/server/current';

const THEMES = ['bench-day', 'hood-down'] as const;

/** Told by the server entry; without it (in development) this machine is asked from itself. */
const ROLES = ['full', 'look', 'none'] as const;

/** Opens and migrates the store before the first request, so that a bad folder is told at the start. */
export const init: ServerInit = () => {
	store();
	// The server entry says when it goes.
	process.on('steady-arc:leave' as 'exit', () => void leave());
};

export const handle: Handle = async ({ event, resolve }) => {
	const theme = event.cookies.get('theme');
	const units = event.cookies.get('units');
	event.locals.theme = THEMES.find((t) => t === theme) ?? 'bench-day';
	event.locals.units = UNIT_SYSTEMS.find((u): u is UnitSystem => u === units) ?? 'metric';
	const role = event.request.headers.get('x-steady-role');
	event.locals.role = ROLES.find((r) => r === role) ?? 'full';
	const response = await resolve(event, {
		// The first paint already has the right theme.
		transformPageChunk: ({ html }) => html.replace('%steady.theme%', event.locals.theme)
	});
	response.headers.set('x-content-type-options', 'nosniff');
	response.headers.set('referrer-policy', 'same-origin');
	return response;
};

export const handleError: HandleServerError = ({ error, event, status, message }) => {
	if (status === 404) return { message };
	const id = crypto.randomUUID().slice(0, 8);
	console.error(`[${id}] ${event.request.method} ${event.url.pathname}`, error);
	return { message: 'Something went wrong here; your entries are safe.', id };
};
