<script lang="ts">
	import { page } from '$app/state';
</script>

<svelte:head><title>{page.status} · Steady Arc</title></svelte:head>
<main class="sheet mx-auto min-h-screen max-w-2xl p-6">
	<h1 class="fig text-[2.75rem]">{page.status}</h1>
	<p class="my-4 text-lg">{page.error?.message}</p>
	{#if page.error?.id}<p class="sub">Tell this when you ask for help: {page.error.id}</p>{/if}
	<a class="btn mt-4 btn-primary" href="/">Back to the bench</a>
</main>
