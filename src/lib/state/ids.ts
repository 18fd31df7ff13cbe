/**
 * An id for one gesture, made on the device: 24 hex digits.
 * `crypto.randomUUID` is missing on plain http, where a phone on the shop network works.
 */
export function newOpId(): string {
	const bytes = crypto.getRandomValues(new Uint8Array(12));
	return [...bytes].map((byte) => byte.toString(16).padStart(2, '0')).join('');
}
