<script lang="ts">
	import Backup from '$lib/components/Bench/Backup.svelte';
	import BenchFile from '$lib/components/Bench/BenchFile.svelte';
	import OnAPhone from '$lib/components/Bench/OnAPhone.svelte';
	import PartEditor from '$lib/components/Bench/PartEditor.svelte';
	import type { PartId } from '$lib/components/Bench/parts';
	import Rails from '$lib/components/Supply/Rails.svelte';
	import TextField from '$lib/components/Fields/TextField.svelte';
	import ShopSettings from '$lib/components/Bench/ShopSettings.svelte';
	import { edit } from '$lib/state/edit';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** What stands in the shop, one part at a time. */
	const bench = getWorkbench();
	let open = $state<PartId>('breaker');
</script>

<svelte:head><title>{bench.bench.name} · Steady Arc</title></svelte:head>

<div class="px-6 pt-3 pb-4 max-[899px]:px-3">
	<h1 class="fig text-[2.875rem]">{bench.bench.name}</h1>
	<p class="sub">
		This bench, one part at a time. Type in any unit: 1/4", 16 ga, 85 psi, 5 cfm, 25 ft.
	</p>
	{#if bench.bench.typical.length}
		<p class="mt-2 alert alert-warning" data-testid="some-typical">
			Some of it is typical, and nobody has checked it yet.
			<a class="btn" href="/first?{bench.search}">What to check first</a>
		</p>
	{/if}
	<div class="split mt-3">
		<div>
			<Rails {open} told="entered" choose={(part) => (open = part)} />
			<button
				type="button"
				class="torch"
				class:open={open === 'torch'}
				aria-pressed={open === 'torch'}
				data-part="torch"
				onclick={() => (open = 'torch')}
			>
				<b>Torch</b>
				{bench.bench.torch.name}, {bench.bench.torch.fittedA} A nozzle (tip) in it, shield radius
				{bench.say(bench.bench.torch.shieldRadiusMm, 'small')}
			</button>
			<div class="mt-4 grid max-w-md gap-3">
				<TextField
					label="This bench is called"
					value={bench.bench.name}
					commit={(name) => edit(bench, 'name', name)}
				/>
			</div>
			<div class="mt-4 grid items-start gap-4 lg:grid-cols-2">
				<div>
					<BenchFile />
					<a class="btn mt-3" href="/beside?{bench.search}">Set another bench beside it</a>
					<div class="mt-4"><Backup /></div>
					<div class="mt-4"><OnAPhone /></div>
				</div>
				<ShopSettings />
			</div>
		</div>
		<aside class="editor">
			<PartEditor part={open} tells={false} />
		</aside>
	</div>
</div>

<style>
	.split {
		display: grid;
		grid-template-columns: 1fr 360px;
		gap: 24px;
	}
	.editor {
		border-left: 2px solid var(--ink);
		padding-left: 20px;
	}
	.torch {
		width: 100%;
		min-height: 48px;
		margin-top: 10px;
		padding: 6px 12px;
		border: 2.5px solid var(--rule);
		border-radius: 3px;
		text-align: left;
		color: var(--ink);
		cursor: pointer;
	}
	.torch.open {
		border-color: var(--arc);
	}
	@media (max-width: 899px) {
		.split {
			grid-template-columns: minmax(0, 1fr);
		}
		.editor {
			border-left: 0;
			padding: 12px 0 0;
			border-top: 2px solid var(--ink);
			order: -1;
		}
	}
</style>
