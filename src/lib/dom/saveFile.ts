/** Hands a file that was made here to the person. */
export function saveFile(name: string, type: string, body: string): void {
	const url = URL.createObjectURL(new Blob([body], { type }));
	const link = document.createElement('a');
	link.href = url;
	link.download = name;
	link.click();
	// The browser has taken it by then.
	setTimeout(() => URL.revokeObjectURL(url), 10_000);
}
