/** Inks of the drawing as the canvas needs them: read from the theme that is on. */
export interface Inks {
	ink: string;
	ink2: string;
	rule: string;
	arc: string;
	arcWash: string;
	spark: string;
	sparkInk: string;
	sparkWash: string;
	holds: string;
	stops: string;
	sheet: string;
	font: string;
	figure: string;
}

export function inksOf(node: Element): Inks {
	const style = getComputedStyle(node);
	const of = (name: string) => style.getPropertyValue(name).trim();
	return {
		ink: of('--ink'),
		ink2: of('--ink2'),
		rule: of('--rule'),
		arc: of('--arc'),
		arcWash: of('--arc-wash'),
		spark: of('--spark'),
		sparkInk: of('--spark-ink'),
		sparkWash: of('--spark-wash'),
		holds: of('--holds'),
		stops: of('--stops'),
		sheet: of('--sheet'),
		font: of('--font-plain'),
		figure: of('--font-figure')
	};
}
