import * as v from 'valibot';

/** A number in a closed range, with the words that a refusal needs. */
export const within = (min: number, max: number, unit: string) =>
	v.pipe(
		v.number(`a number from ${min} to ${max} ${unit}`.trim()),
		v.minValue(min, `${min} to ${max} ${unit}`.trim()),
		v.maxValue(max, `${min} to ${max} ${unit}`.trim())
	);

/** Characters of a name. */
export const NAME_MOST = 60;
/** A name in one line of ordinary text. */
export const nameOf = (what: string) =>
	v.pipe(
		v.string(`${what}: text`),
		v.trim(),
		v.minLength(1, `${what} needs 1 to ${NAME_MOST} characters`),
		v.maxLength(NAME_MOST, `${what} needs 1 to ${NAME_MOST} characters`),
		// eslint-disable-next-line no-control-regex -- control characters are what is refused
		v.regex(/^[^\u0000-\u001f\u007f]*$/, `${what} takes one line of text`)
	);
