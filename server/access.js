/**
 * Who may come in from the shop's network: whoever knows the passcode reads and writes, the link for the
 * wall screen only looks. This machine itself (loopback) needs none. The passcode is kept hashed (scrypt),
 * a cookie signed with a secret that changes with it says who has given it.
 */
import { createHmac, randomBytes, scrypt, timingSafeEqual } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { promisify } from 'node:util';

const hash = promisify(scrypt);
const HASH_BYTES = 32;
export const PASSCODE = { least: 6, most: 64 };
const COOKIE = 'steady-access';
const YEAR_S = 31_536_000;
/** Wrong tries from one address, and from all, before the next must wait. */
const TRIES = { one: 5, all: 30 };
const WINDOW_MS = 10 * 60_000;
const ADDRESSES_MOST = 1000;
/** Opened without the passcode: what the page that asks for it is made of. */
const OPEN = /^\/(enter$|_app\/|favicon|early\.js$|api\/health$)/;
/** Saved straight from a link: the page that asks for the passcode would be taken for the file. */
const FILE = /\.(csv|ics)$/;
/** Posts that work something out and keep nothing: the wall screen may ask them. */
const LOOKS = /^\/api\/(plan|supply|advice|elsewhere|template)$/;

/** Batches of a sensor: the route asks for the token of that bench, which opens nothing else. */
const SENSOR = /^\/api\/line\/[\w-]{1,64}$/;
export const isSensor = (request, path) =>
	request.method === 'POST' &&
	SENSOR.test(path) &&
	/^Bearer \S/.test(request.headers.authorization ?? '');

const isLoopback = (address = '') =>
	address === '127.0.0.1' || address === '::1' || address === '::ffff:127.0.0.1';

export class Access {
	#file;
	#known;
	/** Wrong tries by address: when. */
	#tries = new Map();

	constructor(folder) {
		this.#file = join(folder, 'access.json');
		this.#read();
	}

	#read() {
		this.#known = undefined;
		if (!existsSync(this.#file)) return;
		try {
			const { salt, hash: kept, secret, wall } = JSON.parse(readFileSync(this.#file, 'utf8'));
			if ([salt, kept, secret, wall].every((x) => typeof x === 'string' && x.length >= 16)) {
				this.#known = { salt, hash: kept, secret, wall };
				return;
			}
		} catch {
			// Told below.
		}
		throw new Error(`${this.#file} is damaged: set a passcode anew with \`npm run passcode\`.`);
	}
	get isSet() {
		return this.#known !== undefined;
	}
	/** Path that opens the shop for looking only. */
	get wallPath() {
		return this.#known && `/wall/${this.#known.wall}`;
	}

	/** Sets a passcode; whoever came in by an earlier one is asked again. */
	async set(passcode) {
		const length = [...passcode].length;
		if (length < PASSCODE.least || length > PASSCODE.most) {
			throw new RangeError(`${PASSCODE.least} to ${PASSCODE.most} characters are taken`);
		}
		const salt = randomBytes(16).toString('hex');
		const known = {
			salt,
			hash: (await hash(passcode.normalize('NFKC'), salt, HASH_BYTES)).toString('hex'),
			secret: randomBytes(32).toString('hex'),
			wall: randomBytes(16).toString('hex')
		};
		mkdirSync(join(this.#file, '..'), { recursive: true });
		const fresh = `${this.#file}.new`;
		writeFileSync(fresh, JSON.stringify(known), { mode: 0o600 });
		renameSync(fresh, this.#file);
		this.#known = known;
	}

	async #fits(passcode) {
		const { salt, hash: kept } = this.#known;
		const given = await hash(passcode.normalize('NFKC'), salt, HASH_BYTES);
		return timingSafeEqual(given, Buffer.from(kept, 'hex'));
	}

	#sign(role, untilS) {
		return createHmac('sha256', this.#known.secret).update(`${role}.${untilS}`).digest('hex');
	}
	#cookie(role) {
		const untilS = Math.floor(Date.now() / 1000) + YEAR_S;
		const value = `${role}.${untilS}.${this.#sign(role, untilS)}`;
		return `${COOKIE}=${value}; Path=/; Max-Age=${YEAR_S}; HttpOnly; SameSite=Lax`;
	}
	#roleOf(cookies = '') {
		const [, role, until, signature] =
			new RegExp(`(?:^|; )${COOKIE}=(full|look)\\.(\\d{1,12})\\.([0-9a-f]{64})(?:;|$)`).exec(
				cookies
			) ?? [];
		if (!role || !this.#known || Number(until) < Date.now() / 1000) return undefined;
		const good = Buffer.from(this.#sign(role, Number(until)), 'hex');
		return timingSafeEqual(good, Buffer.from(signature, 'hex')) ? role : undefined;
	}

	/** Seconds until this address may try again; 0: now. */
	#waitS(address) {
		const now = Date.now();
		const recent = (list = []) => list.filter((at) => now - at < WINDOW_MS);
		const mine = recent(this.#tries.get(address));
		const all = [...this.#tries.values()].flatMap(recent);
		const over = mine.length >= TRIES.one ? mine : all.length >= TRIES.all ? all : undefined;
		return over ? Math.ceil((WINDOW_MS - (now - Math.min(...over))) / 1000) : 0;
	}
	#wrong(address) {
		const list = [...(this.#tries.get(address) ?? []), Date.now()].slice(-TRIES.one);
		this.#tries.delete(address);
		this.#tries.set(address, list);
		if (this.#tries.size > ADDRESSES_MOST) this.#tries.delete(this.#tries.keys().next().value);
	}

	/**
	 * Lets a request through with its role ("full" or "look"), or answers it and gives undefined.
	 */
	async admit(request, response, path) {
		const { remoteAddress } = request.socket;
		const reads = request.method === 'GET' || request.method === 'HEAD';
		const go = (to, cookie) => {
			response.writeHead(303, { location: to, ...(cookie && { 'set-cookie': cookie }) });
			response.end();
		};
		if (path.startsWith('/wall/') && reads) {
			if (this.#known && path === this.wallPath) go('/', this.#cookie('look'));
			else go('/enter');
			return undefined;
		}
		if (path === '/enter' && request.method === 'POST') {
			await this.#enter(request, response, remoteAddress, go);
			return undefined;
		}
		if (isLoopback(remoteAddress)) return 'full';
		const role = this.#roleOf(request.headers.cookie);
		if (OPEN.test(path) || isSensor(request, path)) return role ?? 'none';
		if (!role) {
			if (reads && !path.startsWith('/api/') && !FILE.test(path)) {
				go(`/enter?to=${encodeURIComponent(request.url)}${this.isSet ? '' : '&new=1'}`);
			} else {
				refuse(response, 401, 'Open the shop with its passcode first: /enter asks for it.');
			}
			return undefined;
		}
		if (role === 'look' && !reads && !LOOKS.test(path)) {
			refuse(response, 403, 'This screen only looks. Open it with the passcode to write.');
			return undefined;
		}
		return role;
	}

	async #enter(request, response, address, go) {
		const form = new URLSearchParams(await bodyOf(request));
		const passcode = form.get('passcode') ?? '';
		const to = form.get('to') ?? '/';
		// Only a place of this very shop.
		const place = /^\/(?![/\\])/.test(to) ? to : '/';
		const back = (why) =>
			go(`/enter?why=${why}&to=${encodeURIComponent(place)}${this.isSet ? '' : '&new=1'}`);
		const waitS = this.#waitS(address);
		if (waitS > 0) {
			response.setHeader('retry-after', String(waitS));
			back('wait');
			return;
		}
		if (!this.isSet) {
			const length = [...passcode].length;
			if (length < PASSCODE.least || length > PASSCODE.most) return back('short');
			await this.set(passcode);
		} else if (!(await this.#fits(passcode))) {
			this.#wrong(address);
			return back('wrong');
		}
		go(place, this.#cookie('full'));
	}
}

function refuse(response, status, message) {
	response.writeHead(status, { 'content-type': 'application/json' });
	response.end(JSON.stringify({ code: 'locked', message, fields: [] }));
}

const FORM_MOST = 4096;
async function bodyOf(request) {
	const chunks = [];
	let size = 0;
	for await (const chunk of request) {
		size += chunk.length;
		if (size > FORM_MOST) return '';
		chunks.push(chunk);
	}
	return Buffer.concat(chunks).toString('utf8');
}
