<script lang="ts">
	import Choice from '$lib/components/Fields/Choice.svelte';
	import QuantityField from '$lib/components/Fields/QuantityField.svelte';
	import { CHECKED_MM } from '$lib/core/photo/paperRule';
	import type { RuleScale } from '$lib/state/ruleScale.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** Which rule lies in the picture; one of paper has to be measured first. */
	let { rule }: { rule: RuleScale } = $props();
	const bench = getWorkbench();
</script>

<Choice
	label="Finest lines of the rule"
	showLabel
	options={[
		{ value: '1', label: '1 mm', help: 'A line at every millimetre.' },
		{ value: '0.5', label: '½ mm', help: 'Two lines to the millimetre.' },
		{ value: '16', label: '1/16 in', help: 'Sixteen lines to the inch.' },
		{ value: '32', label: '1/32 in', help: 'Thirty-two lines to the inch.' },
		{ value: 'paper', label: 'Paper', help: 'The printed one, checked by a steel rule.' }
	]}
	value={rule.lines}
	choose={(lines) => rule.choose(lines)}
/>
{#if rule.lines === 'paper'}
	<div class="w-[210px]">
		<QuantityField
			label="0 to 100, by a steel rule"
			quantity="small"
			value={rule.paperMm}
			range={CHECKED_MM}
			commit={(mm) => {
				if (mm !== null) rule.measured(mm);
			}}
		/>
	</div>
	<a class="btn" href="/paper-rule?{bench.search}">Print the rule</a>
{/if}
