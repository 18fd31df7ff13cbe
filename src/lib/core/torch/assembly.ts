/**
 * In which order the parts go into a torch: it differs by family, so it is data of the torch. All of it
 * common practice.
 */
export const TORCH_FAMILIES = [
	'into-torch',
	'stacked-in-cap',
	'electrode-snaps',
	'ring-first'
] as const;
export type TorchFamily = (typeof TORCH_FAMILIES)[number];
export type TorchPart = 'electrode' | 'swirl-ring' | 'nozzle' | 'cap' | 'shield' | 'o-ring';

export const PART_WORDS: Record<TorchPart, string> = {
	electrode: 'electrode',
	'swirl-ring': 'swirl ring',
	nozzle: 'nozzle',
	cap: 'retaining cap',
	shield: 'shield',
	'o-ring': 'o-ring'
};

export const FAMILY_WORDS: Record<TorchFamily, string> = {
	'into-torch': 'parts go into the torch one by one',
	'stacked-in-cap': 'parts are stacked into the cap',
	'electrode-snaps': 'electrode snaps in first',
	'ring-first': 'swirl ring goes in first'
};

const ORDER: Record<TorchFamily, readonly TorchPart[]> = {
	'into-torch': ['o-ring', 'electrode', 'swirl-ring', 'nozzle', 'cap', 'shield'],
	'stacked-in-cap': ['o-ring', 'cap', 'nozzle', 'swirl-ring', 'electrode', 'shield'],
	// The ring sits behind the nozzle, round the electrode: it goes in between in every family.
	'electrode-snaps': ['o-ring', 'electrode', 'swirl-ring', 'nozzle', 'cap', 'shield'],
	'ring-first': ['o-ring', 'swirl-ring', 'electrode', 'nozzle', 'cap', 'shield']
};

const CAUTIONS: Record<TorchPart, string> = {
	'o-ring': 'a little of the maker’s grease, no cuts',
	electrode: 'snug, not forced: threads work loose with heat',
	'swirl-ring': 'no ring, no arc; holes clear, no cracks',
	nozzle: 'marked with its amps; bore round and bright',
	cap: 'finger-tight only: over-tightening makes the arc sputter',
	shield: 'not cracked; sensing pins proud'
};

const OWN_CAUTIONS: Partial<Record<TorchFamily, Partial<Record<TorchPart, string>>>> = {
	'electrode-snaps': { electrode: 'pushed home until it snaps: it has no thread' },
	'stacked-in-cap': {
		cap: 'held open end up, the parts are stacked into it, then finger-tight',
		electrode: 'on top of the stack; then the cap goes onto the torch'
	}
};

export interface AssemblyStep {
	part: TorchPart;
	caution: string;
}

/** Steps of putting the torch together; a torch without a drag shield ends with its cap. */
export function assemblySteps(family: TorchFamily, hasShield: boolean): AssemblyStep[] {
	return ORDER[family]
		.filter((part) => part !== 'shield' || hasShield)
		.map((part) => ({ part, caution: OWN_CAUTIONS[family]?.[part] ?? CAUTIONS[part] }));
}

/** What stands at the end of the torch. */
export const SHIELDS = ['cutting', 'gouging', 'none'] as const;
export type Shield = (typeof SHIELDS)[number];

export interface Fitted {
	fittedA: number;
	electrodeMaxA: number | null;
	ringMinA: number | null;
	ringMaxA: number | null;
	shieldIn: Shield;
	dragShield: boolean;
}

export interface PartChange {
	part: TorchPart;
	/** Must: it burns up or does not cut. Better: it cuts, worse than it could. */
	need: 'must' | 'better';
	/** What to put in, and why. */
	fit: string;
	reason: string;
}

/** Share of a nozzle's rating below which its arc is weak and wanders [own]. */
export const NOZZLE_LEAST_SHARE = 0.5;

/**
 * What to change in the torch before a cut at these amps, musts first; empty: leave it as it is. On many
 * torches the nozzle alone changes with current. Reasons are common practice.
 */
export function changeOver(
	torch: Fitted,
	wanted: { outputA: number; nozzleA: number }
): PartChange[] {
	const { outputA, nozzleA } = wanted;
	const changes: PartChange[] = [];
	const add = (part: TorchPart, need: PartChange['need'], fit: string, reason: string) =>
		changes.push({ part, need, fit, reason });
	const amps = `${Math.round(outputA)} A`;
	if (torch.fittedA !== nozzleA) {
		const fit = `the ${nozzleA} A nozzle`;
		if (outputA > torch.fittedA) {
			add('nozzle', 'must', fit, `the ${torch.fittedA} A nozzle burns up at ${amps}`);
		} else if (outputA < NOZZLE_LEAST_SHARE * torch.fittedA) {
			add(
				'nozzle',
				'better',
				fit,
				`the ${torch.fittedA} A nozzle gives a weak, wandering arc at ${amps}`
			);
		} else {
			add('nozzle', 'better', fit, 'a smaller bore cuts finer at these amps');
		}
	}
	if (torch.electrodeMaxA !== null && outputA > torch.electrodeMaxA) {
		add(
			'electrode',
			'must',
			`an electrode for ${amps} or more`,
			`the one in the torch is for ${torch.electrodeMaxA} A at most`
		);
	}
	const [least, most] = [torch.ringMinA ?? 0, torch.ringMaxA ?? Infinity];
	if (outputA > most || outputA < least) {
		const made = [
			torch.ringMinA === null ? '' : `from ${torch.ringMinA} A`,
			torch.ringMaxA === null ? '' : `to ${torch.ringMaxA} A`
		];
		add(
			'swirl-ring',
			'must',
			`the swirl ring for ${amps}`,
			`the one in the torch is made ${made.filter(Boolean).join(' ')}: its holes spin the air wrongly at ${amps}`
		);
	}
	if (torch.shieldIn === 'gouging') {
		add(
			'shield',
			'must',
			'the cutting shield',
			'a gouging shield holds the arc too far off and lets it wander'
		);
	} else if (torch.shieldIn === 'none' && torch.dragShield) {
		add('shield', 'better', 'the drag shield', 'without it the nozzle has to be held off by hand');
	}
	return changes.sort((a, b) => Number(b.need === 'must') - Number(a.need === 'must'));
}
