import { linearLight, type Light } from '$lib/core/photo/light';
import { readBevel } from '$lib/core/photo/bevel';
import { readEdge } from '$lib/core/photo/edge';
import { readKerf } from '$lib/core/photo/kerf';
import { readNozzle } from '$lib/core/photo/nozzle';
import type { PhotoAsk, PhotoTold } from '$lib/formats/photo';
import { photoFile } from '$lib/formats/photoFile';

let open: Light | undefined;
const tell = (told: PhotoTold) => postMessage(told);

onmessage = ({ data }: MessageEvent<PhotoAsk>) => void look(data);

async function look(ask: PhotoAsk) {
	try {
		if (ask.file) open = await opened(ask.file);
		const light = open;
		if (!light) return;
		const { width, height } = light;
		tell({ stage: 'looking' });
		const size = { width, height };
		if (ask.of === 'nozzle')
			tell({ of: 'nozzle', nozzle: readNozzle(light, ask.faceMm, ask.hint), size });
		else if (ask.of === 'edge')
			tell({ of: 'edge', edge: readEdge(light, ask.thicknessMm, ask.lines), size });
		else if (ask.of === 'kerf')
			tell({ of: 'kerf', kerf: readKerf(light, ask.tickMm, ask.sides), size });
		else tell({ of: 'end', end: readBevel(light), size });
	} catch {
		tell({ problem: 'The picture could not be opened. Copy it again, or take another one.' });
	}
}

async function opened(file: Blob): Promise<Light | undefined> {
	tell({ stage: 'opening' });
	const told = photoFile(new Uint8Array(await file.arrayBuffer()));
	if ('problem' in told) {
		tell(told);
		return undefined;
	}
	const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' });
	const { width, height } = bitmap;
	const canvas = new OffscreenCanvas(width, height);
	const context = canvas.getContext('2d', { willReadFrequently: true })!;
	context.drawImage(bitmap, 0, 0);
	bitmap.close();
	tell({ stage: 'light' });
	return linearLight(context.getImageData(0, 0, width, height).data, width, height);
}
