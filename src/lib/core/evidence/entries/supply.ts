/** Readings of circuit, tank and line, of the lamp, of what tripped. */
import { TRIP_DEVICES } from '../measured';
import * as v from 'valibot';
import { within } from '../../quantity/within';

export const VoltsEntry = v.pipe(
	v.object({
		kind: v.literal('volts'),
		idleV: within(50, 800, 'V'),
		arcV: within(50, 800, 'V'),
		/** Amps at the knob while the reading under arc was taken. */
		outputA: within(5, 500, 'A'),
		/** By clamp meter; null: worked out from the data plate. */
		clampA: v.nullable(within(1, 300, 'A')),
		/** Ohms of the wiring model at that moment; the server fills it in. */
		modelOhm: v.optional(within(0, 100, 'Ω'))
	}),
	v.forward(
		v.check((e) => e.arcV < e.idleV, 'below the idle reading: volts fall when the arc is on'),
		['arcV']
	)
);

const tankTest = <K extends 'drain' | 'fill' | 'leak'>(kind: K) => ({
	kind: v.literal(kind),
	fromBar: within(0, 30, 'bar'),
	toBar: within(0, 30, 'bar'),
	seconds: within(1, 7200, 's')
});
export const DrainEntry = v.pipe(
	v.object(tankTest('drain')),
	v.forward(
		v.check((e) => e.toBar < e.fromBar, 'below the first reading: the tank drains'),
		['toBar']
	)
);
export const LeakEntry = v.pipe(
	v.object(tankTest('leak')),
	v.forward(
		v.check((e) => e.toBar < e.fromBar, 'below the first reading: it leaks down'),
		['toBar']
	)
);
export const FillEntry = v.pipe(
	v.object(tankTest('fill')),
	v.forward(
		v.check((e) => e.toBar > e.fromBar, 'above the first reading: the tank fills'),
		['toBar']
	)
);

/** Tank, and the gauge just before the regulator at the cutter, with air flowing. */
export const GaugeEntry = v.pipe(
	v.object({
		kind: v.literal('gauge'),
		tankBar: within(0.5, 30, 'bar'),
		inletBar: within(0, 30, 'bar'),
		/** p² lost by the model at that moment, bar²; the server fills it in. */
		modelBar2: v.optional(within(0, 2000, 'bar²'))
	}),
	v.forward(
		v.check(
			(e) => e.inletBar < e.tankBar,
			'below the tank: the line takes pressure while air flows'
		),
		['inletBar']
	)
);

/** One arc from cold, without a pause, until the lamp; and how long until it went out again. */
export const LampEntry = v.object({
	kind: v.literal('lamp'),
	outputA: within(5, 500, 'A'),
	shopC: within(-20, 50, '°C'),
	lampS: within(5, 7200, 's'),
	recoveryS: v.nullable(within(5, 7200, 's'))
});
/** What tripped, and when, under which work; "held": nothing did in that time. */
export const TripEntry = v.object({
	kind: v.literal('trip'),
	device: v.picklist(TRIP_DEVICES, `one of ${TRIP_DEVICES.join(', ')}`),
	afterS: within(0, 36_000, 's'),
	outputA: within(5, 500, 'A'),
	arcS: within(1, 3600, 's'),
	restS: within(0, 3600, 's'),
	/** Heating towards which arc and pause went by the model, (I/In)²; the server fills it in. */
	onHeat: v.optional(within(0, 1e6, '')),
	offHeat: v.optional(within(0, 1e6, ''))
});
