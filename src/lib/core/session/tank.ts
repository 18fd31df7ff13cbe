import { deliveryLpm, type DeliveryStretch } from './delivery';
import { FREE_AIR_BAR } from '../quantity/units';

/**
 * Tank and compressor: V·dp/dt = p_n·(Q_comp(p)·on − Q_use − Q_leak), isothermal, p in bar gauge.
 * Delivery is straight in p along each stretch, so there the pressure follows dp/dt = a − b·p exactly.
 * A bottle is a tank that nothing fills: `line` is nil and `cutInBar` out of reach.
 */
export interface Tank {
	/** Altitude and measurements included. */
	line: readonly DeliveryStretch[];
	cutInBar: number;
	cutOutBar: number;
	volumeL: number;
	/** Pressure at the first start. */
	startBar: number;
	leakLpm: number;
}

/** dp/dt = a − b·p, in bar/s and 1/s. */
export interface Law {
	a: number;
	b: number;
}

/** Bar per second that one l/min of free air takes from the store. */
export const barSPerLpm = (tank: Pick<Tank, 'volumeL'>): number =>
	FREE_AIR_BAR / (60 * tank.volumeL);

/** The law while the compressor runs along one stretch and `useLpm` leaves (leak added). */
export function runningLaw(tank: Tank, stretch: DeliveryStretch, useLpm: number): Law {
	const perLpm = barSPerLpm(tank);
	return {
		a: perLpm * (stretch.atZeroLpm - useLpm - tank.leakLpm),
		b: -perLpm * stretch.slopeLpmBar
	};
}

/** The law with the compressor off. */
export function standingLaw(tank: Tank, useLpm: number): Law {
	return { a: -barSPerLpm(tank) * (useLpm + tank.leakLpm), b: 0 };
}

/** Pressure after `dtS` under dp/dt = a − b·p. */
export function pressureAfter(p0: number, { a, b }: Law, dtS: number): number {
	if (Math.abs(b) < 1e-12) return p0 + a * dtS;
	return a / b + (p0 - a / b) * Math.exp(-b * dtS);
}

/** Time until the pressure reaches `target` under dp/dt = a − b·p; Infinity when it never does. */
export function timeTo(target: number, p0: number, { a, b }: Law): number {
	if (target === p0) return 0;
	const rate = a - b * p0;
	if (rate === 0 || rate > 0 !== target > p0) return Infinity;
	if (Math.abs(b) < 1e-12) return (target - p0) / a;
	const level = a / b;
	const ratio = (p0 - level) / (target - level);
	return ratio > 1 ? Math.log(ratio) / b : Infinity;
}

/** The stretch in which a running compressor finds itself, by where the pressure goes from here. */
export function stretchAt(tank: Tank, pressureBar: number, useLpm: number): number {
	const last = tank.line.length - 1;
	let i = 0;
	while (i < last && pressureBar > tank.line[i]!.toBar) i++;
	if (i < last && pressureBar === tank.line[i]!.toBar) {
		const { a, b } = runningLaw(tank, tank.line[i]!, useLpm);
		if (a - b * pressureBar > 0) i++;
	}
	return i;
}

export interface LongestCut {
	/** Infinity: the compressor keeps up. */
	totalS: number;
	/** With the compressor still off, and then with it running. */
	offS: number;
	onS: number;
	/** The last stretch: when it begins, at what pressure, and its law. */
	last: { startS: number; fromBar: number; law: Law };
}

/** Longest single cut from a full tank until it falls to `neededBar`. */
export function longestCut(tank: Tank, useLpm: number, neededBar: number): LongestCut {
	const off = standingLaw(tank, useLpm);
	const done = (offS: number, onS: number, last: LongestCut['last']): LongestCut => ({
		totalS: offS + onS,
		offS,
		onS,
		last
	});
	if (!(tank.startBar > neededBar)) {
		return done(0, 0, { startS: 0, fromBar: tank.startBar, law: off });
	}
	const startsAt = Math.max(tank.cutInBar, neededBar);
	const offS = Math.max(0, timeTo(startsAt, tank.startBar, off));
	if (neededBar >= tank.cutInBar) {
		return done(offS, 0, { startS: 0, fromBar: tank.startBar, law: off });
	}
	let p = startsAt;
	let onS = 0;
	for (;;) {
		const i = stretchAt(tank, p, useLpm);
		const law = runningLaw(tank, tank.line[i]!, useLpm);
		const floor = Math.max(neededBar, i > 0 ? tank.line[i - 1]!.toBar : -Infinity);
		const dt = timeTo(floor, p, law);
		const last = { startS: offS + onS, fromBar: p, law };
		onS += dt;
		if (floor === neededBar || dt === Infinity) return done(offS, onS, last);
		p = floor;
	}
}

/** Delivery at a pressure, l/min. */
export function tankDeliveryLpm(tank: Tank, pressureBar: number): number {
	return deliveryLpm(tank.line, pressureBar);
}
