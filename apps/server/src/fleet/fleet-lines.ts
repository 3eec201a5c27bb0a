import {
  fleetEntrySchema,
  type FleetEntry,
  type FleetOrder,
  type FleetQuery,
  type FleetShow,
  type Plan,
} from '@grey-keel/model';
import { col, fn, Op, where, type Order, type WhereOptions } from 'sequelize';
import * as z from 'zod';
import type { Database } from '../database/open-database.ts';
import type { BoatRow } from '../database/tables.ts';
import { fleetEntryVersion } from './entry-version.ts';
import { allDone, fleetColumnsOf, fleetEntryOf, searchText } from './fleet-entry.ts';

/** How long after the last edit the fleet's lines are made anew. */
const judgeAfterMs = 1500;
/** So many lines are made anew before an answer; more are made after it, one at a time. */
const judgedAtOnce = 20;

const shown: Readonly<Record<FleetShow, WhereOptions<BoatRow>>> = {
  all: {},
  'with a stop': { stops: { [Op.gt]: 0 } },
  'with findings': { [Op.or]: [{ stops: { [Op.gt]: 0 } }, { checks: { [Op.gt]: 0 } }] },
  'not finished': { next_stage: { [Op.lt]: allDone } },
  finished: { next_stage: allDone },
};
const ordered: Readonly<Record<FleetOrder, readonly string[]>> = {
  name: ['name_order', 'id'],
  finding: ['stops', 'checks', 'name_order', 'id'],
  next: ['next_stage', 'name_order', 'id'],
  water: ['water_order', 'name_order', 'id'],
  changed: ['kept_at', 'id'],
};

type Line = Pick<BoatRow, 'id' | 'number' | 'kept_at' | 'entry' | 'entry_version'>;
const attributes = ['id', 'number', 'kept_at', 'entry', 'entry_version'];

/** The fleet's lines: one a boat, made from its plan when that has changed, and found by page. */
export class FleetLines {
  private readonly toJudge = new Set<string>();
  private judging: NodeJS.Timeout | undefined;
  private stopped = false;
  /** One catch-up runs, and one more waits for it: whoever comes meanwhile shares that. */
  private catching: Promise<unknown> = Promise.resolve();
  private nextCatch: Promise<number> | null = null;
  private readonly beingJudged = new Map<string, Promise<string>>();

  constructor(
    private readonly database: Database,
    private readonly planAt: (id: string, number: number) => Promise<Plan>,
  ) {}

  /** Every line, by name. */
  async all(): Promise<FleetEntry[]> {
    const rows = await this.rows({ where: { removed_at: null }, order: [['name_order', 'ASC']] });
    return z.array(fleetEntrySchema).parse((await this.entries(rows)).map((entry) => JSON.parse(entry) as unknown));
  }

  /** A page as it is sent. Each line was written from a typed one by this very version: it is passed on as it stands. */
  async page({ search, show, by, downward, first, count }: FleetQuery): Promise<string> {
    const waiting = await this.catchUp();
    const words = searchText(search).split(/\s+/).filter(Boolean);
    const wanted: WhereOptions<BoatRow> = {
      [Op.and]: [
        { removed_at: null },
        shown[show],
        ...words.map((word) => where(fn('instr', col('sought'), word), Op.gt, 0)),
      ],
    };
    const order: Order = ordered[by].map((column) => [column, downward ? 'DESC' : 'ASC']);
    const { boats } = this.database.tables;
    const asksForAll = show === 'all' && words.length === 0;
    const [rows, all] = await Promise.all([
      this.rows({ where: wanted, order, offset: first, limit: count }),
      boats.count({ where: { removed_at: null } }),
    ]);
    const found = asksForAll ? all : await boats.count({ where: wanted });
    return `{"boats":[${(await this.entries(rows)).join(',')}],"found":${found},"all":${all},"waiting":${waiting}}`;
  }

  /**
   * Judges a boat when nothing has been saved for a little: whoever edits need not wait for the fleet's line about it, nor
   * for that about another boat. A line that is not made by then is made when the fleet is read.
   */
  judgeLater(id: string): void {
    this.toJudge.add(id);
    clearTimeout(this.judging);
    this.judging = setTimeout(
      () => void this.database.gate.share(() => this.judgeAll()).catch(() => undefined),
      judgeAfterMs,
    );
  }

  /** Leaves the rest of the lines to whoever reads the fleet next. */
  stop(): void {
    this.stopped = true;
    clearTimeout(this.judging);
    this.toJudge.clear();
  }

  /** One catch-up for all who read at once; it begins after they came, so that it sees all that was saved before. */
  private catchUp(): Promise<number> {
    this.nextCatch ??= this.catching.then(() => {
      this.nextCatch = null;
      const made = this.makeDue();
      this.catching = made.catch(() => undefined);
      return made;
    });
    return this.nextCatch;
  }

  /** Makes a few lines that are not up to date, and says how many are left for later. */
  private async makeDue(): Promise<number> {
    const due = { removed_at: null, entry_version: { [Op.ne]: fleetEntryVersion } };
    const rows = await this.rows({ where: due, limit: judgedAtOnce });
    for (const row of rows) await this.judged(row);
    if (rows.length < judgedAtOnce) return 0;
    const left = await this.rows({ where: due });
    for (const { id } of left) this.judgeLater(id);
    return left.length;
  }

  private rows(how: { where: WhereOptions<BoatRow>; order?: Order; offset?: number; limit?: number }): Promise<Line[]> {
    return this.database.tables.boats.findAll({ attributes, raw: true, ...how });
  }

  private async entries(rows: readonly Line[]): Promise<string[]> {
    const lines: string[] = [];
    for (const row of rows) lines.push(row.entry_version === fleetEntryVersion ? row.entry : await this.judged(row));
    return lines;
  }

  /** A line that is not up to date, made anew once, however many ask for it. */
  private judged(line: Line): Promise<string> {
    const key = `${line.id} ${line.number}`;
    const made = this.beingJudged.get(key) ?? this.made(line).finally(() => this.beingJudged.delete(key));
    this.beingJudged.set(key, made);
    return made;
  }

  /** Makes a line anew and stores it. Between two of them others are answered. */
  private async made({ id, number, kept_at: keptAt }: Line): Promise<string> {
    await new Promise((resolve) => setImmediate(resolve));
    const columns = fleetColumnsOf(fleetEntryOf(await this.planAt(id, number), { id, number, keptAt }));
    await this.database.write((transaction) =>
      this.database.tables.boats.update(
        columns,
        // One that was saved meanwhile is judged by itself.
        { where: { id, number }, transaction },
      ),
    );
    return columns.entry;
  }

  private async judgeAll(): Promise<void> {
    for (const id of this.toJudge) {
      this.toJudge.delete(id);
      const row = await this.database.tables.boats.findOne({ where: { id, removed_at: null } });
      if (row && row.entry_version !== fleetEntryVersion) await this.judged(row);
      if (this.stopped) return;
    }
  }
}
