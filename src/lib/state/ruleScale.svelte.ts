import * as v from 'valibot';
import { CHECKED_MM, paperTickMm } from '$lib/core/photo/paperRule';
import { MM_PER_IN } from '$lib/core/quantity/units';
import { recall, remember } from './remembered';

/** From one of the finest lines of a steel rule to the next. */
const STEEL_MM = { '1': 1, '0.5': 0.5, '16': MM_PER_IN / 16, '32': MM_PER_IN / 32 } as const;
export type RuleLines = keyof typeof STEEL_MM | 'paper';

const KEY = 'steady-arc-paper-rule-mm';
const MmSchema = v.pipe(v.number(), v.minValue(CHECKED_MM[0]), v.maxValue(CHECKED_MM[1]));

/** The rule that lies in a picture: of steel, or of paper that a steel one has checked. */
export class RuleScale {
	lines = $state<RuleLines>('1');
	/** What the hundred millimetres of the paper rule measure; kept on this device, as the printer is. */
	paperMm = $state.raw<number | null>(null);
	/** The rule of the drawn picture, which has a line at every millimetre. */
	drawn = $state(false);

	constructor(lines: RuleLines) {
		this.lines = lines;
	}
	/** Once a page is there. */
	recall(): void {
		this.paperMm = recall(KEY, MmSchema) ?? null;
	}
	/** `null`: the paper was not measured, so it is no scale. */
	get tickMm(): number | null {
		if (this.drawn) return 1;
		if (this.lines !== 'paper') return STEEL_MM[this.lines];
		return this.paperMm === null ? null : paperTickMm(this.paperMm);
	}
	choose(lines: RuleLines): void {
		this.lines = lines;
		this.drawn = false;
	}
	measured(mm: number): void {
		this.paperMm = mm;
		this.drawn = false;
		remember(KEY, mm);
	}
}
