import { dataFolder } from './config';
import { openStore, type Store } from './store';

let opened: Store | undefined;

/** The one store of this process, opened at the first use and by the server's start. */
export function store(): Store {
	return (opened ??= openStore(dataFolder()));
}

export function closeStore(): void {
	opened?.db.close();
	opened = undefined;
}
