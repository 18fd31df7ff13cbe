/** A photo of twelve megapixels, from the file that is chosen to the bore on the screen. */
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import jpeg from 'jpeg-js';
import { nozzlePicture } from '../../tests/pictures/nozzle';
import { openBrowser } from '../browser';
import { rounds } from './rounds';

const [WIDTH, HEIGHT] = [4000, 3000];

function photo(): Buffer {
	const { picture } = nozzlePicture(11, null, {
		faceMm: 9,
		pxPerMm: 50,
		quality: null,
		glare: null
	});
	const data = new Uint8Array(4 * WIDTH * HEIGHT);
	// A bench with some grain about the nozzle, as a camera sees it.
	for (let i = 0; i < data.length; i++)
		data[i] = i % 4 === 3 ? 255 : 60 + ((i * 2654435761) >>> 28);
	const [left, top] = [1500, 1100];
	const row = 4 * picture.width;
	for (let y = 0; y < picture.height; y++)
		data.set(picture.rgba.subarray(y * row, (y + 1) * row), 4 * ((top + y) * WIDTH + left));
	return Buffer.from(jpeg.encode({ data, width: WIDTH, height: HEIGHT }, 85).data);
}

/** Seconds. */
export async function benchPhoto(base: string): Promise<number[]> {
	const folder = mkdtempSync(join(tmpdir(), 'steady-arc-photo-'));
	const browser = await openBrowser();
	try {
		const file = join(folder, 'nozzle.jpg');
		writeFileSync(file, photo());
		return await rounds(async () => {
			const page = await browser.newPage();
			await page.goto(`${base}/photo`, { waitUntil: 'networkidle' });
			await page.evaluate(CLOCK);
			await page.locator('input[type=file]').setInputFiles(file);
			await page.locator('[data-testid=bore-read][data-value]').waitFor();
			const tookMs = await page.evaluate<number>('window.readAt - window.chosenAt');
			await page.close();
			return tookMs / 1000;
		});
	} finally {
		await browser.close();
		rmSync(folder, { recursive: true });
	}
}
/** As text: what the runner does to functions does not exist in the page. */
const CLOCK = `addEventListener('change', () => (window.chosenAt = performance.now()), true);
new MutationObserver(() => {
	if (document.querySelector('[data-testid=bore-read][data-value]')) window.readAt ??= performance.now();
}).observe(document, { subtree: true, childList: true })`;
