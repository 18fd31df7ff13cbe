<script lang="ts">
	import Check from '@lucide/svelte/icons/check';
	import X from '@lucide/svelte/icons/x';

	let { dos, donts }: { dos: string[]; donts: string[] } = $props();
</script>

<div class="grid gap-x-4 gap-y-1 sm:grid-cols-2">
	<ul class="space-y-1">
		{#each dos as text (text)}<li class="flex gap-2">
				<Check
					size={18}
					color="var(--holds)"
					strokeWidth={3}
					class="flex-none"
					aria-label="Do"
				/>{text}
			</li>{/each}
	</ul>
	<ul class="space-y-1">
		{#each donts as text (text)}<li class="flex gap-2">
				<X
					size={18}
					color="var(--stops)"
					strokeWidth={3}
					class="flex-none"
					aria-label="Do not"
				/>{text}
			</li>{/each}
	</ul>
</div>
