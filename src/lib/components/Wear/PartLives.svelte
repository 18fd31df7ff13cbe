<script lang="ts">
	import type { FigureId } from '$lib/core';
	import Fig from '$lib/components/Balloon/Fig.svelte';
	import { LOOKED_AT, USUAL_STARTS } from '$lib/core/wear/workings';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import { lifeLine } from './stack';

	/** Under the drawing, in its order: what is left in each part, and who says so. */
	const bench = getWorkbench();
	const { figures } = $derived(bench.plan);
	const check = $derived(bench.plan.checks.find(({ id }) => id === 'wear.cutsLeft')!);
	interface Row {
		name: string;
		id: FigureId;
		unit: string;
		/** Worn by what was cut, not judged by eye. */
		byCuts?: true;
		share: number | null;
		told: string;
	}
	const byEye: Record<(typeof LOOKED_AT)[number], { name: string; id: FigureId }> = {
		shield: { name: 'Shield', id: 'wear.shieldLeft' },
		cap: { name: 'Retaining cap', id: 'wear.capLeft' },
		ring: { name: 'Swirl ring', id: 'wear.ringLeft' },
		'o-ring': { name: 'O-ring', id: 'wear.oRingLeft' },
		'gouge-nozzle': { name: 'Gouging nozzle', id: 'wear.gougeNozzleLeft' }
	};
	function looked(part: (typeof LOOKED_AT)[number]): Row {
		const left = figures[byEye[part].id].value;
		return {
			...byEye[part],
			unit:
				left === null ? '' : `${part === 'gouge-nozzle' ? 'gouging starts' : 'starts'}, usually`,
			share: left === null ? null : left / USUAL_STARTS[part],
			told: left === null ? 'nobody noted when it was put in' : 'look at it: it tells more'
		};
	}
	const SAYS: Record<string, string> = {
		measured: 'measured',
		lives: 'as those before it lasted',
		model: 'never measured',
		partner: 'goes with its electrode'
	};
	const worn = (
		name: string,
		cuts: 'wear.electrodeLeft' | 'wear.nozzleLeft',
		share: 'wear.electrodeShare' | 'wear.nozzleShare',
		now: string
	): Row => {
		// Where no such cut can be counted, there is still so much left of the part.
		const id = figures[cuts].value === null ? share : cuts;
		return {
			name,
			id,
			byCuts: true,
			unit: id === cuts ? 'cuts left' : 'left',
			share: figures[share].value,
			told: `${now}, ${SAYS[figures[id].way]}`
		};
	};
	const rows = $derived([
		looked('shield'),
		looked('cap'),
		worn('Nozzle', 'wear.nozzleLeft', 'wear.nozzleShare', `bore ${bench.sayFigure('wear.boreMm')}`),
		looked('ring'),
		worn(
			'Electrode',
			'wear.electrodeLeft',
			'wear.electrodeShare',
			`pit ${bench.sayFigure('wear.pitMm')}`
		),
		looked('o-ring'),
		// Of no bench that does not gouge.
		...(figures['wear.gougeNozzleLeft'].value === null ? [] : [looked('gouge-nozzle')])
	]);
</script>

<ul class="lives" aria-label="What is left in each part">
	{#each rows as row (row.name)}
		{@const first = row.name === check.part}
		<li class:first class:apart={row.id === 'wear.gougeNozzleLeft'}>
			<div class="flex flex-wrap items-baseline justify-between gap-x-2">
				<b>{row.name}</b>{#if first}<span class="tag">goes first</span>{/if}
			</div>
			{#if row.share === null}
				<svg width="150" height="10" viewBox="0 0 150 10" aria-hidden="true"
					><path
						d="M1 1H149V9H1Z"
						fill="none"
						stroke="var(--rule)"
						stroke-dasharray="5 4"
						stroke-width="2"
					/></svg
				>
			{:else}
				<svg width="150" height="10" viewBox="0 0 150 10" aria-hidden="true"
					><path
						d={lifeLine(row.share)}
						fill={row.byCuts ? (first ? 'var(--arc)' : 'var(--ink)') : 'none'}
						stroke="var(--ink)"
						stroke-width={row.byCuts ? 0 : 1.6}
					/></svg
				>
			{/if}
			{#if row.share !== null}
				<div class="flex items-baseline gap-2">
					<Fig id={row.id} size={34} color={first ? 'var(--arc)' : undefined} />
					<span class="sub">{row.unit}</span>
				</div>
			{/if}
			<span class="sub">{row.told}</span>
		</li>
	{/each}
</ul>

<style>
	.lives {
		display: grid;
		grid-template-columns: repeat(6, minmax(0, 1fr));
		max-width: 1152px;
	}
	li {
		display: grid;
		align-content: start;
		gap: 3px;
		padding: 6px 10px 8px;
		border: 2px solid transparent;
	}
	/* Not of the stack that is drawn above. */
	li.apart {
		grid-column: 1 / -1;
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 2px 14px;
		padding-block: 0 4px;
	}
	li.first {
		border-color: var(--arc);
	}
	svg {
		max-width: 100%;
	}
	.tag {
		background: var(--arc);
		color: var(--sheet);
		font-weight: 700;
		padding: 0 6px;
		font-size: 0.875rem;
	}
	@media (max-width: 899px) {
		.lives {
			grid-template-columns: repeat(2, minmax(0, 1fr));
		}
	}
</style>
