/**
 * What belongs on card and cut whatever the figures say, in the order of hands. All of it common practice;
 * local rules and the maker’s book come first.
 */
import { COATING_CAUTIONS, coatsTold, type Coating } from '../metal/coatings';
import { METALS, type MetalId } from '../metal/metals';

export const CAUTION_IDS = [
	'plug',
	'parts',
	'air',
	'paste',
	'vessels',
	'metal',
	'coating',
	'pacemaker',
	'double-arc',
	'edge'
] as const;
export type CautionId = (typeof CAUTION_IDS)[number];

export interface Caution {
	id: CautionId;
	text: string;
}

const EDGE: Partial<Record<MetalId, string>> = {
	'mild-steel': 'Grind the edge before welding: an air-cut edge is nitrided and makes pores.',
	galvanized: 'Grind the edge before welding: an air-cut edge is nitrided and makes pores.',
	stainless: 'Grind the burnt edge of stainless before welding, or where it must not rust.',
	titanium: 'Grind the burnt edge of titanium before it is used or welded: it is brittle.'
};

export function cautionsFor(cut: {
	metal: MetalId;
	coating: Coating;
	backCoating: Coating;
	outputA: number;
	/** The nozzle is held off by hand, and must not touch. */
	heldOff: boolean;
	ownAir: boolean;
}): Caution[] {
	const list: Caution[] = [
		{ id: 'plug', text: 'Breaker off before the plug goes in or out.' },
		{ id: 'parts', text: 'Power off before touching clamp, torch or parts; clamp on before power.' }
	];
	if (!cut.ownAir) {
		list.push({ id: 'air', text: 'Set the air while it flows.' });
		list.push({
			id: 'paste',
			text: 'Sealant paste on air fittings, not tape: shreds jam the valve.'
		});
	}
	list.push({
		id: 'vessels',
		text: 'Never on drums, tanks or anything with fuel or solvent in or behind it: it explodes.'
	});
	const { caution } = METALS[cut.metal];
	if (caution) list.push({ id: 'metal', text: caution });
	for (const side of coatsTold(cut)) list.push({ id: 'coating', text: COATING_CAUTIONS[side] });
	list.push({ id: 'pacemaker', text: 'Pacemakers keep away from cutter, leads and clamp.' });
	if (cut.heldOff) {
		list.push({
			id: 'double-arc',
			text: `At ${Math.round(cut.outputA)} A a bare nozzle must not touch: it double-arcs and ruins nozzle and electrode.`
		});
	}
	const edge = EDGE[cut.metal];
	if (edge) list.push({ id: 'edge', text: edge });
	return list;
}
