/** The trade's words as this program uses them (common practice, unless a standard is named). */
export interface Word {
	word: string;
	/** What else it is called. */
	also?: string;
	means: string;
}

export const GLOSSARY: readonly Word[] = [
	{
		word: 'Aim',
		means: 'What matters in this cut: a clean edge, just parting it, speed, parts, or an easy hand.'
	},
	{
		word: 'Arc volts',
		also: 'U2, load voltage',
		means: 'The volts across the arc. Where the label is silent, 80 + 0.4 × amps (IEC 60974-1).'
	},
	{
		word: 'Bevel angle',
		means: 'How far the cut edge stands off square. The right side of travel comes out squarer.'
	},
	{
		word: 'Bore',
		also: 'orifice',
		means:
			'The hole in the nozzle. It grows with wear; a wide or nicked bore cuts wide and slanted.'
	},
	{
		word: 'Breaker letter',
		also: 'curve B, C, D',
		means:
			'How big a surge the breaker lets pass at switch-on: B the least, D the most (IEC 60898).'
	},
	{
		word: 'Clamp',
		also: 'work clamp, earth clamp, ground clamp',
		means: 'Carries the current back. On bright metal of the piece that is kept.'
	},
	{
		word: 'Clean thickness',
		also: 'rated, recommended',
		means: 'The thickest plate that still gets an edge fit for use.'
	},
	{
		word: 'Consumables',
		also: 'parts',
		means: 'What wears in the torch: electrode, nozzle, swirl ring, shield.'
	},
	{
		word: 'Cut-in, cut-out',
		means: 'Tank pressures at which the compressor starts and stops.'
	},
	{
		word: 'Delivered air',
		also: 'FAD, free air delivered',
		means: 'What a compressor truly gives, counted as air of the room. Less than it displaces.'
	},
	{
		word: 'Displaced air',
		also: 'intake, suction',
		means: 'Piston size times speed: on many labels, and never what comes out.'
	},
	{
		word: 'Dew point',
		means: 'Cool the air to this and water comes out of it. Water in the torch eats electrodes.'
	},
	{
		word: 'Drag cutting',
		means: 'The shield rests on the plate and slides along it.'
	},
	{
		word: 'Dross',
		also: 'slag',
		means: 'Metal that sticks under the cut. Thick and soft: too slow. Thin and hard: too fast.'
	},
	{
		word: 'Duty',
		also: 'duty cycle, X',
		means: 'The share of ten minutes the cutter may cut at these amps, at 40 °C (IEC 60974-1).'
	},
	{
		word: 'Edge start',
		means: 'The arc begins at the rim of the plate, half on it: easiest on the parts.'
	},
	{
		word: 'Electrode',
		means: 'Carries the arc on a small insert of hafnium, which burns down to a pit.'
	},
	{
		word: 'Failed start',
		means: 'The pilot fired and nothing was cut. It wears the electrode like any start.'
	},
	{
		word: 'Gouging',
		means:
			'Throwing out a groove instead of cutting through, with a gouging nozzle and a slanted torch.'
	},
	{
		word: 'Heat lamp',
		also: 'temperature, thermal, over-heat lamp',
		means: 'The cutter is too hot and rests by itself until it goes out.'
	},
	{ word: 'Hover', means: 'The arc is held still above the plate until it is through.' },
	{
		word: 'Hot work',
		also: 'fire watch',
		means:
			'Work that throws sparks or heat. Clear what burns to 11 m (35 ft) and watch for an hour afterwards (NFPA 51B; OSHA asks half an hour).'
	},
	{
		word: 'I1max, I1eff',
		means:
			'On the label: most amps drawn from the outlet, and what heats the wire over ten minutes.'
	},
	{ word: 'Kerf', means: 'The width of metal that the cut takes away.' },
	{
		word: 'Lag',
		also: 'trail of the sparks, drag angle',
		means:
			'How far the sparks below trail behind the torch. It tells the speed better than any table.'
	},
	{
		word: 'Nozzle',
		also: 'tip',
		means: 'Squeezes the arc through its bore. Stamped with the amps it is made for.'
	},
	{
		word: 'Offset',
		means: 'From the cut line to where the straight edge lies: shield radius and half a kerf.'
	},
	{ word: 'Pierce', means: 'Starting in the plate instead of at its rim.' },
	{
		word: 'Pilot arc',
		means:
			'The small arc inside the torch before it jumps to the plate. It eats parts: never fire it for fun.'
	},
	{
		word: 'Pit',
		means:
			'The hollow burnt into the electrode. Changed at 1.0 to 1.5 mm, before it takes the nozzle with it.'
	},
	{ word: 'Post-flow', means: 'Air that goes on after the arc, to cool the parts.' },
	{
		word: 'Pre-flight',
		also: 'checks',
		means: 'What is looked at before the arc: the day’s start once, and this cut.'
	},
	{
		word: 'Rolled pierce',
		means: 'Begun slanted so that the melt blows away from the nozzle, then rolled upright.'
	},
	{
		word: 'Sever',
		also: 'maximum',
		means: 'The thickest plate it still parts, slowly, with an edge that must be ground.'
	},
	{ word: 'Shield', also: 'drag cap', means: 'The outermost part; what rests on the plate.' },
	{
		word: 'Stand-off',
		means: 'Gap from nozzle to plate where nothing rests on it.'
	},
	{
		word: 'Swirl ring',
		also: 'gas distributor',
		means: 'Spins the air round the arc. Cracked or missing, the arc runs into the nozzle.'
	},
	{
		word: 'Swirl marks',
		means:
			'Rings of the spinning air on the electrode’s face: clean ones mean dry air, smeared ones damp or oil.'
	},
	{
		word: 'Tight',
		means: 'It works, with less than a tenth to spare. Told with the thing that is short first.'
	},
	{
		word: 'Typical',
		means: 'Taken because nobody has read the label yet. It says so until somebody does.'
	}
];
