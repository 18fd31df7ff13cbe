import type Database from 'better-sqlite3';
import { ArcLineRepository } from './arcLines';
import { BenchRepository } from './benches';
import { CareRepository } from './care';
import { CardRepository } from './cards';
import { ChartRepository } from './charts';
import { StockRepository } from './stock';
import { DayListRepository } from './dayLists';
import { openDatabase } from './db';
import { LedgerRepository } from './ledger';
import { LogRepository } from './log';
import { LogSearch } from './logSearch';
import { OutlineRepository } from './outlines';
import { PartRepository } from './parts';
import { PictureRepository } from './pictures';
import { SetRepository } from './sets';
import { SettingsRepository } from './settings';
import { shopLists } from './shopLists';

/** Everything that is kept, over one open database. */
export class Store {
	readonly benches: BenchRepository;
	readonly ledger: LedgerRepository;
	readonly stock: StockRepository;
	readonly parts: PartRepository;
	readonly sets: SetRepository;
	readonly log: LogRepository;
	readonly search: LogSearch;
	readonly care: CareRepository;
	readonly settings: SettingsRepository;
	readonly charts: ChartRepository;
	readonly cards: CardRepository;
	readonly outlines: OutlineRepository;
	readonly dayLists: DayListRepository;
	readonly arcLines: ArcLineRepository;
	readonly pictures: PictureRepository;
	readonly lists: ReturnType<typeof shopLists>;

	constructor(readonly db: Database.Database) {
		this.benches = new BenchRepository(db);
		this.ledger = new LedgerRepository(db);
		this.stock = new StockRepository(db);
		this.parts = new PartRepository(db, this.ledger, this.stock);
		this.sets = new SetRepository(db, this.ledger, this.parts);
		this.log = new LogRepository(db, this.ledger, this.sets);
		this.search = new LogSearch(db, this.log);
		this.care = new CareRepository(db);
		this.settings = new SettingsRepository(db);
		this.charts = new ChartRepository(db);
		this.cards = new CardRepository(db);
		this.outlines = new OutlineRepository(db);
		this.dayLists = new DayListRepository(db, this.log);
		this.arcLines = new ArcLineRepository(db, this.log);
		this.pictures = new PictureRepository(db);
		this.lists = shopLists(db);
		// Sums that an earlier program kept, or did not keep, are made anew once.
		for (const id of this.ledger.outdated()) this.ledger.rebuild(id);
	}
}

export function openStore(folder: string): Store {
	return new Store(openDatabase(folder));
}
