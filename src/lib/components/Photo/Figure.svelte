<script lang="ts">
	/** What was read, and how far it may be off. */
	let {
		name,
		said,
		spread,
		more = ''
	}: { name: string; said: string; spread: string; more?: string } = $props();
</script>

<p class="h">{name}</p>
<p class="fig read">
	{said}<span class="sub give">give or take {spread}{more && `, ${more}`}</span>
</p>

<style>
	.read {
		font-size: 2.75rem;
		line-height: 1.1;
	}
	.give {
		font-size: 1.125rem;
		margin-left: 12px;
	}
</style>
