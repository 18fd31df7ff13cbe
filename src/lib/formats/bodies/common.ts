/** What many bodies of the API share: ids, times, revisions. */
import * as v from 'valibot';

/** Made by the client, once per gesture: sending the same one again stores nothing. */
export const OpIdSchema = v.pipe(
	v.string('8 to 64 characters'),
	v.regex(/^[A-Za-z0-9_-]{8,64}$/, '8 to 64 letters, digits, - or _')
);
export const IdSchema = v.pipe(v.string('text'), v.regex(/^[A-Za-z0-9_-]{1,64}$/, 'an id'));
/** 31 February is written like a date and is none; without a zone it is another time on every machine. */
function exists(text: string): boolean {
	const [, year, month, day] = /^(\d{4})-(\d\d)-(\d\d)/.exec(text) ?? [];
	const days = new Date(Date.UTC(Number(year), Number(month), 0)).getUTCDate();
	const zoned = /(Z|[+-]\d\d:?\d\d)$/.test(text);
	const time = Date.parse(text);
	return zoned && Number(day) >= 1 && Number(day) <= days && time >= 0 && time < TIME_END;
}
const TIME_END = Date.UTC(2100, 0);
export const AtSchema = v.pipe(
	v.string('a time'),
	v.isoTimestamp('an ISO 8601 time with zone, such as 2026-11-25T08:30:00Z'),
	v.check(exists, 'a date that exists, with a zone, from 1970 to 2100'),
	v.transform((text) => new Date(text).toISOString())
);
/** That the write was made over; 0: nobody has written it yet. */
export const revision = v.pipe(
	v.number('a whole number'),
	v.integer('a whole number'),
	v.minValue(0, '0 or more')
);
export const NameSchema = v.pipe(
	v.string('text'),
	v.trim(),
	v.minLength(1, '1 to 60 characters'),
	v.maxLength(60, '1 to 60 characters')
);
