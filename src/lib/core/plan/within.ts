import * as v from 'valibot';

/** A number in a closed range, with the words that a refusal needs. */
export const within = (min: number, max: number, unit: string) =>
	v.pipe(
		v.number(`a number from ${min} to ${max} ${unit}`.trim()),
		v.minValue(min, `${min} to ${max} ${unit}`.trim()),
		v.maxValue(max, `${min} to ${max} ${unit}`.trim())
	);
