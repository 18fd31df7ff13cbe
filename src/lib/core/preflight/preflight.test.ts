import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import { changed, inputsOf } from '../../../../tests/support/inputs';
import { evidenceFromLog, plan, type Cut, type LoggedEntry } from '..';
import { filled } from '../figure/finding';
import { METAL_IDS } from '../metal/metals';
import { COATINGS } from '../metal/coatings';
import { itemKey, listKey, ITEMS_MOST, LISTS, type ListId } from './item';
import { preflight } from './list';
import { OwnChecksSchema, ownItems } from './own';
import { isLight, isSpot, TARGETS, type Target } from '../gouge/targets';

type Change = Parameters<typeof changed>[0];
const listOf = (list: ListId, change: Change = () => {}, cut: Partial<Cut> = {}) => {
	const inputs = inputsOf({ bench: changed(change) }, cut);
	return preflight(list, inputs, plan(inputs));
};
const idsOf = (...args: Parameters<typeof listOf>) => listOf(...args).map(({ id }) => id);
const words = (...args: Parameters<typeof listOf>) =>
	listOf(...args)
		.map(({ ask, more }) =>
			[ask, more].flatMap((t) => (t ? filled(t, { units: 'metric' }) : [])).join(', ')
		)
		.join('\n');

const grooveOf = (target: Target): Partial<Cut> => ({
	gouge: { ...inputsOf().cut.gouge, asked: true, target }
});

describe('the lists before the arc', () => {
	it('are at most twelve long, every item once, on every metal, coating and thickness', () => {
		for (const metal of METAL_IDS)
			for (const coating of COATINGS)
				for (const thicknessMm of [0.5, 6, 25, 50])
					for (const list of LISTS) {
						const ids = idsOf(list, () => {}, {
							metal,
							coating,
							backCoating: coating,
							thicknessMm
						});
						expect(ids.length).toBeGreaterThan(6);
						expect(ids.length).toBeLessThanOrEqual(ITEMS_MOST);
						expect(new Set(ids).size).toBe(ids.length);
						// Never cut off by the limit: the last thing before the arc is to call out.
						if (list !== 'day') expect(ids.at(-1)).toBe('call');
					}
	});

	it('go in the order of hands: breaker before cord, cord before air; parts before clamp, clamp before call', () => {
		const day = idsOf('day');
		expect(day.indexOf('power')).toBe(0);
		expect(day.indexOf('cord')).toBeLessThan(day.indexOf('pressure'));
		expect(day.indexOf('drain')).toBeLessThan(day.indexOf('pressure'));
		const cut = idsOf('cut');
		expect(cut[0]).toBe('parts');
		expect(cut.indexOf('clamp')).toBeLessThan(cut.indexOf('dry'));
		expect(cut.indexOf('dry')).toBeLessThan(cut.indexOf('call'));
	});

	it('hold only what this bench has', () => {
		expect(idsOf('day', (b) => (b.supply.cord = null))).not.toContain('cord');
		expect(idsOf('day', (b) => (b.air.source = 'built-in'))).toEqual(
			expect.arrayContaining(['intake'])
		);
		expect(idsOf('day', (b) => (b.air.source = 'built-in'))).not.toContain('drain');
		expect(idsOf('day', (b) => (b.air.stages = []))).not.toContain('gel');
		expect(words('day', (b) => (b.air.stages = []))).toContain('Tank drained');
		expect(words('day')).toContain('Tank and water trap drained');
		expect(
			words('day', (b) => (b.supply.generator = { ratedVA: 8000, ratedW: 7000, regulation: 0.1 }))
		).toContain('Generator out of doors');
		expect(
			words('day', (b) => {
				b.supply.loads = [
					{ name: 'Heater', on: b.supply.circuit, currentA: 8, startMultiple: 1, when: 'always' }
				];
			})
		).toContain('Heater');
		expect(
			idsOf('day', (b) => {
				b.cutter.voltageBy = 'selector';
				b.cutter.inputs = [b.cutter.inputs[0]!, { ...b.cutter.inputs[0]!, voltageV: 400 }];
			})
		).toContain('selector');
	});

	it('say the plan’s own figures, in the units of the person', () => {
		const inputs = inputsOf();
		const p = plan(inputs);
		const cut = preflight('cut', inputs, p);
		const ask = (id: string, units: 'metric' | 'imperial') =>
			filled(cut.find((i) => i.id === id)!.ask, { units });
		expect(ask('knob', 'metric')).toBe(
			`Amps at ${Math.round(p.figures['setup.currentA'].value!)} A`
		);
		expect(ask('wear', 'metric')).toContain(`Shade ${p.figures['setup.shade'].value}`);
		expect(ask('guide', 'metric')).toMatch(/11\.3 mm/);
		expect(ask('guide', 'imperial')).toMatch(/in/);
	});

	it('warn of what this metal and its coatings do', () => {
		expect(idsOf('cut', () => {}, { metal: 'mild-steel', coating: 'none' })).not.toContain('fume');
		expect(words('cut', () => {}, { metal: 'aluminium' })).toContain('No water table');
		const zinc = listOf('cut', () => {}, { metal: 'galvanized' }).find(({ id }) => id === 'fume')!;
		expect(zinc.why).toMatch(/Zinc/);
		expect(words('cut', () => {}, { backCoating: 'paint' })).toContain('Back of the plate cleaned');
	});

	it('of a groove: gouging parts, its own amps, air and shade, and where the metal flies', () => {
		const asked = { gouge: { ...inputsOf().cut.gouge, asked: true, outputA: 25 } };
		const ids = idsOf('groove', () => {}, asked);
		expect(ids).toEqual(expect.arrayContaining(['gouge-parts', 'ahead', 'gouge-angle', 'call']));
		expect(words('groove', () => {}, asked)).toContain('Amps at 25 A');
	});

	it('of a groove without a gouging nozzle: cutting parts for light work, and for all else what is missing', () => {
		const none: Change = (b) =>
			(b.torch.nozzles = b.torch.nozzles.filter(({ kind }) => kind === 'cut'));
		const partsFor = (target: Target) =>
			listOf('groove', none, grooveOf(target)).find(({ id }) => id === 'gouge-parts')!;
		for (const target of TARGETS) {
			const parts = partsFor(target);
			expect(parts.ask.text.includes('Gouging nozzle'), target).toBe(!isLight(target));
			expect(parts.more!.text === 'this bench has none', target).toBe(!isLight(target));
			expect(JSON.stringify(parts), target).not.toContain('laid aside');
		}
	});

	it('of a spot: upright, and its metal flies to all sides; nothing of pushing and angles', () => {
		for (const target of TARGETS) {
			const text = JSON.stringify(
				listOf('groove', () => {}, grooveOf(target)).filter(({ id }) => id !== 'fume')
			);
			expect(/push|Pulling|50°|forward|ahead of the torch/.test(text), target).toBe(
				!isSpot(target)
			);
			expect(/upright|all round the spot/.test(text), target).toBe(isSpot(target));
		}
	});

	it('of the fume: strip only what is there, one caution of each kind, and water only under aluminium', () => {
		for (const metal of METAL_IDS)
			for (const coating of COATINGS) {
				const fume = listOf('cut', () => {}, { metal, coating }).find(({ id }) => id === 'fume');
				const at = `${metal} with ${coating}`;
				const strips = coating === 'paint' || coating === 'zinc' || metal === 'galvanized';
				expect(fume === undefined, at).toBe(metal === 'mild-steel' && coating === 'none');
				if (!fume) continue;
				expect(/Strip it back/.test(fume.remedy), at).toBe(strips);
				expect(fume.why.match(/Zinc fume/g)?.length ?? 0, at).toBeLessThanOrEqual(1);
				expect(/water table/.test(fume.ask.text), at).toBe(metal === 'aluminium');
				if (coating === 'paint') expect(fume.ask.text + fume.more?.text, at).toContain('Paint off');
				// Titanium burns on under water; the others do not need to hear of sand.
				expect(/sand/.test(fume.remedy), at).toBe(metal === 'titanium');
			}
	});

	it('of a stack and of a circle: sheets without gaps, and the pivot measured to the middle of the kerf', () => {
		const said = (id: string, cut: Partial<Cut>) =>
			JSON.stringify(listOf('cut', () => {}, cut).find((one) => one.id === id));
		expect(said('clamp', { layers: 3, thicknessMm: 2 })).toContain('no gaps');
		expect(said('clamp', {})).not.toContain('gaps');
		expect(said('guide', { guide: 'circle' })).toMatch(/middle of the kerf.*from the pin/);
		expect(said('guide', { guide: 'kept' })).toMatch(/shield’s radius.*finished edge/);
	});

	it('of the circuit: the compressor that feeds the torch is not put off it', () => {
		const load = (name: string, when: 'always' | 'compressor', on: string) => ({
			name,
			on,
			when,
			currentA: 8,
			startMultiple: 6
		});
		const alone = (...loads: ['always' | 'compressor', string][]) =>
			listOf('day', (b) => {
				b.supply.loads = loads.map(([when, name]) => load(name, when, b.supply.circuit));
			}).find(({ id }) => id === 'alone')!;
		expect(alone(['compressor', 'Compressor']).ask.text).toMatch(/but the compressor$/);
		expect(alone(['compressor', 'Compressor']).more).toBeUndefined();
		const both = alone(['compressor', 'Compressor'], ['always', 'Heater']);
		expect(both.ask.text).toMatch(/but the compressor while you cut$/);
		expect(both.more!.text).toBe('Heater');
		expect(alone(['always', 'Heater']).ask.text).not.toContain('compressor');
	});

	it('of a groove: the shade is that of gouging, whatever the cut wants', () => {
		const inputs = inputsOf({}, { gouge: { ...inputsOf().cut.gouge, asked: true } });
		const p = plan(inputs);
		const darker = { ...p.figures, 'gouge.shade': { ...p.figures['gouge.shade'], value: 11 } };
		const wear = preflight('groove', inputs, { ...p, figures: darker }).find(
			({ id }) => id === 'wear'
		)!;
		expect(wear.ask.text).toContain('Shade 11');
	});

	it('a tick stands for what was said: the key moves with amps or guide, and with nothing else', () => {
		const [at45, at40] = [45, 40].map((typedA) =>
			listOf('cut', () => {}, { school: 'typed', typedA })
		);
		const moved = at45!.filter((one, i) => itemKey(one) !== itemKey(at40![i]!)).map(({ id }) => id);
		expect(moved).toContain('knob');
		expect(moved).not.toContain('clamp');
		expect(listKey(at45!)).not.toBe(listKey(at40!));
		expect(listKey(listOf('day'))).toBe(listKey(listOf('day')));
	});
});

describe('checks of a shop', () => {
	const own = {
		id: 'own-gate',
		list: 'day' as const,
		ask: 'Gate key back',
		why: '',
		verdict: 'tight' as const
	};
	it('are asked in their own list, and hold up the checks', () => {
		const [item] = ownItems('day', [own]);
		expect(item).toMatchObject({ id: 'own-gate', held: { station: 'checks', verdict: 'tight' } });
		expect(ownItems('cut', [own])).toEqual([]);
	});
	it.each([
		['one without words', [{ ...own, ask: '  ' }]],
		['an id of ours', [{ ...own, id: 'clamp' }]],
		['the same twice', [own, own]],
		['seven in one list', Array.from({ length: 7 }, (_, i) => ({ ...own, id: `own-${i}` }))],
		['a list that is none', [{ ...own, list: 'week' }]],
		['no list', 'gate']
	])('are refused: %s', (_, checks) => {
		expect(v.safeParse(OwnChecksSchema, checks).success).toBe(false);
	});
});

describe('what is found wrong', () => {
	const bench = changed(() => {});
	let id = 0;
	const said = (
		so: boolean,
		over: Partial<{
			item: string;
			word: string;
			station: 'supply' | 'cut';
			verdict: 'tight' | 'stops';
		}> = {}
	): LoggedEntry => ({
		id: ++id,
		setId: null,
		at: new Date(Date.UTC(2026, 10, 20, 8, id)).toISOString(),
		undone: false,
		entry: {
			kind: 'check',
			item: 'gel',
			word: 'gel spent',
			station: 'supply',
			verdict: 'tight',
			so,
			...over
		}
	});
	const planned = (log: LoggedEntry[]) =>
		plan(inputsOf({ bench, evidence: evidenceFromLog(bench, log, null) }));

	it('holds up its station and the checks until somebody says that it is mended', () => {
		expect(planned([]).stations.checks.verdict).toBe('not set');
		const wrong = planned([said(false)]);
		expect(wrong.stations.supply).toMatchObject({ verdict: 'tight', word: 'gel spent' });
		expect(wrong.stations.checks).toMatchObject({ verdict: 'tight', word: 'gel spent' });
		expect(wrong.figures['checks.open'].value).toBe(1);
		const mended = planned([said(false), said(true)]);
		expect(mended.stations.supply.verdict).toBe('holds');
		expect(mended.figures['checks.open'].value).toBe(0);
	});
	it('what stops is the first limit; two are counted; taken back counts for nothing', () => {
		const behind = said(false, {
			item: 'behind',
			word: 'behind the plate',
			station: 'cut',
			verdict: 'stops'
		});
		const both = planned([said(false), behind]);
		expect(both.firstLimit).toMatchObject({ word: 'behind the plate', stopsAtS: 0 });
		expect(both.stations.checks.word).toBe('2 not so');
		expect(planned([said(false), { ...behind, undone: true }]).verdict).toBe('tight');
	});
	it('the newest word counts, in time and not as it was written', () => {
		const late = said(true);
		const early = said(false);
		expect(
			planned([
				{ ...late, id: 90 },
				{ ...early, id: 91 }
			]).figures['checks.open'].value
		).toBe(1);
	});
});
