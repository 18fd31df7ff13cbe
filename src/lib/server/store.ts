import type Database from 'better-sqlite3';
import { BenchRepository } from './benches';
import { CardRepository } from './cards';
import { ChartRepository } from './charts';
import { openDatabase } from './db';
import { LogRepository } from './log';
import { SetRepository } from './sets';
import { SettingsRepository } from './settings';

/** Everything that is kept, over one open database. */
export class Store {
	readonly benches: BenchRepository;
	readonly sets: SetRepository;
	readonly log: LogRepository;
	readonly settings: SettingsRepository;
	readonly charts: ChartRepository;
	readonly cards: CardRepository;

	constructor(readonly db: Database.Database) {
		this.benches = new BenchRepository(db);
		this.sets = new SetRepository(db);
		this.log = new LogRepository(db);
		this.settings = new SettingsRepository(db);
		this.charts = new ChartRepository(db);
		this.cards = new CardRepository(db);
	}
}

export function openStore(folder: string): Store {
	return new Store(openDatabase(folder));
}
