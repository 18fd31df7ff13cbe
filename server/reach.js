/** By which names and addresses this server may be asked for. */
import { networkInterfaces } from 'node:os';

const EVERYWHERE = ['0.0.0.0', '::'];
const LOOPBACK = ['127.0.0.1', 'localhost', '::1'];

const bracketed = (address) => (address.includes(':') ? `[${address}]` : address);

/** Opened to others than this machine. */
export const isOpen = (host) => !LOOPBACK.includes(host);

/** Addresses of this machine on its networks. */
function ownAddresses() {
	return Object.values(networkInterfaces())
		.flat()
		.filter((one) => one && !one.internal && !one.address.startsWith('fe80:'))
		.map(({ address }) => bracketed(address));
}

/** Host names that are allowed in a request: anything else may be another site's page asking. */
export function allowedHosts(host, more = '') {
	const own = EVERYWHERE.includes(host) ? ownAddresses() : [bracketed(host)];
	const named = more
		.split(',')
		.map((name) => name.trim())
		.filter(Boolean);
	return new Set(['localhost', '127.0.0.1', '[::1]', ...own, ...named]);
}

/** Where a phone on the shop's network finds this server. */
export function originsFor(host, port, more = '') {
	if (!isOpen(host)) return [];
	return [...allowedHosts(host, more)]
		.filter((name) => !['localhost', '127.0.0.1', '[::1]'].includes(name))
		.map((name) => `http://${name}:${port}`);
}
