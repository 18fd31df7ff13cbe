/** A value read from a picture, and how sure it is. */
export interface Told {
	value: number;
	/** One standard deviation. */
	spread: number;
}
