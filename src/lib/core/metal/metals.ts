/**
 * Metals, their handbook properties and how they cut against mild steel.
 *
 * Properties (density, mean specific heat from 20 °C to melting, working melting point, latent heat
 * of fusion) are handbook values from memory: ASM Metals Handbook; CRC Handbook; Mills, Recommended
 * Values of Thermophysical Properties for Selected Commercial Alloys. Alloys scatter by some percent.
 *
 * `capacity` scales both thickness ratings, `thinSpeed` the speed in thin sheet. The pairs are
 * "typical" common practice: a 20 A machine that does 1/4 in of steel does 1/8 in of aluminium by
 * the cautious reading; stainless cuts about a tenth thinner. Copper, brass, titanium and cast iron are
 * our own guess.
 */
import type { GaugeTable } from '../quantity/gauge';

export const METAL_IDS = [
	'mild-steel',
	'stainless',
	'aluminium',
	'copper',
	'brass',
	'titanium',
	'cast-iron',
	'galvanized'
] as const;
export type MetalId = (typeof METAL_IDS)[number];
/** What burns in a stream of oxygen. */
export const OXY_FUEL: readonly MetalId[] = ['mild-steel', 'galvanized'];

export interface Metal {
	id: MetalId;
	label: string;
	gauge: GaugeTable;
	densityKgM3: number;
	/** Mean from 20 °C to the melting point, transitions included. */
	heatCapacityJKgK: number;
	meltingC: number;
	latentHeatJKg: number;
	capacity: number;
	thinSpeed: number;
	/** What it can do to a person, beyond the usual (common practice). */
	caution?: string;
}

export const METALS: Record<MetalId, Metal> = {
	'mild-steel': {
		id: 'mild-steel',
		label: 'Mild steel',
		gauge: 'steel',
		densityKgM3: 7850,
		heatCapacityJKgK: 690,
		meltingC: 1510,
		latentHeatJKg: 250_000,
		capacity: 1,
		thinSpeed: 1
	},
	stainless: {
		id: 'stainless',
		label: 'Stainless',
		gauge: 'stainless',
		densityKgM3: 7950,
		heatCapacityJKgK: 630,
		meltingC: 1430,
		latentHeatJKg: 275_000,
		capacity: 0.9,
		thinSpeed: 0.9,
		caution:
			'Stainless gives off chromium and nickel fume: extract it at the cut, wear a respirator.'
	},
	aluminium: {
		id: 'aluminium',
		label: 'Aluminium',
		gauge: 'brown-sharpe',
		densityKgM3: 2700,
		heatCapacityJKgK: 1030,
		meltingC: 655,
		latentHeatJKg: 395_000,
		capacity: 0.75,
		thinSpeed: 1.1,
		caution: 'Never cut aluminium over water: it makes hydrogen, which explodes.'
	},
	copper: {
		id: 'copper',
		label: 'Copper',
		gauge: 'brown-sharpe',
		densityKgM3: 8960,
		heatCapacityJKgK: 420,
		meltingC: 1085,
		latentHeatJKg: 206_000,
		capacity: 0.45,
		thinSpeed: 0.7,
		caution: 'Copper fume makes ill within hours: extract it at the cut, wear a respirator.'
	},
	brass: {
		id: 'brass',
		label: 'Brass',
		gauge: 'brown-sharpe',
		densityKgM3: 8500,
		heatCapacityJKgK: 440,
		meltingC: 930,
		latentHeatJKg: 168_000,
		capacity: 0.55,
		thinSpeed: 0.8,
		caution: 'Brass gives off zinc fume, and some lead: extract it at the cut, wear a respirator.'
	},
	titanium: {
		id: 'titanium',
		label: 'Titanium',
		gauge: 'steel',
		densityKgM3: 4510,
		heatCapacityJKgK: 620,
		meltingC: 1668,
		latentHeatJKg: 295_000,
		capacity: 0.85,
		thinSpeed: 1,
		caution: 'Titanium sparks and dust burn fiercely: clear them away, no water on burning metal.'
	},
	'cast-iron': {
		id: 'cast-iron',
		label: 'Cast iron',
		gauge: 'steel',
		densityKgM3: 7200,
		heatCapacityJKgK: 650,
		meltingC: 1200,
		latentHeatJKg: 230_000,
		capacity: 0.8,
		thinSpeed: 0.9,
		caution: 'Cast iron can crack from the heat and spits: warm it evenly, stand aside.'
	},
	galvanized: {
		id: 'galvanized',
		label: 'Galvanized',
		gauge: 'galvanized',
		densityKgM3: 7850,
		heatCapacityJKgK: 690,
		meltingC: 1510,
		latentHeatJKg: 250_000,
		capacity: 1,
		thinSpeed: 1,
		caution:
			'Zinc fume makes ill within hours: grind the zinc off along the line, both faces, extract, wear a respirator.'
	}
};

/** Energy that melts a cubic millimetre from 20 °C, no superheat: ρ·(c·(Tm − 20) + L), in J/mm³. */
export function meltEnergyJMm3(metal: Metal): number {
	const perKg = metal.heatCapacityJKgK * (metal.meltingC - 20) + metal.latentHeatJKg;
	return (metal.densityKgM3 * perKg) / 1e9;
}
