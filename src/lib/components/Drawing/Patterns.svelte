<!-- Hatches of the drawings; the ids are unique per drawing through the prefix. -->
<script lang="ts">
	let { prefix }: { prefix: string } = $props();
</script>

<defs>
	<pattern
		id="{prefix}-steel"
		width="9"
		height="9"
		patternUnits="userSpaceOnUse"
		patternTransform="rotate(45)"
	>
		<rect width="9" height="9" fill="var(--steel)" />
		<path d="M0 0V9" stroke="var(--steel-line)" stroke-width="1.6" />
	</pattern>
	<pattern
		id="{prefix}-copper"
		width="6"
		height="6"
		patternUnits="userSpaceOnUse"
		patternTransform="rotate(-45)"
	>
		<rect width="6" height="6" fill="var(--copper2)" />
		<path d="M0 0V6" stroke="var(--copper)" stroke-width="1.6" />
	</pattern>
	<pattern
		id="{prefix}-waste"
		width="10"
		height="10"
		patternUnits="userSpaceOnUse"
		patternTransform="rotate(45)"
	>
		<path d="M0 0V10" stroke="var(--rule)" stroke-width="1.5" />
	</pattern>
</defs>
