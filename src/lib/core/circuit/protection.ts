/**
 * Whether a conductor is protected by the device nearest in front of it. Short duty never makes a thinner
 * one lawful; heating comes on top of this, never in its place. All rules from memory; the local code and
 * a licensed electrician decide.
 */
import { necLargestBreakerA } from './breaker';
import {
	ampacityA,
	areaMm2Of,
	conductorsFor,
	necAmpacity75A,
	type ConductorSize,
	type WireMethod
} from './conductors';

/** `lawful`: by the ordinary rule. `thin`: lawful, and thinner than the trade takes, or by a way around. */
export interface Guard {
	verdict: 'lawful' | 'thin' | 'not protected';
	/** What the rule lets stand in front of it, A. */
	deviceMostA: number;
	/** Which rule, in a few words. */
	rule: string;
}

type System = 'north-america' | 'iec';

/**
 * Wire in the wall. IEC 60364-4-43: In ≤ Iz. NEC 240.4(D): 15, 20, 30 A on 14, 12, 10 AWG; on a circuit
 * for this machine alone Article 630 goes around it: up to 200 % of what the wire carries and of I1max,
 * when the wire carries what 630.11(A) asks for.
 */
export function wireGuard(w: {
	system: System;
	size: ConductorSize;
	method: WireMethod;
	deviceA: number;
	/** On a circuit of its own; null: something else hangs on it. */
	machineOnly: { inputMaxA: number; neededA: number } | null;
}): Guard {
	const carriesA = ampacityA(w.size, 'wire', w.method);
	const plain = w.system === 'iec' ? 'IEC 60364-4-43, In ≤ Iz' : 'NEC 240.4(D) and 310.16';
	if (w.deviceA <= carriesA) return { verdict: 'lawful', deviceMostA: carriesA, rule: plain };
	const { machineOnly } = w;
	if (w.system === 'north-america' && machineOnly && carriesA >= machineOnly.neededA) {
		const most = Math.min(
			2 * (necAmpacity75A(w.size) ?? carriesA),
			necLargestBreakerA(machineOnly.inputMaxA) ?? Infinity
		);
		if (w.deviceA <= most) {
			return { verdict: 'thin', deviceMostA: most, rule: 'NEC 630.12, for this machine alone' };
		}
	}
	return { verdict: 'not protected', deviceMostA: carriesA, rule: plain };
}

/**
 * Cord that the trade takes behind a device: 12 AWG behind 20 A, 10 behind 30, 6 behind 50; 1.5 to
 * 2.5 mm² behind 16 A, 4 mm² or more behind 32 (common practice). Rated A → least size.
 */
const TRADE: Record<System, readonly (readonly [upToA: number, least: ConductorSize])[]> = {
	'north-america': [
		[15, 'awg-14'],
		[20, 'awg-12'],
		[30, 'awg-10'],
		[40, 'awg-8'],
		[50, 'awg-6'],
		[60, 'awg-4']
	],
	iec: [
		[10, 'mm2-1'],
		[16, 'mm2-1.5'],
		[25, 'mm2-2.5'],
		[32, 'mm2-4'],
		[40, 'mm2-6'],
		[50, 'mm2-10'],
		[80, 'mm2-16'],
		[100, 'mm2-25']
	]
};

/** What a made-up cord may lawfully stand behind where that is more than it carries, A. */
const LAWFUL_A: Partial<Record<ConductorSize, readonly [deviceA: number, rule: string]>> = {
	'awg-16': [20, 'NEC 240.5(B)(4), field-assembled'],
	'awg-14': [20, 'NEC 240.5(B)(4), field-assembled'],
	'awg-8': [50, 'welder cord with 50 A ends (common practice)'],
	'awg-6': [60, 'NEC 240.5(A), next standard size']
};

/** Thinnest cord that the trade takes behind a device; undefined: none in the tables. */
export function tradeCord(system: System, deviceA: number): ConductorSize | undefined {
	return TRADE[system].find(([upToA]) => deviceA <= upToA)?.[1];
}

/** An extension cord behind the device nearest in front of it, a fuse in the plug included. */
export function cordGuard(c: {
	system: System;
	size: ConductorSize;
	kind: 'made-up' | 'listed';
	labelA: number | null;
	deviceA: number;
}): Guard {
	const carriesA = ampacityA(c.size, 'cord', 'clipped');
	const least = tradeCord(c.system, c.deviceA);
	const thick = least !== undefined && areaMm2Of(c.size) >= 0.98 * areaMm2Of(least);
	if (c.kind === 'listed' && c.labelA !== null) {
		const rule = 'a listed set goes by its label, NEC 240.5(B)(3)';
		if (c.deviceA > c.labelA) return { verdict: 'not protected', deviceMostA: c.labelA, rule };
		return { verdict: thick ? 'lawful' : 'thin', deviceMostA: c.labelA, rule };
	}
	const plain = c.system === 'iec' ? 'IEC 60364-4-43, In ≤ Iz' : 'NEC Table 400.5(A)(1), 240.5(A)';
	const [exceptA, rule] =
		c.system === 'north-america' ? (LAWFUL_A[c.size] ?? [0, plain]) : [0, plain];
	if (c.deviceA <= carriesA) {
		return { verdict: thick ? 'lawful' : 'thin', deviceMostA: carriesA, rule: plain };
	}
	if (c.deviceA <= exceptA) return { verdict: 'thin', deviceMostA: exceptA, rule };
	return { verdict: 'not protected', deviceMostA: Math.max(carriesA, exceptA), rule: plain };
}

/** Sizes of a system that a device protects as a cord, thinnest first; `thin` ones only when asked. */
export function cordsBehind(system: System, deviceA: number, thin = false): ConductorSize[] {
	return conductorsFor(system).filter((size) => {
		const { verdict } = cordGuard({ system, size, kind: 'made-up', labelA: null, deviceA });
		return verdict === 'lawful' || (thin && verdict === 'thin');
	});
}

/** A fuse blows within half an hour from this multiple of its rating (BS 1362 and gG, from memory). */
export const FUSE_BLOWS = 1.6;
