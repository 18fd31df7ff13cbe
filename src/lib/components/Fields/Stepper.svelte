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
	const take = (n: number) => set(Math.min(most, Math.max(least, Math.round(n))));
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
			{value}
			onchange={(e) => {
				const typed = Number(e.currentTarget.value.trim());
				if (e.currentTarget.value.trim() !== '' && Number.isFinite(typed)) take(typed);
				e.currentTarget.value = String(value);
			}}
		/>
		<button
			type="button"
			class="btn join-item px-3"
			aria-label="More: {label}"
			disabled={value >= most}
			onclick={() => take(value + 1)}><Plus size={20} aria-hidden="true" /></button
		>
	</div>
</div>
