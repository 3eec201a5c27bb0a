import { Injectable } from '@angular/core';
import { planVersion } from '@grey-keel/model';
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import { entrySchema, noteSchema, versionOf, type Made, type Note, type OutboxEntry } from './waiting-entry.ts';

interface Schema extends DBSchema {
  outbox: { key: string; value: OutboxEntry; indexes: { boatId: string } };
}

const notePrefix = 'grey-keel-note-';
/** What cannot be read is put aside under this, so that it hides nothing and can still be looked at. */
const asidePrefix = 'grey-keel-damaged-';

const lockOf = (tabId: string): string => `grey-keel-tab-${tabId}`;

const openDatabase = (name: string): Promise<IDBPDatabase<Schema>> =>
  openDB<Schema>(name, 1, {
    upgrade: (database) => {
      const store = database.createObjectStore('outbox', { keyPath: 'revisionId' });
      store.createIndex('boatId', 'boatId');
    },
  });

const usual = 'grey-keel';
const beside = 'grey-keel-beside';
/** How long a database may take to open before it counts as damaged, ms. */
const patienceMs = 4000;

const within = <T>(ms: number, work: Promise<T>): Promise<T> =>
  Promise.race([
    work,
    new Promise<never>((_resolve, reject) => setTimeout(() => reject(new Error(`Nothing within ${ms} ms.`)), ms)),
  ]);

/** What was put beside, while the usual database did not open, comes over when it does. */
const bringOver = async (database: IDBPDatabase<Schema>): Promise<void> => {
  if (!(await indexedDB.databases()).some(({ name }) => name === beside)) return;
  const other = await openDatabase(beside);
  for (const entry of await other.getAll('outbox')) {
    if (!(await database.get('outbox', entry.revisionId))) await database.put('outbox', entry);
    await other.delete('outbox', entry.revisionId);
  }
  other.close();
};

const parsed = (text: string | null): unknown => {
  try {
    return JSON.parse(text ?? 'null');
  } catch {
    return undefined;
  }
};

@Injectable({ providedIn: 'root' })
export class Outbox {
  readonly tabId: string = crypto.randomUUID();
  private damaged = 0;
  private outdated = 0;
  private readonly database: Promise<IDBPDatabase<Schema>> = this.opened();

  constructor() {
    // Held as long as this tab lives: what a tab without its lock left behind is nobody's, and is sent by the next.
    // Where nothing opens, nobody need hear of it before something is to be put there.
    this.database.catch(() => undefined);
    void navigator.locks.request(lockOf(this.tabId), () => new Promise<never>(() => undefined)).catch(() => undefined);
  }

  /** How many things that waited here could not be read since this was asked last. */
  takeDamaged(): number {
    const { damaged } = this;
    this.damaged = 0;
    return damaged;
  }

  /** How many were made before the program was updated and fit it no more, since this was asked last. */
  takeOutdated(): number {
    const { outdated } = this;
    this.outdated = 0;
    return outdated;
  }

  /** A database that does not open is left as it is, and another is begun beside it: edits must not wait for it. */
  private async opened(): Promise<IDBPDatabase<Schema>> {
    try {
      const database = await within(patienceMs, openDatabase(usual));
      await within(patienceMs, bringOver(database)).catch(() => undefined);
      return database;
    } catch {
      this.damaged += 1;
      return within(patienceMs, openDatabase(beside));
    }
  }

  /**
   * Leaves a note of an edit at once. The database answers only later, and a page that is left in between would take
   * the edit with it; a note is there before the next line runs, and is taken up by whoever opens the boat next.
   */
  note(entry: Made): void {
    const note: Note = { ...entry, planVersion, tabId: this.tabId, made: performance.timeOrigin + performance.now() };
    try {
      localStorage.setItem(notePrefix + entry.revisionId, JSON.stringify(note));
    } catch {
      // A browser that keeps nothing, or has no room: the database and the server still get the edit.
    }
  }

  async put(entry: Made, line = this.tabId): Promise<void> {
    await this.writing(async (store, all) => {
      const order = all.find((one) => one.revisionId === entry.revisionId)?.order ?? this.after(all);
      await store.put({ ...entry, planVersion, tabId: this.tabId, line, order });
    });
    this.forgetNotes([entry.revisionId]);
  }

  /** Forgets what the server has answered for, and moves what is still to be sent up to what it builds on now. */
  async acknowledge(revisionIds: readonly string[], moved: readonly Pick<Made, 'revisionId' | 'base' | 'baseId'>[]) {
    await this.writing(async (store, all) => {
      for (const revisionId of revisionIds) await store.delete(revisionId);
      for (const { revisionId, base, baseId } of moved) {
        const entry = all.find((one) => one.revisionId === revisionId);
        if (entry) await store.put({ ...entry, base, ...(baseId === undefined ? {} : { baseId }) });
      }
    });
    this.forgetNotes(revisionIds);
  }

  /** Puts what was chosen in the place of what it came from, in one step. */
  async replace(revisionIds: readonly string[], entries: readonly Made[]): Promise<void> {
    await this.writing(async (store, all) => {
      for (const revisionId of revisionIds) await store.delete(revisionId);
      const own = new Set(revisionIds);
      // What was chosen is older than what was made while the choice was open.
      const first = Math.min(...all.filter((one) => own.has(one.revisionId)).map(({ order }) => order));
      let order = Number.isFinite(first) ? first : this.after(all);
      for (const entry of entries) {
        await store.put({ ...entry, planVersion, tabId: this.tabId, line: this.tabId, order });
        order += 1e-6;
      }
    });
    this.forgetNotes(revisionIds);
  }

  async forget(revisionIds: readonly string[]): Promise<void> {
    await this.acknowledge(revisionIds, []);
  }

  /** All that waits here, of every boat and tab, in order: notes that never came to the database included. */
  async everything(): Promise<Made[]> {
    for (const boatId of new Set(this.notes().map((note) => note.boatId))) await this.takeUpNotes(boatId);
    const all = await this.readable(await (await this.database).getAll('outbox'));
    return all.sort((a, b) => a.order - b.order).map(({ tabId, order: _order, ...made }) => ({ line: tabId, ...made }));
  }

  /** Puts what waited elsewhere behind what waits here; what is here already stays as it is. */
  async handIn(entries: readonly Made[]): Promise<void> {
    await this.writing(async (store, all) => {
      let order = this.after(all);
      for (const entry of entries)
        if (!all.some(({ revisionId }) => revisionId === entry.revisionId)) {
          const line = entry.line ?? entry.revisionId;
          await store.put({ ...entry, planVersion, tabId: this.tabId, line, order: order++ });
        }
    });
  }

  /**
   * What waits for a boat and belongs to this tab or to one that is gone, in order, and is not known to this window yet.
   * Of one window only: what two windows made without seeing each other is put on one another by the server alone, which
   * asks. The others' comes with the next call.
   */
  async adopt(boatId: string, known: ReadonlySet<string> = new Set()): Promise<OutboxEntry[]> {
    const database = await this.database;
    await this.takeUpNotes(boatId);
    const waiting = await this.readable(await database.getAllFromIndex('outbox', 'boatId', boatId));
    const others = [...new Set(waiting.map(({ tabId }) => tabId))].filter((tabId) => tabId !== this.tabId);
    const mine = new Set([this.tabId]);
    for (const tabId of others) if (await this.isGone(tabId)) mine.add(tabId);
    let adopted: OutboxEntry[] = [];
    // Two tabs may look at once: what is still the closed tab's when it is written is taken, by one of them.
    await this.writing(async (store, all) => {
      const unknown = all
        .filter((one) => one.boatId === boatId && mine.has(one.tabId) && !known.has(one.revisionId))
        .map((one) => ({ ...one, line: one.line ?? one.tabId, tabId: this.tabId }))
        .sort((a, b) => a.order - b.order);
      const line = unknown.some((one) => one.line === this.tabId) ? this.tabId : unknown[0]?.line;
      for (const one of unknown) await store.put(one);
      adopted = unknown.filter((one) => one.line === line);
    });
    return adopted;
  }

  /** What was adopted stands in the window's own line from the moment it is shown there: what follows was made upon it. */
  async join(revisionIds: readonly string[]): Promise<void> {
    const joined = new Set(revisionIds);
    await this.writing(async (store, all) => {
      for (const one of all) if (joined.has(one.revisionId)) await store.put({ ...one, line: this.tabId });
    });
  }

  private after(all: readonly OutboxEntry[]): number {
    return 1 + Math.max(0, ...all.map(({ order }) => Math.ceil(order)));
  }

  /** One transaction on everything that waits here and can be read. */
  private async writing(
    work: (
      store: { put: (entry: OutboxEntry) => Promise<unknown>; delete: (revisionId: string) => Promise<unknown> },
      all: readonly OutboxEntry[],
    ) => Promise<void>,
  ): Promise<void> {
    const transaction = (await this.database).transaction('outbox', 'readwrite');
    const { store } = transaction;
    const all = (await store.getAll()).flatMap((raw) => entrySchema.safeParse(raw).data ?? []);
    await work({ put: (entry) => store.put(entry), delete: (revisionId) => store.delete(revisionId) }, all);
    await transaction.done;
  }

  private notes(): Note[] {
    return Object.keys(localStorage)
      .filter((key) => key.startsWith(notePrefix))
      .flatMap((key): Note[] => {
        const text = localStorage.getItem(key);
        const raw = parsed(text);
        const note = noteSchema.safeParse(raw);
        if (!note.success) this.setAside(key, text, raw);
        return note.success ? [note.data] : [];
      })
      .sort((a, b) => a.made - b.made);
  }

  /** Puts what tabs that are gone only noted into the database, in the order it was made. */
  private async takeUpNotes(boatId: string): Promise<void> {
    const database = await this.database;
    for (const { made: _made, tabId, ...entry } of this.notes()) {
      if (entry.boatId !== boatId || !(await this.isGone(tabId))) continue;
      if (await database.get('outbox', entry.revisionId)) this.forgetNotes([entry.revisionId]);
      else await this.put(entry, tabId);
    }
  }

  private async readable(entries: readonly unknown[]): Promise<OutboxEntry[]> {
    const good: OutboxEntry[] = [];
    for (const raw of entries) {
      const entry = entrySchema.safeParse(raw);
      if (entry.success) good.push(entry.data);
      else if (versionOf(raw) <= planVersion) {
        const { revisionId } = raw as { revisionId: string };
        this.setAside(notePrefix + revisionId, JSON.stringify(raw), raw);
        await (await this.database).delete('outbox', revisionId);
      }
    }
    return good;
  }

  /** What a newer program wrote is left to it. */
  private setAside(key: string, text: string | null, raw: unknown): void {
    const version = versionOf(raw);
    if (version > planVersion) return;
    if (version > 0 && version < planVersion) this.outdated += 1;
    else this.damaged += 1;
    try {
      localStorage.setItem(key.replace(notePrefix, asidePrefix), text ?? '');
      localStorage.removeItem(key);
    } catch {
      // No room to put it aside: it stays where it is, and is passed over.
    }
  }

  private forgetNotes(revisionIds: readonly string[]): void {
    for (const revisionId of revisionIds) localStorage.removeItem(notePrefix + revisionId);
  }

  private async isGone(tabId: string): Promise<boolean> {
    if (tabId === this.tabId) return false;
    return navigator.locks.request(lockOf(tabId), { ifAvailable: true }, (lock) => lock !== null).catch(() => false);
  }
}
