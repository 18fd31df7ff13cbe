/** Pictures that are kept beside entries of the log. */

/** Longest side of a kept picture, pixels, and how large it may be. */
export const PICTURE_SIDE_MOST = 1600;
export const PICTURE_BYTES_MOST = 600_000;
/** All of them together: a year of one a day takes a third. */
export const PICTURES_BYTES_MOST = 200_000_000;

export interface KeptPicture {
	id: number;
	/** Entry of the log that it belongs to. */
	logId: number;
	keptAt: string;
	width: number;
	height: number;
	bytes: number;
}
