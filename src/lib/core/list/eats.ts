/** What a list takes of the parts: when to change them on the way, and whether the drawer has enough. */
export interface PartsOfList {
	/** Sets taken out of the drawer. */
	sets: number;
	/** Pieces, counted from 0 through the whole list, before which a new set goes in. */
	changesBefore: number[];
	/** Missing from the drawer; 0: enough. */
	short: number;
	/** Pieces that can be made before the first change for which no set is left. */
	possible: number;
	pitAtEndUm: number;
}

/**
 * A set that would pass its limit within a piece is changed before it; exactly at the limit it is still in
 * use. `growthUm`: of each piece in the order in which they are made, µm. `limitUm` over 0.
 */
export function partsOfList(
	growthUm: readonly number[],
	{ nowUm, limitUm, drawer }: { nowUm: number; limitUm: number; drawer: number }
): PartsOfList {
	let pitUm = nowUm;
	const changesBefore: number[] = [];
	for (const [piece, grows] of growthUm.entries()) {
		if (pitUm > 0 && pitUm + grows > limitUm + 1e-9) {
			changesBefore.push(piece);
			pitUm = 0;
		}
		pitUm += grows;
	}
	return {
		sets: changesBefore.length,
		changesBefore,
		short: Math.max(0, changesBefore.length - drawer),
		possible: changesBefore[drawer] ?? growthUm.length,
		pitAtEndUm: pitUm
	};
}
