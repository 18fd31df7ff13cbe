import { describe, expect, it } from 'vitest';
import { TemplateDraft } from './templateDraft.svelte';

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
});
