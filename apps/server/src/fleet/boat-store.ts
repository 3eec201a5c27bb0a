import { applyEdits, changedTo, type FieldError, type RefusalCode } from '@grey-keel/core';
import {
  editSchema,
  planSchema,
  planVersion,
  pathSchema,
  upgradePlan,
  type BoatNews,
  type FleetEntry,
  type FleetQuery,
  type SavedRevision,
  type OpenedBoat,
  type Plan,
  type Revision,
  type RemovedBoat,
  type RevisionRequest,
} from '@grey-keel/model';
import { EventEmitter } from 'node:events';
import { Op, UniqueConstraintError, type Transaction } from 'sequelize';
import * as z from 'zod';
import type { Database } from '../database/open-database.ts';
import { readStored } from '../database/stored-json.ts';
import type { RevisionRow } from '../database/tables.ts';
import { fleetColumnsOf, fleetEntryOf } from './fleet-entry.ts';
import { FleetLines } from './fleet-lines.ts';
import { editsFor, replayHistory, writtenIn, type StoredStep } from './history/replay-history.ts';

/** A full plan is stored at every so many revisions, so that opening a boat replays few edits. */
export const snapshotEvery = 50;

/** The version of a line that is of an earlier revision. */
const notJudged = 0;

/** How many open boats are held in memory. */
const heldPlans = 32;

/** How many deleted boats are listed. */
const mostRemoved = 300;

export type Appended =
  | { readonly kind: 'kept'; readonly kept: SavedRevision; readonly again: boolean }
  | { readonly kind: 'no such boat' }
  | { readonly kind: 'id used for other edits' }
  | { readonly kind: 'behind'; readonly number: number; readonly missing: Revision[] }
  /** The base is no revision of this boat: its file was replaced by another, an older one perhaps. */
  | { readonly kind: 'other history'; readonly number: number }
  | { readonly kind: 'refused'; readonly code: RefusalCode; readonly errors: readonly FieldError[] };

const editsSchema = z.array(editSchema);
const pathsSchema = z.array(pathSchema);

const stepOf = (row: RevisionRow): StoredStep => ({
  number: row.number,
  planVersion: row.plan_version,
  edits: readStored(row.edits),
  patches: row.patches === null ? null : JSON.parse(row.patches),
});

/** Keeps boats as a growing list of edits with a full plan every so often. Nothing kept is ever overwritten. */
export class BoatStore {
  /** What has been kept, made, deleted or recalled, as it happens. */
  readonly news = new EventEmitter<{ boat: [BoatNews] }>();
  private readonly lines: FleetLines;
  private readonly held = new Map<string, { number: number; plan: Plan }>();

  constructor(
    private readonly database: Database,
    private readonly now: () => Date = () => new Date(),
  ) {
    this.lines = new FleetLines(database, (id, number) => this.planAt(id, number));
  }

  /** Every boat's line in the fleet. */
  fleet(): Promise<FleetEntry[]> {
    return this.lines.all();
  }

  /** A page of the fleet as it is sent. */
  fleetPage(query: FleetQuery): Promise<string> {
    return this.lines.page(query);
  }

  /** Leaves what is done later to whoever comes next. */
  stop(): void {
    this.lines.stop();
  }

  async open(id: string): Promise<OpenedBoat | null> {
    const row = await this.database.tables.boats.findOne({ where: { id, removed_at: null } });
    if (!row) return null;
    const { number, kept_at: keptAt } = row;
    const [revisionId, plan] = await Promise.all([this.revisionIdAt(id, number), this.planAt(id, number)]);
    // Who opens a boat is about to edit it.
    this.hold(id, number, plan);
    return { id, number, revisionId, keptAt, plan };
  }

  async isThere(id: string): Promise<boolean> {
    return (await this.database.tables.boats.count({ where: { id, removed_at: null } })) > 0;
  }

  /** Whether a boat of this id was deleted; false for one that is there and for one that never was. */
  async isRemoved(id: string): Promise<boolean> {
    const row = await this.database.tables.boats.findByPk(id);
    return row !== null && row.removed_at !== null;
  }

  /** The plan as it was at a revision, or null for a revision that never was. */
  async openAt(id: string, number: number): Promise<Plan | null> {
    const row = await this.database.tables.boats.findByPk(id);
    return row && number >= 0 && number <= row.number ? this.planAt(id, number) : null;
  }

  /** Makes a boat from a plan. The same id again, for the same plan, changes nothing; for another it is refused. What is done `also` is done in the same write. */
  async create(
    id: string,
    plan: Plan,
    at?: string,
    also?: (transaction: Transaction) => Promise<void>,
  ): Promise<'made' | 'there already' | 'id taken'> {
    const { boats, snapshots } = this.database.tables;
    const keptAt = at ?? this.now().toISOString();
    const text = JSON.stringify(plan);
    const columns = fleetColumnsOf(fleetEntryOf(plan, { id, number: 0, keptAt }));
    const answer = await this.database.write(async (transaction) => {
      const there = await boats.findByPk(id, { transaction });
      if (there) {
        const first = await snapshots.findOne({ where: { boat_id: id, number: 0 }, transaction });
        return there.removed_at === null && first?.plan === text ? 'there already' : 'id taken';
      }
      await boats.create(
        {
          id,
          number: 0,
          name: plan.boat.name,
          ...columns,
          made_at: keptAt,
          kept_at: keptAt,
          removed_at: null,
        },
        { transaction },
      );
      await snapshots.create({ boat_id: id, number: 0, plan: text }, { transaction });
      await also?.(transaction);
      return 'made';
    });
    if (answer === 'made') this.news.emit('boat', { boatId: id, number: 0, revisionId: null, removed: false });
    return answer;
  }

  /** Deletes a boat from the fleet; its history stays, and it can be recalled. */
  async remove(id: string): Promise<boolean> {
    return this.setRemoved(id, this.now().toISOString());
  }

  /** The boats that were deleted and can be recalled, the last one first; no more than the last few hundred. */
  async removed(): Promise<RemovedBoat[]> {
    const rows = await this.database.tables.boats.findAll({
      where: { removed_at: { [Op.not]: null } },
      order: [['removed_at', 'DESC']],
      limit: mostRemoved,
    });
    return rows.flatMap(({ id, name, removed_at: removedAt }) => (removedAt === null ? [] : [{ id, name, removedAt }]));
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
    return Promise.all(rows.map((row) => this.revisionOf(row)));
  }

  /** A revision as it is told: one whose edits are none of today's as what it changed in the plan. */
  private async revisionOf(row: RevisionRow): Promise<Revision> {
    const told = {
      number: row.number,
      revisionId: row.revision_id,
      keptAt: row.kept_at,
      paths: pathsSchema.parse(JSON.parse(row.paths)),
    };
    const step = stepOf(row);
    const edits = editsSchema.safeParse(step.edits);
    if (writtenIn(step) === planVersion && edits.success) return { ...told, edits: edits.data };
    const [before, after] = [
      await this.planAt(row.boat_id, row.number - 1),
      await this.planAt(row.boat_id, row.number),
    ];
    const changed = changedTo(before, after);
    return { ...told, edits: changed ? [changed] : [] };
  }

  /** Appends edits to a boat's history, once for each revision id however often it is sent. */
  async append(id: string, request: RevisionRequest, at?: string): Promise<Appended> {
    for (;;) {
      const answer = await this.tryToAppend(id, request, at);
      if (answer !== 'overtaken') return answer;
    }
  }

  /** Everything that takes time is done before the write; another that came in between is seen by its number. */
  private async tryToAppend(id: string, request: RevisionRequest, at?: string): Promise<Appended | 'overtaken'> {
    const { revisionId, base, baseId, edits } = request;
    const { boats, revisions, snapshots } = this.database.tables;
    const [boat, known, isBase] = await Promise.all([
      boats.findOne({ where: { id, removed_at: null } }),
      this.alreadyKept(id, request),
      this.isBase(id, base, baseId),
    ]);
    if (!boat) return { kind: 'no such boat' };
    if (known) return known;
    if (base > boat.number || !isBase) return { kind: 'other history', number: boat.number };
    if (base < boat.number)
      return { kind: 'behind', number: boat.number, missing: await this.revisionsSince(id, base) };

    const [plan, wasWrittenIn] = await Promise.all([this.planAt(id, boat.number), this.writtenAt(id, boat.number)]);
    const applied = applyEdits(plan, edits);
    if (!applied.ok) return { kind: 'refused', code: applied.code, errors: applied.errors };
    const number = boat.number + 1;
    const keptAt = at ?? this.now().toISOString();
    const write = async (transaction: Transaction): Promise<boolean> => {
      const [moved] = await boats.update(
        { number, kept_at: keptAt, name: applied.plan.boat.name, entry_version: notJudged },
        { where: { id, removed_at: null, number: base }, transaction },
      );
      if (moved === 0) return false;
      await revisions.create(
        {
          boat_id: id,
          number,
          revision_id: revisionId,
          edits: JSON.stringify(edits),
          paths: JSON.stringify(applied.patches.map(({ path }) => path)),
          kept_at: keptAt,
          plan_version: planVersion,
          patches: JSON.stringify(applied.patches),
        },
        { transaction },
      );
      // The first of a version stands whole: nothing older need be replayed for what comes after it.
      if (number % snapshotEvery === 0 || wasWrittenIn !== planVersion)
        await snapshots.create({ boat_id: id, number, plan: JSON.stringify(applied.plan) }, { transaction });
      return true;
    };
    const written = await this.database.write(write).catch((error: unknown) => {
      // The same revision id may come for another boat at the same moment.
      if (error instanceof UniqueConstraintError && error.errors.some(({ path }) => path === 'revision_id'))
        return false;
      throw error;
    });
    if (!written) return 'overtaken';
    this.hold(id, number, applied.plan);
    this.lines.judgeLater(id);
    this.news.emit('boat', { boatId: id, number, revisionId, removed: false });
    return { kind: 'kept', kept: { number, revisionId, keptAt }, again: false };
  }

  private async alreadyKept(id: string, { revisionId, edits }: RevisionRequest): Promise<Appended | null> {
    const before = await this.database.tables.revisions.findOne({ where: { revision_id: revisionId } });
    if (!before) return null;
    // What waited over an upgrade comes in today's words.
    const same =
      before.edits === JSON.stringify(edits) ||
      (before.plan_version !== planVersion && JSON.stringify(editsFor(stepOf(before))) === JSON.stringify(edits));
    if (before.boat_id !== id || !same) return { kind: 'id used for other edits' };
    return { kind: 'kept', kept: { number: before.number, revisionId, keptAt: before.kept_at }, again: true };
  }

  /** Whether what a client takes for revision `base` is the one of this boat. One that does not say is believed. */
  private async isBase(id: string, base: number, baseId: string | null | undefined): Promise<boolean> {
    return baseId === undefined || baseId === (await this.revisionIdAt(id, base));
  }

  /** The id of a revision, or null for the boat as it was made. */
  private async revisionIdAt(id: string, number: number): Promise<string | null> {
    const row = await this.database.tables.revisions.findOne({ where: { boat_id: id, number } });
    return row?.revision_id ?? null;
  }

  private async setRemoved(id: string, removedAt: string | null): Promise<boolean> {
    const number = await this.database.write(async (transaction) => {
      const boat = await this.database.tables.boats.findByPk(id, { transaction });
      if (!boat) return null;
      await boat.update({ removed_at: removedAt }, { transaction });
      return boat.number;
    });
    if (number === null) return false;
    this.news.emit('boat', { boatId: id, number, revisionId: null, removed: removedAt !== null });
    return true;
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
    try {
      return planSchema.parse(upgradePlan(await replayHistory(readStored(snapshot.plan), rows.map(stepOf))));
    } catch (error) {
      throw new Error(`Boat ${id} cannot be made as it was at revision ${number}.`, { cause: error });
    }
  }

  /** The plan version of what stands at a number: a revision's own, or the first snapshot's. */
  private async writtenAt(id: string, number: number): Promise<number> {
    const { revisions, snapshots } = this.database.tables;
    const row = await revisions.findOne({ where: { boat_id: id, number }, attributes: ['plan_version'] });
    if (row) return row.plan_version;
    const first = await snapshots.findOne({ where: { boat_id: id, number } });
    return (JSON.parse(first?.plan ?? '{}') as Partial<Plan>).version ?? 0;
  }

  /** Forgets what it holds of a database that was exchanged for another. */
  forget(): void {
    this.held.clear();
  }

  private hold(id: string, number: number, plan: Plan): void {
    this.held.delete(id);
    this.held.set(id, { number, plan });
    const oldest = this.held.keys().next().value;
    if (this.held.size > heldPlans && oldest !== undefined) this.held.delete(oldest);
  }
}
