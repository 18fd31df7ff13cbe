/** Asked for in the browser by whoever pays by the byte. Not every browser tells; in the browser only. */
export const savesData = (): boolean =>
	(navigator as { connection?: { saveData?: boolean } }).connection?.saveData ?? false;
