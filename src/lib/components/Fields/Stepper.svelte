<script lang="ts">
	import Minus from '@lucide/svelte/icons/minus';
	import Plus from '@lucide/svelte/icons/plus';

	/** A small whole number, one press up or down, or typed. */
	let {
		label,
		value,
		least,
		most,
		set
	}: {
		label: string;
		value: number;
		least: number;
		most: number;
		set: (value: number) => void;
	} = $props();
	const uid = $props.id();
	let error = $state<string | undefined>();
	let typed = $state<string | undefined>();
	const take = (n: number) => {
		typed = error = undefined;
		set(n);
	};
	/** What is not taken stays as it was typed, with the reason beside it. */
	function read(text: string) {
		const n = Number(text.trim());
		if (text.trim() !== '' && Number.isInteger(n) && n >= least && n <= most) {
			take(n);
			return;
		}
		typed = text;
		error = `${least} to ${most}, whole numbers`;
	}
</script>

<div>
	<label class="sub mb-0.5 block" for={uid}>{label}</label>
	<div class="join">
		<button
			type="button"
			class="btn join-item px-3"
			aria-label="Fewer: {label}"
			disabled={value <= least}
			onclick={() => take(value - 1)}><Minus size={20} aria-hidden="true" /></button
		>
		<input
			id={uid}
			class="fig input join-item w-16 text-center text-[1.25rem]"
			type="text"
			inputmode="numeric"
			autocomplete="off"
			class:input-error={error}
			value={typed ?? value}
			aria-invalid={error ? 'true' : undefined}
			aria-describedby={error ? `${uid}-note` : undefined}
			onchange={(e) => read(e.currentTarget.value)}
		/>
		<button
			type="button"
			class="btn join-item px-3"
			aria-label="More: {label}"
			disabled={value >= most}
			onclick={() => take(value + 1)}><Plus size={20} aria-hidden="true" /></button
		>
	</div>
	{#if error}
		<p
			id="{uid}-note"
			class="max-w-40 text-[0.875rem] font-semibold"
			style:color="var(--stops)"
			role="alert"
		>
			{error}
		</p>
	{/if}
</div>
