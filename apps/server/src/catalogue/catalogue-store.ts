import { catalogueItemSchema, type CatalogueEntry, type CatalogueItem } from '@grey-keel/model';
import type { Transaction } from 'sequelize';
import { readStored } from '../database/stored-json.ts';
import type { Database } from '../database/open-database.ts';
import type { CatalogueRow } from '../database/tables.ts';
import { shippedCatalogue } from './shipped.ts';

const entryOf = (row: CatalogueRow): CatalogueEntry => ({
  id: row.id,
  version: row.version,
  shipped: row.shipped,
  item: catalogueItemSchema.parse(readStored(row.item)),
});

/** Keeps what can be fitted. An entry that changes gets a new version; the old one stays for the boats that carry it. */
export class CatalogueStore {
  constructor(private readonly database: Database) {}

  /** The newest version of every entry. */
  async list(): Promise<CatalogueEntry[]> {
    const rows = await this.database.tables.catalogue.findAll({
      order: [
        ['id', 'ASC'],
        ['version', 'DESC'],
      ],
    });
    return rows.filter((row, i) => i === 0 || rows[i - 1]?.id !== row.id).map(entryOf);
  }

  async everyVersion(): Promise<CatalogueEntry[]> {
    return (await this.database.tables.catalogue.findAll()).map(entryOf);
  }

  /** Adds entries whose ids are free, as part of a write that does more. */
  async add(entries: readonly CatalogueEntry[], transaction: Transaction): Promise<void> {
    await this.database.tables.catalogue.bulkCreate(
      entries.map(({ item, ...entry }) => ({ ...entry, item: JSON.stringify(item) })),
      { transaction },
    );
  }

  async at(id: string, version: number): Promise<CatalogueEntry | null> {
    const row = await this.database.tables.catalogue.findOne({ where: { id, version } });
    return row && entryOf(row);
  }

  /** Puts an item under an id: the same item again changes nothing, another one becomes the next version. */
  async put(id: string, item: CatalogueItem, shipped = false): Promise<CatalogueEntry> {
    const { catalogue } = this.database.tables;
    const text = JSON.stringify(item);
    return this.database.write(async (transaction) => {
      const newest = await catalogue.findOne({ where: { id }, order: [['version', 'DESC']], transaction });
      if (newest?.item === text) return entryOf(newest);
      const version = (newest?.version ?? 0) + 1;
      return entryOf(await catalogue.create({ id, version, shipped, item: text }, { transaction }));
    });
  }

  /** Puts many at once: all of them or none. Gives back what is new or changed. */
  async putAll(items: readonly { id: string; item: CatalogueItem }[]): Promise<CatalogueEntry[]> {
    const { catalogue } = this.database.tables;
    return this.database.write(async (transaction) => {
      const present = await catalogue.findAll({ order: [['version', 'ASC']], transaction });
      const newest = new Map(present.map((row) => [row.id, row]));
      const rows = items.flatMap(({ id, item }) => {
        const before = newest.get(id);
        const text = JSON.stringify(item);
        return before?.item === text ? [] : [{ id, version: (before?.version ?? 0) + 1, shipped: false, item: text }];
      });
      await catalogue.bulkCreate(rows, { transaction });
      return rows.map(({ item, ...rest }) => ({ ...rest, item: catalogueItemSchema.parse(JSON.parse(item)) }));
    });
  }

  /** Brings the shipped entries up to what this program ships. */
  async ship(): Promise<void> {
    const present = new Map((await this.list()).map(({ id, item }) => [id, JSON.stringify(item)]));
    for (const { id, item } of shippedCatalogue)
      if (present.get(id) !== JSON.stringify(item)) await this.put(id, item, true);
  }
}
