import type Database from 'better-sqlite3';
import { BenchRepository } from './benches';
import { CardRepository } from './cards';
import { ChartRepository } from './charts';
import { openDatabase } from './db';
import { LogRepository } from './log';
import { OutlineRepository } from './outlines';
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
	readonly outlines: OutlineRepository;

	constructor(readonly db: Database.Database) {
		this.benches = new BenchRepository(db);
		this.sets = new SetRepository(db);
		this.log = new LogRepository(db);
		this.settings = new SettingsRepository(db);
		this.charts = new ChartRepository(db);
		this.cards = new CardRepository(db);
		this.outlines = new OutlineRepository(db);
	}
}

export function openStore(folder: string): Store {
	return new Store(openDatabase(folder));
}
