/** Hands a file that was made here to the person. */
export function saveFile(name: string, file: Blob): void {
	const url = URL.createObjectURL(file);
	const link = document.createElement('a');
	link.href = url;
	link.download = name;
	link.click();
	// The browser takes it in its own time: an address given back at once may be gone before.
	setTimeout(() => URL.revokeObjectURL(url), 10_000);
}
