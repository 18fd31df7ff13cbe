import { KeepPictureSchema } from '$lib/formats/bodies/records';
import { plainJpeg } from '$lib/formats/jpegPlain';
import { PICTURE_BYTES_MOST, PICTURE_SIDE_MOST, PICTURES_BYTES_MOST } from '$lib/formats/pictures';
import { store } from '$lib/server/current';
import { answer, atLatestNow, readBody, refuse, unknown, wholeNumber } from '$lib/server/respond';
import type { RequestHandler } from './$types';

const PAGE = 24;
const PAGE_MOST = 100;
const ENTRIES = /^\d{1,15}(,\d{1,15}){0,99}$/;

/** Kept pictures of a bench, newest first, or those beside some entries. */
export const GET: RequestHandler = ({ url }) =>
	answer(() => {
		const benchId = url.searchParams.get('bench') ?? '';
		if (!store().benches.find(benchId)) unknown('bench', benchId);
		const entries = url.searchParams.get('entries');
		if (entries !== null) {
			if (!ENTRIES.test(entries))
				refuse(400, 'bad-input', 'The entries are numbers with commas between, at most 100.');
			const ids = entries.split(',').map(Number);
			return { pictures: store().pictures.ofEntries(ids) };
		}
		const most = wholeNumber(url, 'limit', PAGE, PAGE_MOST);
		const before = wholeNumber(url, 'before', Number.MAX_SAFE_INTEGER);
		const pictures = store().pictures.ofBench(benchId, before, most);
		const next = pictures.length === most ? pictures.at(-1)!.id : null;
		return { pictures, next, used: store().pictures.used(), most: PICTURES_BYTES_MOST };
	});

/** Keeps one beside the entry that an earlier write made. */
export const POST: RequestHandler = ({ request }) =>
	answer(async () => {
		const { opId, entryOp, at, jpeg } = await readBody(request, KeepPictureSchema);
		const plain = plainJpeg(Buffer.from(jpeg, 'base64'));
		if (!plain) refuse(400, 'bad-input', 'That is no whole JPEG picture.');
		if (plain.bytes.length > PICTURE_BYTES_MOST)
			refuse(413, 'too-large', `A kept picture has at most ${PICTURE_BYTES_MOST / 1000} kB.`);
		if (Math.max(plain.width, plain.height) > PICTURE_SIDE_MOST)
			refuse(400, 'bad-input', `A kept picture is at most ${PICTURE_SIDE_MOST} pixels long.`);
		const result = store().pictures.keep({ opId, entryOp, at: atLatestNow(at), jpeg: plain });
		if (result.outcome === 'unknown') unknown('entry', entryOp);
		if (result.outcome === 'full')
			refuse(
				507,
				'too-large',
				`The kept pictures fill their ${PICTURES_BYTES_MOST / 1e6} MB. Let some go first; nothing was changed.`
			);
		return { id: result.id };
	});
