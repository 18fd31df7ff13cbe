import { ROUNDS } from './rounds';
import { openBrowser } from '../browser';

const ROWS = 10_000;

/** A chart of ten thousand rows, as a shop would export it. */
function hugeChart(): string {
	const rows = Array.from({ length: ROWS }, (_, i) => {
		const [group, step] = [Math.floor(i / 100), i % 100];
		const mm = (1 + step * 0.25).toFixed(2);
		return `mild steel,45,${20 + (group % 100)},${mm},${(1200 / Number(mm)).toFixed(2)},5.5,1.5`;
	});
	return [
		'metal,nozzle (A),amps,thickness (mm),speed (mm/min),pressure (bar),kerf (mm)',
		...rows
	].join('\n');
}

/** As text: what the runner does to functions does not exist in the page. */
const TIMED = `new Promise((resolve) => {
	let start = 0;
	document.querySelector('input[type=file]').addEventListener(
		'change', () => { start = performance.now(); }, { once: true, capture: true });
	requestAnimationFrame(function look() {
		const preview = document.querySelector('[data-testid="chart-preview"]');
		if (start && preview && preview.textContent.includes('${ROWS}')) resolve(performance.now() - start);
		else requestAnimationFrame(look);
	});
})`;

/** From the file being chosen to its preview on the screen, read in a worker: ms. */
export async function benchChart(base: string): Promise<number[]> {
	const browser = await openBrowser();
	try {
		const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
		await page.goto(`${base}/chart`);
		await page.locator('html[data-ready]').waitFor({ state: 'attached' });
		const buffer = Buffer.from(hugeChart());
		const times: number[] = [];
		for (let i = 0; i < ROUNDS; i++) {
			// The time runs in the page, from its own change event to the paint of the preview.
			const took = page.evaluate<number>(TIMED);
			await page
				.getByLabel('Chart file')
				.setInputFiles({ name: `huge-${i}.csv`, mimeType: 'text/csv', buffer });
			times.push(await took);
			await page.getByRole('button', { name: 'Leave it' }).click();
		}
		return times;
	} finally {
		await browser.close();
	}
}
