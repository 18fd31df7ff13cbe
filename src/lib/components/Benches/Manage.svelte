<script lang="ts">
	import { goto } from '$app/navigation';
	import type { BenchAnswer } from '$lib/formats/bodies/planned';
	import { duplicate, keepBench, rename } from '$lib/state/benches';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** The bench itself: called otherwise, copied, taken away with a way back. */
	let {
		answer,
		others,
		changed
	}: {
		answer: BenchAnswer;
		/** Where to go when the bench that is open here is taken away. */
		others: readonly BenchAnswer[];
		/** The shop has changed: it is asked again. */
		changed: () => void;
	} = $props();
	const bench = getWorkbench();
	const uid = $props.id();
	let typed = $state<string | undefined>();
	let busy = $state(false);
	let problem = $state<string | undefined>();

	async function work<T>(
		ask: Promise<({ ok: true } & T) | { ok: false; why: string }>
	): Promise<T | undefined> {
		busy = true;
		problem = undefined;
		const result = await ask;
		busy = false;
		if (result.ok) return result;
		problem = result.why;
		return undefined;
	}
	function done(text: string, undo?: () => void) {
		bench.notice = { kind: 'done', text, undo };
		bench.refresh();
		changed();
	}
	async function takeName() {
		const name = typed!.trim();
		if (name === answer.name) {
			typed = undefined;
			return;
		}
		if (!(await work(rename(answer.id, name)))) return;
		typed = undefined;
		done(`${answer.name} is called ${name} now.`, () => {
			void work(rename(answer.id, answer.name)).then(
				(back) => back && done(`${answer.name} has its name again.`)
			);
		});
	}
	async function copy() {
		const made = await work(duplicate(answer.id));
		if (made) done(`${made.name} is there; it starts with no log, chart or cards.`);
	}
	async function takeAway() {
		const { id, name, revision } = answer;
		const gone = await work(keepBench(id, false, revision));
		if (!gone) return;
		if (id === bench.benchId) await goto(`/benches?bench=${others[0]!.id}`);
		done(`${name} is deleted, with its log, chart and cards.`, () => {
			void keepBench(id, true, gone.revision).then((back) => {
				if (back.ok) done(`${name} is back, with all that was in it.`);
				else bench.notice = { kind: 'problem', text: back.why };
			});
		});
	}
</script>

{#if typed === undefined}
	<div class="flex flex-wrap gap-x-2" role="group" aria-label="The bench {answer.name}">
		<button
			type="button"
			class="btn btn-ghost px-1 underline"
			disabled={busy}
			onclick={() => (typed = answer.name)}>Rename</button
		>
		<button
			type="button"
			class="btn btn-ghost px-1 underline"
			disabled={busy}
			onclick={() => void copy()}>Duplicate</button
		>
		<button
			type="button"
			class="btn btn-ghost px-1 underline"
			disabled={busy || others.length === 0}
			onclick={() => void takeAway()}>Delete</button
		>
	</div>
{:else}
	<form
		class="mt-1 flex gap-2"
		onsubmit={(e) => {
			e.preventDefault();
			void takeName();
		}}
	>
		<label class="sr-only" for={uid}>New name of {answer.name}</label>
		<!-- svelte-ignore a11y_autofocus -->
		<input
			id={uid}
			class="input min-w-0 grow"
			class:input-error={problem}
			autocomplete="off"
			autofocus
			aria-describedby={problem ? `${uid}-why` : undefined}
			bind:value={typed}
			onkeydown={(e) => e.key === 'Escape' && (typed = problem = undefined)}
		/>
		<button class="btn btn-primary" disabled={busy}>Rename</button>
	</form>
{/if}
{#if problem}<p
		id="{uid}-why"
		class="text-[0.875rem] font-semibold"
		style:color="var(--stops)"
		role="alert"
	>
		{problem}
	</p>{/if}
