<svg width="45" height="24" viewBox="0 0 45 24" aria-hidden="true">
	<path
		d="M0 19H9C15 19 11 4 18 4H27C34 4 30 19 36 19H45"
		fill="none"
		stroke="var(--ink)"
		stroke-width="4"
	/>
	<path d="M22.5 10V14" stroke="var(--arc)" stroke-width="4.5" />
	<path
		d="M22.5 16L19 22M22.5 16.5L15.5 21.5M22.5 16.5V23"
		stroke="var(--spark)"
		stroke-width="2"
	/>
</svg>
