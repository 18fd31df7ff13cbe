/** How large a body each route takes, in one place: the handler behind it sets no limit of its own. */
const KIB = 1024;
const MIB = 1024 * KIB;
const LIMITS = [
	// Thousands of rows of a log.
	['/api/log/import', 4 * MIB],
	['/api/log', 16 * KIB],
	['/api/sets', 16 * KIB],
	// A chart of ten thousand rows.
	['/api/charts', 4 * MIB],
	// Outlines of many thousand points.
	['/api/outlines', 8 * MIB],
	['/api/template', 8 * MIB],
	// One kept picture, as text.
	['/api/pictures', 1 * MIB],
	// A whole shop.
	['/api/restore', 1024 * MIB],
	['/api/', 256 * KIB]
];
const OTHER = 64 * KIB;

const words = (bytes) => (bytes >= MIB ? `${bytes / MIB} MiB` : `${bytes / KIB} KiB`);

/** What is wrong with the length of a body; undefined: nothing. */
export function tooLarge(path, headers) {
	const limit = LIMITS.find(([prefix]) => path.startsWith(prefix))?.[1] ?? OTHER;
	const told = headers['content-length'];
	if (headers['transfer-encoding'] !== undefined || (told !== undefined && !/^\d+$/.test(told))) {
		return { status: 411, message: 'The length of the body must be told (content-length).' };
	}
	if (Number(told ?? 0) <= limit) return undefined;
	return { status: 413, message: `At most ${words(limit)} are taken here, got ${told} bytes.` };
}
