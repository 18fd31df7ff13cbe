<script lang="ts">
	import { tick, untrack } from 'svelte';
	import { answerOf, isAnswered, typicalAnswer } from '$lib/core/answers/answered';
	import type { QuestionId } from '$lib/core/answers/shapes';
	import Choice from '$lib/components/Fields/Choice.svelte';
	import QuantityField from '$lib/components/Fields/QuantityField.svelte';
	import type { StartPath } from '$lib/state/startPath.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import { ASKS, readTypical, type Option } from './asks';

	/**
	 * One question. A press on an answer takes it; arrow keys choose and Enter takes. What was refused stays as
	 * it was typed.
	 */
	let { path, id }: { path: StartPath; id: QuestionId } = $props();
	const bench = getWorkbench();
	const ask = $derived(ASKS[id]);
	const options = $derived(ask.options?.(path) ?? []);
	const choices = $derived(ask.choices?.(path) ?? []);
	let draft = $state.raw<Record<string, unknown>>(
		untrack(() => (isAnswered(path.bench, id) ? { ...answerOf(path.bench, id) } : {}))
	);
	let form = $state<HTMLFormElement>();
	let picked = $state(0);
	let missing = $state<string | undefined>();
	const say = bench.say.bind(bench);

	const same = (option: Option) =>
		Object.entries(option.value).every(([key, value]) => draft[key] === value);
	const chosen = $derived(options.findIndex(same));
	/** What an option stands for is not typed a second time. */
	const standsInOption = (key: string) => chosen >= 0 && key in options[chosen]!.value;

	function take() {
		// A cutter that makes its own air has no compressor to be read.
		const unasked = draft.source === 'built-in' ? typicalAnswer(path.bench, id) : {};
		const required = (ask.fields ?? []).find(
			({ key, optional }) =>
				!optional && (draft[key] ?? (unasked as typeof draft)[key]) === undefined
		);
		const unchosen = options.length > 0 && chosen < 0 && !ask.fields?.some((f) => !f.optional);
		if (required || unchosen) {
			missing = required
				? `${required.label}: type it as it stands there, or say that you don’t know.`
				: 'Choose one, or say that you don’t know.';
			return;
		}
		missing = undefined;
		const optional = (ask.fields ?? []).filter((f) => f.optional).map(({ key }) => [key, null]);
		const first = choices.map(({ key, options: [one] }) => [key, valueOf(key, one!.value)]);
		path.answer(id, { ...unasked, ...Object.fromEntries([...optional, ...first]), ...draft });
	}
	/** A press by hand answers at once where nothing else is asked; arrow keys only move. */
	function choose(option: Option, byHand: boolean) {
		draft = { ...draft, ...option.value };
		// What was typed instead, and perhaps refused, is meant no more.
		picked++;
		const more = choices.length > 0 || (ask.fields ?? []).some((f) => f.optional);
		if (byHand && !more) take();
	}
	const valueOf = (key: string, text: string): unknown =>
		text === '' ? null : key === 'phases' ? Number(text) : text;
	const textOf = (key: string): string | undefined => {
		const value = draft[key];
		if (value === undefined) return undefined;
		return typeof value === 'string' || typeof value === 'number' ? String(value) : '';
	};
	function fill(key: string, value: number | null) {
		draft = { ...draft, [key]: value };
		missing = undefined;
	}
</script>

<form
	aria-labelledby="question"
	bind:this={form}
	onsubmit={(e) => {
		e.preventDefault();
		void tick().then(() => {
			// What was refused stands in its field, with the reason under it.
			if (!form?.querySelector('[aria-invalid="true"]')) take();
		});
	}}
>
	<h1 id="question" class="fig text-[2.75rem] leading-none whitespace-normal" tabindex="-1">
		{ask.title}
	</h1>
	<p class="mt-2">{ask.help}</p>
	{#if options.length}
		<div class="options" role="radiogroup" aria-labelledby="question">
			{#each options as option, i (option.label + (option.note ?? ''))}
				<label class="option">
					<input
						type="radio"
						name="answer-{id}"
						checked={i === chosen}
						onclick={(e) => choose(option, e.detail > 0)}
						onchange={() => choose(option, false)}
					/>
					<span class="fig text-[1.75rem]">{option.label}</span>
					{#if option.note}<span class="sub">{option.note}</span>{/if}
					{#if option.share}<span class="ten" style:--share={option.share} aria-hidden="true"
						></span>{/if}
				</label>
			{/each}
		</div>
	{/if}
	{#if ask.fields?.length}
		<div class="mt-3 grid grid-cols-2 gap-3">
			{#each ask.fields as field (field.optional ? field.key : `${field.key} ${picked}`)}
				<QuantityField
					label={field.label}
					quantity={field.quantity}
					value={standsInOption(field.key)
						? null
						: ((draft[field.key] as number | null | undefined) ?? null)}
					optional
					placeholder={field.optional ? 'if it says so' : ''}
					commit={(value) => fill(field.key, value)}
				/>
			{/each}
		</div>
	{/if}
	{#each choices as choice (choice.key)}
		<div class="mt-3">
			<Choice
				label={choice.label}
				showLabel
				options={choice.options}
				value={textOf(choice.key) ?? choice.options[0]!.value}
				choose={(text) => (draft = { ...draft, [choice.key]: valueOf(choice.key, text) })}
			/>
		</div>
	{/each}
	{#if missing ?? path.problem}
		<p class="mt-3 font-semibold" style:color="var(--stops)" role="alert">
			{missing ?? path.problem}
		</p>
	{/if}
	<div class="mt-3 grid grid-cols-1 gap-2">
		<button class="btn justify-between btn-primary btn-xl" type="submit"
			>Next <kbd class="kbd kbd-sm">Enter</kbd></button
		>
		<button
			class="unknown btn justify-between btn-xl"
			type="button"
			aria-keyshortcuts="n"
			onclick={() => path.unknown(id)}
		>
			<span>I don’t know <kbd class="kbd kbd-sm">N</kbd></span>
			<span class="typical">take {readTypical(path, id, say)}, typical, not yet checked</span>
		</button>
	</div>
</form>

<style>
	.options {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(8.5rem, 1fr));
		gap: 8px;
		margin-top: 12px;
	}
	.option {
		position: relative;
		display: flex;
		flex-wrap: wrap;
		align-items: baseline;
		justify-content: space-between;
		gap: 0 8px;
		min-height: 64px;
		padding: 8px 12px;
		border: 1.5px solid var(--ink);
		background: var(--sheet);
		cursor: pointer;
		align-content: center;
	}
	/* The whole field answers to a thumb. */
	.option input {
		position: absolute;
		inset: 0;
		opacity: 0;
		cursor: pointer;
	}
	.option:has(:checked) {
		background: var(--arc-wash);
		border-color: var(--arc);
		box-shadow: inset 0 0 0 1.5px var(--arc);
	}
	.option:has(:focus-visible) {
		outline: 3px solid var(--arc);
		outline-offset: 2px;
	}
	.ten {
		width: 100%;
		height: 10px;
		border: 1.5px solid var(--ink);
		background:
			repeating-linear-gradient(
				to right,
				transparent 0 calc(10% - 1.5px),
				var(--sheet) calc(10% - 1.5px) 10%
			),
			linear-gradient(
				to right,
				var(--ink) calc(var(--share) * 100%),
				transparent calc(var(--share) * 100%)
			);
	}
	.unknown {
		border-style: dashed;
		height: auto;
		text-align: left;
		flex-wrap: wrap;
		padding-block: 10px;
	}
	.typical {
		color: var(--tight-ink);
		font-weight: 600;
	}
</style>
