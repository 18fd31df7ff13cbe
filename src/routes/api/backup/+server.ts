import { createReadStream, rmSync } from 'node:fs';
import { mkdtemp } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { store } from '$lib/server/current';
import { answer, file } from '$lib/server/respond';
import { stampOf } from '$lib/server/restore';
import type { RequestHandler } from './$types';

/** The whole store as one file, copied while it is in use. */
export const GET: RequestHandler = () =>
	answer(async () => {
		const folder = await mkdtemp(join(tmpdir(), 'steady-arc-backup-'));
		const copy = join(folder, 'copy.db');
		const away = () => rmSync(folder, { recursive: true, force: true });
		try {
			await store().db.backup(copy);
		} catch (error) {
			away();
			throw error;
		}
		const stream = createReadStream(copy).on('close', away);
		const name = `steady-arc-${stampOf(new Date())}.db`;
		return file(Readable.toWeb(stream) as ReadableStream, 'application/vnd.sqlite3', name);
	});
