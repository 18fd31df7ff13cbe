import type { Remedy, TemplateFaults } from '$lib/core/shape/remedy';
import type { TemplateInput, TemplateSide } from '$lib/core/shape/template';

const ON = { kept: 'on the part', waste: 'on the waste' } satisfies Record<TemplateSide, string>;

/** "3, 4 and 5", each once. */
function listed(names: string[]): string {
	const once = [...new Set(names)];
	const last = once.pop() ?? '';
	return once.length > 0 ? `${once.join(', ')} and ${last}` : last;
}

/**
 * What keeps a template from being made, one sentence each. `nameOf` calls a contour as the reader sees
 * it: by its cut on the screen, by its size on paper.
 */
export function faultWords(faults: TemplateFaults, nameOf: (index: number) => string): string[] {
	const named = (why: 'no room' | 'falls apart') =>
		listed(faults.missing.filter((m) => m.why === why).map(({ index }) => nameOf(index)));
	const [room, apart] = [named('no room'), named('falls apart')];
	const small = listed(faults.tooSmall.map(nameOf));
	return [
		...(room ? [`The shield has no room for a template at ${room}.`] : []),
		...(apart ? [`The template falls apart at a neck: ${apart}.`] : []),
		...(faults.crossing
			? [`The edges of ${faults.crossing} templates cross: one plate cannot carry them all.`]
			: []),
		...(small ? [`Smaller than the kerf: ${small}.`] : [])
	];
}

/** What to do about it; only what was tried and comes out. */
export function remedyWords(
	remedy: Remedy | undefined,
	asked: Pick<TemplateInput, 'outside' | 'holes'>,
	nameOf: (index: number) => string
): string {
	if (!remedy)
		return 'No template was found that carries it: cut freehand to a line, or by the circle guide.';
	const steps = [
		...(remedy.drill.length ? [`drill or saw ${listed(remedy.drill.map(nameOf))}`] : []),
		...(remedy.outside !== asked.outside ? [`lay the outside template ${ON[remedy.outside]}`] : []),
		...(remedy.holes !== asked.holes ? [`lay the templates in holes ${ON[remedy.holes]}`] : []),
		...(remedy.plates === 2 ? ['make two plates: one for the outside, one for the holes'] : [])
	];
	const words = listed(steps);
	return `It can be made: ${words}.`;
}
