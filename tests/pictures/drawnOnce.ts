import { createHash } from 'node:crypto';
import { existsSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { deserialize, serialize } from 'node:v8';

/** Where a run that draws the same pictures over and over keeps them (`mutate.ts`); else each is drawn. */
const KEPT_IN = process.env.PICTURES_KEPT_IN;

/** What `draw` makes of `asked`: drawing takes as long as reading does. */
export function drawnOnce<Drawn>(kind: string, asked: unknown[], draw: () => Drawn): Drawn {
	if (!KEPT_IN) return draw();
	// Nothing asked for is told from none.
	const key = JSON.stringify([kind, ...asked], (_, value: unknown) =>
		value === undefined ? '–' : value
	);
	const file = join(KEPT_IN, createHash('sha256').update(key).digest('hex'));
	if (existsSync(file)) return deserialize(readFileSync(file)) as Drawn;
	const drawn = draw();
	// Two processes may draw the same at once.
	const made = `${file}.${process.pid}`;
	writeFileSync(made, serialize(drawn));
	renameSync(made, file);
	return drawn;
}
