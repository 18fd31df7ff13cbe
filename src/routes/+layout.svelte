<script lang="ts">
	import '../app.css';
	import type { LayoutProps } from './$types';

	let { children }: LayoutProps = $props();

	// Told to whoever drives the page: from here on it answers.
	$effect(() => {
		document.documentElement.dataset.ready = 'true';
	});
</script>

{@render children()}
