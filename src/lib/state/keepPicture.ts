/** A photo made small and laid beside an entry of the log. */
import { PICTURE_BYTES_MOST, PICTURE_SIDE_MOST } from '$lib/formats/pictures';
import type { Workbench } from './workbench.svelte';
import { write } from './write';

/** Drawn anew, so that nothing of place or device goes with it; softer until it is small enough. */
async function madeSmall(file: Blob): Promise<Blob> {
	const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' });
	const scale = Math.min(1, PICTURE_SIDE_MOST / Math.max(bitmap.width, bitmap.height));
	const canvas = new OffscreenCanvas(
		Math.max(1, Math.round(bitmap.width * scale)),
		Math.max(1, Math.round(bitmap.height * scale))
	);
	const context = canvas.getContext('2d')!;
	context.imageSmoothingQuality = 'high';
	context.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
	bitmap.close();
	let blob: Blob;
	let quality = 0.85;
	do {
		blob = await canvas.convertToBlob({ type: 'image/jpeg', quality });
		quality -= 0.15;
	} while (blob.size > PICTURE_BYTES_MOST && quality > 0.2);
	return blob;
}

const base64 = (blob: Blob): Promise<string> =>
	new Promise((resolve, reject) => {
		const reader = new FileReader();
		reader.onload = () => {
			const text = reader.result as string;
			resolve(text.slice(text.indexOf(',') + 1));
		};
		reader.onerror = () => reject(reader.error ?? new Error('not read'));
		reader.readAsDataURL(blob);
	});

/** `entryOp`: the write that made the entry; one that still waits here goes first. */
export async function keepPicture(bench: Workbench, file: Blob, entryOp: string): Promise<void> {
	let jpeg: string;
	try {
		jpeg = await base64(await madeSmall(file));
	} catch {
		bench.notice = {
			kind: 'problem',
			text: 'The entry is logged; its picture could not be made small and is not kept.'
		};
		return;
	}
	await write(
		bench,
		{ method: 'POST', path: '/api/pictures', body: { entryOp, jpeg }, words: 'A picture' },
		'Logged; the picture waits on this device and is sent when the server answers.'
	);
}
