/** Readings of the parts in the torch, as they are sent: oldest first. */
export interface WearReading {
	at: string;
	/** That the part had made by then. */
	starts: number;
	/** Pit of the electrode, or what the bore has grown, µm. */
	grownUm: number;
}
export interface WearHistory {
	electrode: WearReading[];
	nozzle: WearReading[];
}
