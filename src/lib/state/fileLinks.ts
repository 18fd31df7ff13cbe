import { parse } from 'content-disposition';
import { saveFile } from '$lib/dom/saveFile';
import { problemOf } from './problemOf';
import type { Notice } from './workbench.svelte';

/** A file that the server gives, and its name; or why there is none. */
export type Fetched = { name: string; file: Blob } | { problem: string };

/** The file behind a link. `name` is what the link calls it; empty: as the server does. */
export async function fetchFile(href: string, name: string): Promise<Fetched> {
	try {
		const response = await fetch(href);
		if (!response.ok) return { problem: (await problemOf(response)).message };
		const said = response.headers.get('content-disposition');
		const called = said === null ? undefined : parse(said).parameters.filename;
		return { name: name || (called ?? 'steady-arc'), file: await response.blob() };
	} catch {
		return { problem: 'The server does not answer.' };
	}
}

/** What a person is told of it; `waiting`: what of this device the server does not have yet. */
export function toldOf(fetched: Fetched, waiting: number): Notice {
	if ('problem' in fetched)
		return { kind: 'problem', text: `${fetched.problem} No file was saved.` };
	// Whether it is kept, and where, is between the browser and the person.
	const here = `${fetched.name} is here.`;
	if (waiting === 0) return { kind: 'done', text: here };
	const what = waiting === 1 ? 'One entry waits' : `${waiting} entries wait`;
	return { kind: 'kept', text: `${here} ${what} on this device still, and cannot be in it.` };
}

/**
 * Saves what a link to a file points to. By itself a browser does that in a corner of its own, where one that
 * failed is seldom seen; and what still waits on this device is in no file of the server.
 */
export function listenForFiles(
	tell: (notice: Notice) => void,
	waiting: () => number | Promise<number>
): () => void {
	const stop = new AbortController();
	const press = (event: MouseEvent) => {
		const link = (event.target as Element).closest<HTMLAnchorElement>('a[download]');
		const byItself = event.ctrlKey || event.metaKey || event.shiftKey || event.altKey;
		if (!link || byItself || event.defaultPrevented) return;
		// A file that was made here is at hand already; a phone takes a calendar straight into its own.
		if (link.protocol === 'blob:' || /(\.ics|\/calendar)$/.test(link.pathname)) return;
		event.preventDefault();
		if (link.ariaBusy !== 'true') void save(link);
	};
	async function save(link: HTMLAnchorElement) {
		link.ariaBusy = 'true';
		const fetched = await fetchFile(link.href, link.download);
		link.ariaBusy = null;
		if ('file' in fetched) saveFile(fetched.name, fetched.file);
		tell(toldOf(fetched, await waiting()));
	}
	document.addEventListener('click', press, stop);
	return () => stop.abort();
}
