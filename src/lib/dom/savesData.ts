/** Whether the browser is told to save data, as by whoever pays by the byte. Not every browser says; asked in the browser only. */
export const savesData = (): boolean =>
	(navigator as { connection?: { saveData?: boolean } }).connection?.saveData ?? false;
