<script lang="ts">
	import * as v from 'valibot';
	import { NAME_MOST } from '$lib/core/quantity/within';
	import { SHAPE_KINDS, ShapeSchema } from '$lib/core/shape/makers';
	import { fieldProblems } from '$lib/formats/problem';
	import Choice from '$lib/components/Fields/Choice.svelte';
	import FileButton from '$lib/components/Fields/FileButton.svelte';
	import Fold from '$lib/components/Fields/Fold.svelte';
	import QuantityField from '$lib/components/Fields/QuantityField.svelte';
	import Select from '$lib/components/Fields/Select.svelte';
	import TextField from '$lib/components/Fields/TextField.svelte';
	import { answerTo } from '$lib/state/answerTo';
	import { newOpId } from '$lib/state/ids';
	import { sendNow } from '$lib/state/outbox';
	import type { TemplateDraft } from '$lib/state/templateDraft.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import type { Contour } from '$lib/core/shape/outline';
	import { fieldValue, SHAPE_FIELDS, SHAPE_WORDS, UNIT_CHOICES } from './fields';

	/** The outline: from a few dimensions, from a drawing, or one that was saved. */
	let { draft, saved }: { draft: TemplateDraft; saved: Outline[] } = $props();
	interface Outline {
		id: string;
		name: string;
		revision: number;
	}
	const bench = getWorkbench();
	let shelf = $derived(saved);
	const shape = $derived(draft.source.kind === 'shape' ? draft.source.shape : undefined);
	let open = $state('');

	function set(key: string, value: number | null): string | undefined {
		const parsed = v.safeParse(ShapeSchema, { ...shape, [key]: value });
		if (parsed.success) {
			draft.setShape(parsed.output);
			return undefined;
		}
		const [problem] = fieldProblems(parsed.issues);
		const where =
			problem!.field === key
				? ''
				: `${SHAPE_FIELDS[shape!.kind].find((f) => f.key === problem!.field)?.label ?? ''} must be `;
		return `${where}${problem!.message}`;
	}
	async function save() {
		const body = { opId: newOpId(), name: draft.name, contours: draft.contours };
		const result = await sendNow<Outline>({
			method: 'POST',
			path: '/api/outlines',
			body
		});
		if (result.outcome === 'done') shelf = [...shelf, result.data];
		const text =
			result.outcome === 'refused'
				? result.problem.message
				: `${draft.name} is saved for every bench.`;
		bench.notice = { kind: result.outcome === 'refused' ? 'problem' : 'done', text };
	}
	async function take(id: string) {
		open = id;
		if (!id) return;
		const found = await answerTo<{ name: string; contours: Contour[] }>(`/api/outlines/${id}`);
		// Another was chosen meanwhile.
		if (open !== id) return;
		if (!found) {
			bench.notice = { kind: 'problem', text: 'That outline could not be fetched.' };
			return;
		}
		draft.reading = undefined;
		draft.setDrawing(found.name, found.contours);
	}
	async function putAway() {
		const id = open;
		const was = shelf.find((one) => one.id === id);
		if (!was) return;
		/** Puts it away or takes it back; gives its new revision when that was done. */
		const keep = async (kept: boolean, revision: number) => {
			const body = { opId: newOpId(), kept, revision };
			const path = `/api/outlines/${id}`;
			const result = await sendNow<{ revision: number }>({ method: 'PUT', path, body });
			if (result.outcome === 'done') return result.data.revision;
			bench.notice = { kind: 'problem', text: result.problem.message };
			return undefined;
		};
		const revision = await keep(false, was.revision);
		if (revision === undefined) return;
		shelf = shelf.filter((one) => one.id !== id);
		open = '';
		const undo = async () => {
			const now = await keep(true, revision);
			if (now === undefined) return;
			shelf = [...shelf, { ...was, revision: now }];
			bench.notice = { kind: 'done', text: `${was.name} is back.` };
		};
		bench.notice = { kind: 'done', text: `${was.name} is put away.`, undo: () => void undo() };
	}
</script>

<section aria-label="Outline">
	<div class="flex flex-wrap items-end gap-x-4 gap-y-2">
		<Choice
			label="Outline"
			options={SHAPE_KINDS.map((value) => ({ value, ...SHAPE_WORDS[value] }))}
			value={shape?.kind ?? ('' as never)}
			choose={(kind) => draft.choose(kind)}
		/>
		<FileButton
			label="Open DXF or SVG"
			accept=".dxf,.svg,image/svg+xml"
			take={(file) => void draft.open(file)}
		/>
		{#if shelf.length}
			<Select
				label="Saved outlines"
				hideLabel
				options={[
					{ value: '', label: 'Saved outlines' },
					...shelf.map((one) => ({ value: one.id, label: one.name }))
				]}
				value={open}
				choose={(id) => void take(id)}
			/>
		{/if}
		<div class="w-48">
			<TextField
				label="Called"
				value={draft.name}
				most={NAME_MOST}
				named
				commit={(title) => void draft.change({ title: title.trim() })}
			/>
		</div>
		<button type="button" class="btn" onclick={() => void save()}>Save the outline</button>
		{#if open}<button type="button" class="btn" onclick={() => void putAway()}>Put it away</button
			>{/if}
	</div>
	{#if shape}
		<div class="mt-2 flex flex-wrap items-end gap-3">
			{#each SHAPE_FIELDS[shape.kind] as f (shape.kind + f.key)}
				<div class="w-32">
					<QuantityField
						label={f.label}
						quantity={f.quantity}
						side={f.quantity === 'length'}
						value={fieldValue(shape, f.key)}
						commit={(value) => set(f.key, value)}
					/>
				</div>
			{/each}
		</div>
	{/if}
	<div aria-live="polite" data-testid="file-said">
		{#if draft.busy}
			<p class="sub mt-1">
				Reading {draft.fileName}…
				<button type="button" class="btn" onclick={() => draft.stopReading()}>Stop</button>
			</p>
		{/if}
		{#if draft.problem}<p class="mt-2 font-semibold" style:color="var(--stops)">
				{draft.problem}
			</p>{/if}
		{#if draft.reading && draft.fileName}
			{@const { used, left, unit, contours } = draft.reading}
			<div class="mt-2 flex flex-wrap items-center gap-3">
				<p>
					<b>{draft.fileName}</b>: {contours.length} closed outline{contours.length === 1
						? ''
						: 's'}; unit: {unit.said ? unit.words : `${unit.words}: say which it is`}.
				</p>
				<Choice
					label="Unit of the drawing"
					options={UNIT_CHOICES}
					value={unit.mm}
					choose={(mm) => draft.readAs(mm)}
				/>
			</div>
			<p class="sub">
				Used: {used.map(({ what, count, why }) => `${count} ${what} (${why})`).join(', ') ||
					'nothing'}.
			</p>
			{#if left.length}
				<Fold
					summary="Left out: {left.reduce((sum, { count }) => sum + count, 0)}"
					open={left.length < 4}
				>
					<ul class="list-disc pl-5 text-[0.9375rem]">
						{#each left.slice(0, 30) as { what, count, why } (what + why)}
							<li>{count > 1 ? `${count} ` : ''}{what}: {why}</li>
						{/each}
					</ul>
				</Fold>
			{/if}
		{/if}
	</div>
</section>
