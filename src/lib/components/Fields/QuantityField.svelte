<script lang="ts">
	import { DomainError, parseQuantity, type Quantity } from '$lib/core';
	import { showAgain } from '$lib/state/showAgain';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/**
	 * Takes what people type in any unit. `commit` gives the reason when the value is refused; the text
	 * then stays as typed, so that nothing is lost.
	 */
	let {
		label,
		quantity,
		value,
		commit,
		range,
		optional = false,
		placeholder = 'not known',
		hint,
		side = false
	}: {
		label: string;
		quantity: Quantity;
		value: number | null;
		commit: (
			value: number | null
		) => string | undefined | void | Promise<string | undefined | void>;
		/** What is accepted, both ends included; said in the person's units. */
		range?: readonly [number, number];
		/** Empty is taken as "not known". */
		optional?: boolean;
		placeholder?: string;
		hint?: string;
		/** A length that is a side. */
		side?: boolean;
	} = $props();

	const bench = getWorkbench();
	const uid = $props.id();
	let typed = $state<string | undefined>();
	let error = $state<string | undefined>();
	const say = (one: number) => (side ? bench.saySide(one) : bench.say(one, quantity));
	const shown = $derived(value === null ? '' : say(value));

	async function take(text: string) {
		if (text === shown) {
			typed = error = undefined;
			return;
		}
		if (optional && text.trim() === '') {
			error = (await commit(null)) ?? undefined;
			if (!error) typed = undefined;
			return;
		}
		try {
			const read = parseQuantity(text, { quantity, units: bench.units, gauge: bench.gauge, label });
			const refused =
				range && !(read >= range[0] && read <= range[1])
					? `${say(range[0])} to ${say(range[1])} is accepted`
					: await commit(read);
			error = refused ?? undefined;
			typed = error ? text : undefined;
		} catch (problem) {
			if (!(problem instanceof DomainError)) throw problem;
			typed = text;
			error = `${problem.info.allowed} is accepted, got ${problem.info.received}`;
		}
	}
</script>

<div>
	<label class="sub mb-0.5 block" for={uid}>{label}</label>
	<input
		id={uid}
		class="fig input w-full text-[1.25rem]"
		class:input-error={error}
		type="text"
		inputmode="text"
		autocomplete="off"
		value={typed ?? shown}
		placeholder={optional ? placeholder : ''}
		aria-invalid={error ? 'true' : undefined}
		aria-describedby={error || hint ? `${uid}-note` : undefined}
		onchange={(e) => {
			const box = e.currentTarget;
			void take(box.value).then(() => showAgain(box, () => typed ?? shown));
		}}
	/>
	{#if error}
		<p
			id="{uid}-note"
			class="text-[0.875rem] font-semibold"
			style:color="var(--stops)"
			role="alert"
		>
			{error}
		</p>
	{:else if hint}
		<p id="{uid}-note" class="sub">{hint}</p>
	{/if}
</div>
