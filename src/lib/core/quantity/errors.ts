/** What a {@link DomainError} says about the input it refuses. */
export interface DomainErrorInfo {
	/** Stable, for programs. */
	code: 'out-of-range' | 'not-a-quantity' | 'wrong-unit' | 'unknown' | 'inconsistent';
	/** Path of the field, for forms: `supply.cord.lengthM`. */
	field: string;
	/** What the field is, in the words of the shop: "cord length". */
	quantity: string;
	/** What is accepted, with its unit: "0.1 to 200 m". */
	allowed: string;
	/** What was given. */
	received: string;
	/** What to do about it, when known. */
	remedy?: string;
}

/** The one error of the core: bad input, named so that a form can place it. */
export class DomainError extends Error {
	readonly info: DomainErrorInfo;

	constructor(info: DomainErrorInfo) {
		super(
			`${info.quantity}: ${info.allowed} is accepted, got ${info.received}.` +
				(info.remedy ? ` ${info.remedy}` : '')
		);
		this.name = 'DomainError';
		this.info = info;
	}
}
