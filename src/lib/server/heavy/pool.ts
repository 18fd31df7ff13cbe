/** Threads for requests that may take long: few, with a deadline and a bounded queue. */
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { Piscina } from 'piscina';
import { buildFolder } from '../config';
import { refuse } from '../respond';
import type { HeavyAnswer, HeavyJob } from './work';

/**
 * Nobody waits longer for a template or a list. From source, in tests and development, a thread first compiles all
 * that it runs, which on a machine that does much else takes longer than any outline.
 */
const DEADLINE_MS = import.meta.env.PROD ? 15_000 : 120_000;
const THREADS_MOST = 2;
/** More do not wait; they are told to come again. */
const QUEUE_MOST = 8;
/** One outline must not take the memory of the shop's small machine, MiB. */
const MEMORY_MOST_MIB = 512;
/** A thread without work goes, ms. */
const IDLE_MS = 30_000;

let pool: Piscina<HeavyJob, HeavyAnswer> | undefined;

function started(): Piscina<HeavyJob, HeavyAnswer> {
	if (pool) return pool;
	const filename = import.meta.env.PROD
		? join(buildFolder(), 'heavy.js')
		: fileURLToPath(new URL('./fromSource.js', import.meta.url));
	// A thread that cannot even begin would be begun again and again until the deadline.
	if (!existsSync(filename)) throw new Error(`${filename} is missing: run npm run build.`);
	pool = new Piscina({
		filename,
		minThreads: 0,
		maxThreads: THREADS_MOST,
		maxQueue: QUEUE_MOST,
		idleTimeout: IDLE_MS,
		resourceLimits: { maxOldGenerationSizeMb: MEMORY_MOST_MIB }
	});
	// Of a thread that ends without work to answer for: the others go on, and so does the server.
	pool.on('error', (error: unknown) => console.error('A thread for heavy questions ended:', error));
	return pool;
}

/** What is too much of each kind, in the person's words. */
const TOO_MUCH: Record<HeavyJob['kind'], string> = {
	template: 'This outline is too intricate',
	outline: 'This outline is too intricate',
	run: 'This list is too long',
	learnt: 'So many lists are too much',
	benches: 'This list is too long for so many benches'
};

/** Runs a request off this thread; refuses when it takes too long or too many wait. */
export const heavy = async (kind: HeavyJob['kind'], request: Request): Promise<HeavyAnswer> =>
	heavily(kind, await request.arrayBuffer());

/** The same with what was read and checked here. */
export async function heavily(kind: HeavyJob['kind'], body: ArrayBuffer): Promise<HeavyAnswer> {
	const threads = started();
	if (threads.queueSize >= QUEUE_MOST) {
		refuse(503, 'busy', 'Others are being worked out; try again in a moment.', [], 2);
	}
	try {
		return await threads.run(
			{ kind, body },
			{ transferList: [body], signal: AbortSignal.timeout(DEADLINE_MS) }
		);
	} catch (error) {
		const { name, code } = error as { name?: string; code?: string };
		if (name === 'AbortError' || code === 'ERR_WORKER_OUT_OF_MEMORY') {
			refuse(
				422,
				'too-heavy',
				`${TOO_MUCH[kind]}: after ${DEADLINE_MS / 1000} s it was not done, and was stopped. Simplify it.`
			);
		}
		throw error;
	}
}

export async function closePool(): Promise<void> {
	await pool?.destroy();
	pool = undefined;
}
