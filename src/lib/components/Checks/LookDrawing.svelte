<script lang="ts">
	import type { ItemDrawing } from '$lib/core/preflight/item';
	import type { LookDrawing } from '$lib/core/faults/file';

	/** What a look looks like: one small drawing, of our own hand. Decoration beside words that say it all. */
	let { what }: { what: ItemDrawing | LookDrawing } = $props();
</script>

<svg viewBox="0 0 320 168" class="w-full" fill="var(--ink)" role="presentation" aria-hidden="true">
	{#if what === 'clamp'}
		<path d="M52 34H122V70M52 34V140H96" fill="none" stroke="var(--ink)" stroke-width="9" />
		<rect x="104" y="56" width="34" height="16" fill="var(--brass)" stroke="var(--ink)" />
		<rect x="104" y="104" width="34" height="16" fill="var(--brass)" stroke="var(--ink)" />
		<path d="M121 120V146M106 146H136" stroke="var(--ink)" stroke-width="6" />
		<rect x="80" y="76" width="152" height="24" fill="var(--steel)" stroke="var(--steel-line)" />
		<path d="M80 73H232M80 103H232" stroke="var(--copper)" stroke-width="6" />
		<path d="M92 73H146M92 103H146" stroke="var(--card)" stroke-width="6" />
		<path
			d="M92 70H146V76H92ZM92 100H146V106H92Z"
			fill="none"
			stroke="var(--holds)"
			stroke-width="2"
		/>
		<path
			d="M238 74L300 92V112L238 98Z"
			fill="var(--steel2)"
			stroke="var(--ink)"
			stroke-dasharray="5 4"
		/>
		<text x="150" y="58" fill="var(--holds)">bright metal</text>
		<text x="226" y="134" fill="var(--stops)">falls</text>
		<text x="158" y="126">stays</text>
	{:else if what === 'stack'}
		{#each [['electrode', 40, 30, 14], ['ring', 96, 34, 26], ['nozzle', 152, 40, 26], ['cap', 214, 52, 40], ['shield', 282, 44, 30]] as const as [name, x, h, w] (name)}
			<rect
				x={x - w / 2}
				y={84 - h}
				width={w}
				height={2 * h}
				rx="4"
				fill={name === 'ring' ? 'var(--card)' : name === 'cap' ? 'var(--brass)' : 'var(--copper)'}
				stroke="var(--ink)"
				stroke-width="2"
			/>
			<text {x} y="160" text-anchor="middle">{name}</text>
		{/each}
		<path d="M10 84H310" stroke="var(--ink2)" stroke-dasharray="8 4 2 4" />
	{:else if what === 'pit'}
		<circle cx="84" cy="80" r="54" fill="var(--copper)" stroke="var(--ink)" stroke-width="2" />
		<circle cx="84" cy="80" r="14" fill="var(--ink)" />
		<path
			d="M84 52A28 28 0 0 1 112 80M84 108A28 28 0 0 1 56 80"
			stroke="var(--copper2)"
			stroke-width="4"
			fill="none"
		/>
		<circle cx="226" cy="80" r="54" fill="var(--copper)" stroke="var(--ink)" stroke-width="2" />
		<path
			d="M226 66C240 66 244 74 240 84C238 96 218 98 212 88C206 76 214 66 226 66Z"
			fill="var(--sheet)"
			stroke="var(--stops)"
			stroke-width="3"
		/>
		<text x="84" y="158" text-anchor="middle">pit, swirl</text>
		<text x="226" y="158" text-anchor="middle">bore, round?</text>
	{:else if what === 'gauge'}
		<circle cx="110" cy="86" r="62" fill="var(--card)" stroke="var(--ink)" stroke-width="4" />
		<path d="M68 122A56 56 0 0 1 152 50" fill="none" stroke="var(--rule)" stroke-width="8" />
		<path d="M92 34A56 56 0 0 1 150 48" fill="none" stroke="var(--holds)" stroke-width="8" />
		<path d="M110 86L126 42" stroke="var(--arc)" stroke-width="5" />
		<circle cx="110" cy="86" r="6" fill="var(--ink)" />
		<path d="M196 96H292M276 84L294 96L276 108" fill="none" stroke="var(--arc)" stroke-width="5" />
		<text x="196" y="80">air flowing</text>
	{:else if what === 'paper'}
		<rect
			x="150"
			y="22"
			width="130"
			height="120"
			fill="var(--card)"
			stroke="var(--ink)"
			stroke-width="2"
		/>
		<circle
			cx="206"
			cy="74"
			r="24"
			fill="var(--spark-wash)"
			stroke="var(--spark-ink)"
			stroke-dasharray="4 3"
		/>
		<path d="M20 82H92L120 70V94L92 82" fill="none" stroke="var(--ink)" stroke-width="10" />
		<path d="M124 74L146 64M124 82H146M124 90L146 100" stroke="var(--arc)" stroke-width="3" />
		<text x="215" y="132" text-anchor="middle">spot or none?</text>
	{:else if what === 'height'}
		<rect x="20" y="120" width="280" height="22" fill="var(--steel)" stroke="var(--steel-line)" />
		<path
			d="M132 20V84L146 104H174L188 84V20"
			fill="var(--copper2)"
			stroke="var(--ink)"
			stroke-width="3"
		/>
		<path d="M160 104V120" stroke="var(--arc)" stroke-width="4" />
		<path d="M206 104H232M206 120H232M219 104V120" stroke="var(--ink)" stroke-width="2" />
		<text x="238" y="118">height</text>
		<path d="M92 30V112" stroke="var(--ink2)" stroke-dasharray="4 4" />
		<text x="40" y="60">upright</text>
	{:else if what === 'sparks'}
		<rect x="20" y="60" width="280" height="24" fill="var(--steel)" stroke="var(--steel-line)" />
		<path d="M176 14V40L168 60" stroke="var(--ink)" stroke-width="8" fill="none" />
		<path d="M166 84L128 156M166 84L140 160" stroke="var(--spark)" stroke-width="4" />
		<path
			d="M166 84L40 108M166 58L60 30"
			stroke="var(--stops)"
			stroke-width="3"
			stroke-dasharray="6 5"
		/>
		<text x="116" y="152" text-anchor="end">behind</text>
		<text x="22" y="128" fill="var(--stops)">flat, or up</text>
		<path d="M210 40H270M256 30L272 40L256 50" fill="none" stroke="var(--arc)" stroke-width="4" />
	{:else if what === 'around'}
		<circle
			cx="110"
			cy="84"
			r="70"
			fill="none"
			stroke="var(--ink)"
			stroke-dasharray="7 5"
			stroke-width="2"
		/>
		<rect x="88" y="74" width="44" height="20" fill="var(--steel)" stroke="var(--ink)" />
		<path d="M110 74L118 50M110 94L96 130M110 94L140 120" stroke="var(--spark)" stroke-width="4" />
		<path d="M110 154H180M110 148V160M180 148V160" stroke="var(--ink)" stroke-width="2" />
		<text x="190" y="160">11 m (35 ft)</text>
		<path
			d="M236 60C236 40 252 44 250 22C270 40 276 56 270 74C266 90 238 88 236 60Z"
			fill="none"
			stroke="var(--stops)"
			stroke-width="4"
		/>
		<text x="222" y="112" fill="var(--stops)">none inside</text>
	{:else}
		<rect
			x="34"
			y="20"
			width="76"
			height="128"
			rx="6"
			fill="var(--card)"
			stroke="var(--ink)"
			stroke-width="3"
		/>
		<rect x="58" y="76" width="28" height="44" fill="var(--ink)" />
		<text x="72" y="52" text-anchor="middle">off</text>
		<path d="M110 84H180" stroke="var(--ink2)" stroke-width="4" stroke-dasharray="6 5" />
		<rect
			x="186"
			y="54"
			width="60"
			height="60"
			rx="8"
			fill="var(--steel)"
			stroke="var(--ink)"
			stroke-width="3"
		/>
		<path d="M206 70V98M226 70V98" stroke="var(--ink)" stroke-width="6" />
		<text x="216" y="138" text-anchor="middle">then the plug</text>
	{/if}
</svg>

<style>
	svg {
		max-height: 168px;
	}
	text {
		font-size: 15px;
		font-weight: 600;
	}
</style>
