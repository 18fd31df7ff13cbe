import type { ClientInit } from '@sveltejs/kit';

/**
 * A page that was opened without naming its bench names it before anything starts: its links do, and one that
 * differs in it from the address would be asked of the server, which may have gone away by then.
 */
export const init: ClientInit = () => {
	const benchId = document.querySelector<HTMLElement>('main[data-bench]')?.dataset.bench;
	const url = new URL(location.href);
	if (benchId === undefined || url.searchParams.has('bench')) return;
	url.searchParams.set('bench', benchId);
	history.replaceState(history.state, '', url);
};
