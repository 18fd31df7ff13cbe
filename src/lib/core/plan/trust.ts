/**
 * Whether what is told as "rating label" was read from one. A value that is read from the bench leads to
 * the fields it comes from; when one of them is typical and not yet checked, so is the value (R). The way
 * to those fields is not written down a second time: the reading itself is watched.
 */
import type { Basis } from '../figure/types';
import { isTypical } from '../inputs/typical';
import type { Workings } from './workings';

/** What the workings give under a name of their own, and where on the bench it was read; the narrowest first. */
const READ_FROM: readonly (readonly [worked: string, fields: readonly string[]])[] = [
	['heat', ['cutter.inputs']],
	['wiring.inputEffA', ['cutter.inputs']],
	['wiring.inputMaxA', ['cutter.inputs']],
	['wiring.sourceV', ['supply.nominalV', 'supply.generator']],
	['wiring.serviceOhm', ['supply.serviceOhm', 'supply.generator']],
	['wiring.steadyA', ['supply.loads']],
	['wiring.compressorA', ['supply.loads']],
	['wiring.cordOhm', ['supply.cord']],
	['wiring.cordCarriesA', ['supply.cord']],
	['wiring.nearestA', ['supply.breaker', 'supply.plugFuseA', 'supply.system']],
	['draw.arcVoltageV', ['cutter.arcVoltageV', 'cutter.inputs']],
	['draw.apparentVA', ['cutter.inputs']],
	['draw.onShare', ['usual']],
	['draw.generatorShare', ['supply.generator', 'cutter.inputs']],
	['draw', ['cutter', 'usual']],
	['wiring', ['supply']],
	['air.line.tank', ['air']],
	['air.line.flow', ['cutter.airFlowLpm', 'air.source']],
	['air.line.workingBar', ['cutter.workingBar', 'cutter.regulator', 'air.setPointBar']],
	['air', ['air']],
	['water', ['air.stages', 'air.tankL']],
	['cutting.nozzle', ['torch.nozzles', 'torch.fittedA']],
	['cutting.standoffMm', ['torch.standoffMm', 'torch.dragShield', 'torch.bareTouchA']],
	['cutting.outputA', ['cutter.inputs']],
	['cutting.radiusMm', ['torch.shieldRadiusMm']],
	['cutting', ['torch', 'cutter']],
	['fittedNozzle', ['torch.nozzles', 'torch.fittedA']],
	['wearing.boreNewMm', ['torch.nozzles', 'torch.fittedA']],
	['lineAirL', ['cutter.airFlowLpm']],
	['gouging.airBar', ['cutter.regulator', 'cutter.workingBar']],
	['gouging', ['torch', 'cutter']]
];

const isNode = (x: unknown): x is object => typeof x === 'object' && x !== null;

/** What is frozen gives itself alone, never something that watches in its place: a copy of it does. */
const open = <T extends object>(node: T): T =>
	Object.isFrozen(node) ? ((Array.isArray(node) ? [...node] : { ...node }) as T) : node;

/** The deepest paths that a reading goes down. */
function pathsRead(read: (w: Workings) => unknown, w: Workings): string[] {
	const seen = new Set<string>();
	const watched = <T extends object>(node: T, at: string): T =>
		new Proxy(open(node), {
			get(target, key) {
				const value: unknown = Reflect.get(target, key);
				if (typeof key === 'symbol' || typeof value === 'function') return value;
				const path = at ? `${at}.${key}` : key;
				seen.delete(at);
				seen.add(path);
				return isNode(value) ? watched(value, path) : value;
			}
		});
	read(watched(w, ''));
	return [...seen];
}

const leads = (path: string, top: string) => path.startsWith(top);

/** Fields of the bench behind one path of the workings; of what is not a bench's, none. */
function fieldsOf(path: string, w: Workings): readonly string[] {
	if (leads(path, 'inputs.bench.')) return [path.slice('inputs.bench.'.length)];
	if (leads(path, 'inputs.work.')) {
		const key = path.slice('inputs.work.'.length) as keyof Workings['inputs']['work'];
		// Told for this work alone, it is not the bench's usual any more.
		const asUsual = w.inputs.work[key] === w.inputs.bench.usual[key];
		return asUsual ? [`usual.${key}`] : [];
	}
	if (leads(path, 'inputs.')) return [];
	// Of several input voltages the cutter is on one.
	const input = `cutter.inputs.${w.inputs.bench.cutter.inputs.indexOf(w.wiring.plate)}`;
	if (leads(path, 'heat.pair')) return [`${input}.duty`];
	if (leads(path, 'wiring.plate')) return [path.replace('wiring.plate', input)];
	return READ_FROM.find(([worked]) => leads(path, worked))?.[1] ?? [];
}

/** The letter of something read from the workings: a label's (D) only where the person has read it. */
export function trusted(basis: Basis, w: Workings, ...reads: ((w: Workings) => unknown)[]): Basis {
	const { typical } = w.inputs.bench;
	if (basis !== 'D' || typical.length === 0) return basis;
	const fields = reads.flatMap((read) => pathsRead(read, w)).flatMap((path) => fieldsOf(path, w));
	return fields.some((field) => isTypical(typical, field)) ? 'R' : 'D';
}

/** The same of what goes into a formula. The arc time of the planned cut was worked out, not typed in. */
export function trustedInput(basis: Basis, w: Workings, read: (w: Workings) => unknown): Basis {
	const worked = basis === 'D' && w.workIsCut && pathsRead(read, w).includes('inputs.work.arcS');
	return worked ? 'M' : trusted(basis, w, read);
}
