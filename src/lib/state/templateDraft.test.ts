import { afterEach, describe, expect, it, vi } from 'vitest';
import { inputsOf } from '../../../tests/support/inputs';
import { TemplateDraft } from './templateDraft.svelte';

/** What the device gives back, when the test lets it. */
let device: Promise<unknown> = Promise.resolve(undefined);
vi.mock('idb-keyval', () => ({
	createStore: () => ({}),
	get: () => device,
	set: () => Promise.resolve()
}));
const KEPT = {
	source: { kind: 'shape', shape: { kind: 'disc', diameterMm: 90 } },
	keep: 'part',
	outside: 'waste',
	holes: 'kept',
	parts: 7
};
afterEach(() => vi.unstubAllGlobals());

describe('the template being made', () => {
	it('refuses a file of a hundred megabytes before it is read, and keeps what was there', async () => {
		const draft = new TemplateDraft();
		const before = draft.contours;
		const file = {
			name: 'survey.dxf',
			size: 100e6,
			text: () => Promise.reject(new Error('it must not be read'))
		};
		await draft.open(file as unknown as File);
		expect(draft.problem).toContain('survey.dxf has 100 MB');
		expect(draft.contours).toEqual(before);
		expect(draft.busy).toBe(false);
	});
	it('is called by its shape until the person names it, and anew with another shape', () => {
		const draft = new TemplateDraft();
		expect(draft.name).toBe('flange');
		draft.change({ title: 'Sluice cover' });
		expect(draft.name).toBe('Sluice cover');
		draft.choose('disc');
		expect(draft.name).toBe('disc');
		draft.setDrawing('strainer', draft.contours);
		expect(draft.name).toBe('strainer');
	});
	it('goes on where this device left off, but never over what was changed since the page is open', async () => {
		device = Promise.resolve(KEPT);
		const back = new TemplateDraft();
		await back.restore();
		expect(back.parts).toBe(7);
		expect(back.name).toBe('disc');
		let tell: (kept: unknown) => void;
		device = new Promise((resolve) => (tell = resolve));
		const draft = new TemplateDraft();
		const restored = draft.restore();
		draft.setDrawing('strainer', draft.contours);
		tell!(KEPT);
		await restored;
		expect(draft.name).toBe('strainer');
		expect(draft.parts).toBe(1);
	});
	it('asks a new worker after one that broke', () => {
		const workers: { onerror?: () => void; asked: number }[] = [];
		vi.stubGlobal(
			'Worker',
			class {
				onerror?: () => void;
				asked = 0;
				constructor() {
					workers.push(this);
				}
				postMessage() {
					this.asked++;
				}
				terminate() {}
			}
		);
		const draft = new TemplateDraft();
		const torch = { shieldRadiusMm: 12, kerfMm: 1.4 };
		draft.make(inputsOf({}), torch);
		workers[0]!.onerror!();
		expect(draft.problem).toContain('could not be worked on');
		draft.make(inputsOf({}), torch);
		expect(workers.map(({ asked }) => asked)).toEqual([1, 1]);
		draft.choose('disc');
		expect(draft.problem).toBeUndefined();
		draft.close();
	});
});
