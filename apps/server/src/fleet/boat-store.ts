import { applyEdits, type FieldError } from '@grey-keel/core';
import {
  editSchema,
  fleetEntrySchema,
  planSchema,
  pathSchema,
  upgradePlan,
  type Edit,
  type FleetEntry,
  type KeptRevision,
  type OpenedBoat,
  type Plan,
  type Revision,
  type RevisionRequest,
} from '@grey-keel/model';
import { Op, type Transaction } from 'sequelize';
import * as z from 'zod';
import type { Database } from '../database/open-database.ts';
import type { RevisionRow } from '../database/tables.ts';
import { fleetEntryOf, fleetEntryVersion } from './fleet-entry.ts';

/** A full plan is stored at every so many revisions, so that opening a boat replays few edits. */
export const snapshotEvery = 50;

/** How many open boats are held in memory. */
const heldPlans = 32;

export type Appended =
  | { readonly kind: 'kept'; readonly kept: KeptRevision; readonly again: boolean }
  | { readonly kind: 'no such boat' }
  | { readonly kind: 'id used for other edits' }
  | { readonly kind: 'behind'; readonly number: number; readonly missing: Revision[] }
  | { readonly kind: 'ahead'; readonly number: number }
  | { readonly kind: 'refused'; readonly errors: readonly FieldError[] };

const editsSchema = z.array(editSchema);
const pathsSchema = z.array(pathSchema);

const revisionOf = (row: RevisionRow): Revision => ({
  number: row.number,
  revisionId: row.revision_id,
  keptAt: row.kept_at,
  edits: editsSchema.parse(JSON.parse(row.edits)),
  paths: pathsSchema.parse(JSON.parse(row.paths)),
});

/** Keeps boats as a growing list of edits with a full plan every so often. Nothing kept is ever overwritten. */
export class BoatStore {
  private readonly held = new Map<string, { number: number; plan: Plan }>();

  constructor(
    private readonly database: Database,
    private readonly now: () => Date = () => new Date(),
  ) {}

  async fleet(): Promise<FleetEntry[]> {
    return z.array(fleetEntrySchema).parse(JSON.parse(await this.fleetAsJson()));
  }

  /** The fleet as it is sent. Each line was written from a typed one by this very version: it is passed on as it stands. */
  async fleetAsJson(): Promise<string> {
    const { boats } = this.database.tables;
    const rows = await boats.findAll({
      attributes: ['id', 'number', 'kept_at', 'entry', 'entry_version'],
      where: { removed_at: null },
      order: [['name', 'ASC']],
      raw: true,
    });
    const lines = await Promise.all(
      rows.map(async (row) => {
        if (row.entry_version === fleetEntryVersion) return row.entry;
        const plan = await this.planAt(row.id, row.number);
        return JSON.stringify(fleetEntryOf(plan, { id: row.id, number: row.number, keptAt: row.kept_at }));
      }),
    );
    return `[${lines.join(',')}]`;
  }

  async open(id: string): Promise<OpenedBoat | null> {
    const row = await this.database.tables.boats.findOne({ where: { id, removed_at: null } });
    if (!row) return null;
    return { id, number: row.number, keptAt: row.kept_at, plan: await this.planAt(id, row.number) };
  }

  /** The plan as it was at a revision, or null for a revision that never was. */
  async openAt(id: string, number: number): Promise<Plan | null> {
    const row = await this.database.tables.boats.findByPk(id);
    return row && number >= 0 && number <= row.number ? this.planAt(id, number) : null;
  }

  /** Makes a boat from a plan. The same id again is told so and changes nothing. */
  async create(id: string, plan: Plan, at?: string): Promise<'made' | 'there already'> {
    const { boats, snapshots } = this.database.tables;
    const keptAt = at ?? this.now().toISOString();
    return this.database.write(async (transaction) => {
      if (await boats.findByPk(id, { transaction })) return 'there already';
      await boats.create(
        {
          id,
          number: 0,
          name: plan.boat.name,
          entry: JSON.stringify(fleetEntryOf(plan, { id, number: 0, keptAt })),
          entry_version: fleetEntryVersion,
          made_at: keptAt,
          kept_at: keptAt,
          removed_at: null,
        },
        { transaction },
      );
      await snapshots.create({ boat_id: id, number: 0, plan: JSON.stringify(plan) }, { transaction });
      return 'made';
    });
  }

  /** Takes a boat off the fleet; what is kept of her stays, and she can be recalled. */
  async remove(id: string): Promise<boolean> {
    return this.setRemoved(id, this.now().toISOString());
  }

  async recall(id: string): Promise<boolean> {
    return this.setRemoved(id, null);
  }

  async revisionsSince(id: string, number: number, transaction?: Transaction): Promise<Revision[]> {
    const rows = await this.database.tables.revisions.findAll({
      where: { boat_id: id, number: { [Op.gt]: number } },
      order: [['number', 'ASC']],
      transaction: transaction ?? null,
    });
    return rows.map(revisionOf);
  }

  /** Appends edits to a boat's history, once for each revision id however often it is sent. */
  async append(id: string, request: RevisionRequest, at?: string): Promise<Appended> {
    return this.database.write((transaction) => this.appendIn(transaction, id, request, at));
  }

  private async appendIn(
    transaction: Transaction,
    id: string,
    { revisionId, base, edits }: RevisionRequest,
    at: string | undefined,
  ): Promise<Appended> {
    const { boats, revisions, snapshots } = this.database.tables;
    const boat = await boats.findOne({ where: { id, removed_at: null }, transaction });
    if (!boat) return { kind: 'no such boat' };

    const before = await revisions.findOne({ where: { revision_id: revisionId }, transaction });
    if (before) {
      if (before.boat_id !== id || before.edits !== JSON.stringify(edits)) return { kind: 'id used for other edits' };
      return { kind: 'kept', kept: { number: before.number, revisionId, keptAt: before.kept_at }, again: true };
    }
    if (base > boat.number) return { kind: 'ahead', number: boat.number };
    if (base < boat.number)
      return { kind: 'behind', number: boat.number, missing: await this.revisionsSince(id, base, transaction) };

    const applied = applyEdits(await this.planAt(id, boat.number, transaction), edits);
    if (!applied.ok) return { kind: 'refused', errors: applied.errors };

    const number = boat.number + 1;
    const keptAt = at ?? this.now().toISOString();
    const paths = applied.patches.map(({ path }) => path);
    await revisions.create(
      {
        boat_id: id,
        number,
        revision_id: revisionId,
        edits: JSON.stringify(edits),
        paths: JSON.stringify(paths),
        kept_at: keptAt,
      },
      { transaction },
    );
    if (number % snapshotEvery === 0)
      await snapshots.create({ boat_id: id, number, plan: JSON.stringify(applied.plan) }, { transaction });
    await boat.update(
      {
        number,
        kept_at: keptAt,
        name: applied.plan.boat.name,
        entry: JSON.stringify(fleetEntryOf(applied.plan, { id, number, keptAt })),
        entry_version: fleetEntryVersion,
      },
      { transaction },
    );
    transaction.afterCommit(() => this.hold(id, number, applied.plan));
    return { kind: 'kept', kept: { number, revisionId, keptAt }, again: false };
  }

  private async setRemoved(id: string, removedAt: string | null): Promise<boolean> {
    return this.database.write(async (transaction) => {
      const boat = await this.database.tables.boats.findByPk(id, { transaction });
      if (!boat) return false;
      await boat.update({ removed_at: removedAt }, { transaction });
      return true;
    });
  }

  private async planAt(id: string, number: number, transaction?: Transaction): Promise<Plan> {
    const held = this.held.get(id);
    if (held?.number === number) return held.plan;
    const { snapshots, revisions } = this.database.tables;
    const snapshot = await snapshots.findOne({
      where: { boat_id: id, number: { [Op.lte]: number } },
      order: [['number', 'DESC']],
      transaction: transaction ?? null,
    });
    if (!snapshot) throw new Error(`Boat ${id} has no snapshot at or before revision ${number}.`);
    const rows = await revisions.findAll({
      where: { boat_id: id, number: { [Op.gt]: snapshot.number, [Op.lte]: number } },
      order: [['number', 'ASC']],
      transaction: transaction ?? null,
    });
    const start = planSchema.parse(upgradePlan(JSON.parse(snapshot.plan)));
    return rows.map(revisionOf).reduce((plan, revision) => this.replay(id, plan, revision), start);
  }

  private replay(id: string, plan: Plan, { number, edits }: { number: number; edits: Edit[] }): Plan {
    const applied = applyEdits(plan, edits);
    if (!applied.ok) throw new Error(`Revision ${number} of boat ${id} no longer applies.`);
    return applied.plan;
  }

  private hold(id: string, number: number, plan: Plan): void {
    this.held.delete(id);
    this.held.set(id, { number, plan });
    const oldest = this.held.keys().next().value;
    if (this.held.size > heldPlans && oldest !== undefined) this.held.delete(oldest);
  }
}
