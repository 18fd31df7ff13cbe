import type { NozzleFit, StandoffWay } from '../cut/workings';
import type { Figure, Finding, Station, StationVerdict, Verdict } from '../figure/types';

import type { Caution } from '../safety/cautions';

import type { FigureId } from './names';
import type { Check } from './rooms';
import type { WarpRisk } from '../cut/heat';
import type { StartMethod } from '../cut/start';
import type { StartOption } from '../wear/starts';
import type { Groove } from '../gouge/groove';
import type { PartChange } from '../torch/assembly';

/** What the Plan says in sentences. */
export interface Said {
	findings: Finding[];
	/** What belongs on card and cut whatever the figures say. */
	cautions: Caution[];
}

/** What the Plan comes to in numbers. */
export interface Plan {
	modelVersion: string;
	inputsHash: string;
	figures: Record<FigureId, Figure>;
	checks: Check[];
	verdict: Verdict;
	/** Among stops the earliest; exactly one at most. */
	firstLimit: Check | null;
	/** Among tights the smallest margin, when nothing stops; exactly one at most. */
	weakestLink: Check | null;
	stations: Record<Station, StationVerdict>;
	/** Choices the Plan made, as words rather than numbers. */
	choices: {
		nozzleFits: NozzleFit;
		startMethod: StartMethod;
		/** Every way to start this cut, and what it costs. */
		starts: StartOption[];
		/** How the torch is held off the plate. */
		standoff: StandoffWay;
		/** Least amps of this machine that part it, when these do not; null: none do. */
		partsFromA: number | null;
		/** The work is the planned cut; else a pattern of its own. */
		workIsCut: boolean;
		/** Of the air: told, measured, only a lower bound, or none of the shop's. */
		flow: 'measured' | 'plate' | 'bound' | 'built-in';
		/** What to change in the torch first, musts first. */
		changes: PartChange[];
		/** Thin sheet that warps because a hand cannot keep up. */
		warp: WarpRisk;
		gougeNozzle: boolean;
	};
	/** Strings and section of the groove that is asked for; null: none, or it cannot be made as lines. */
	groove: Groove | null;
}
