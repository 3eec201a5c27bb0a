import { Injectable } from '@angular/core';
import type { Edit, Patch } from '@grey-keel/model';
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

/** Edits on this machine that the server has not answered for. They outlive the tab that made them. */
export interface OutboxEntry {
  readonly revisionId: string;
  readonly boatId: string;
  readonly tabId: string;
  /** Rises with every entry; entries of one boat are sent in this order. */
  readonly order: number;
  /** The newest kept revision when they were made. */
  readonly base: number;
  readonly edits: Edit[];
  readonly patches: Patch[];
}

interface Schema extends DBSchema {
  outbox: { key: string; value: OutboxEntry; indexes: { boatId: string } };
}

/** What is known of an edit the moment it is made; the database adds its order. */
type Made = Omit<OutboxEntry, 'tabId' | 'order'>;

const notePrefix = 'grey-keel-note-';

interface Note extends Made {
  readonly tabId: string;
  readonly made: number;
}

const lockOf = (tabId: string): string => `grey-keel-tab-${tabId}`;

/** How long another tab may take to prove that it lives. */
const patienceMs = 300;

@Injectable({ providedIn: 'root' })
export class Outbox {
  readonly tabId = crypto.randomUUID();
  private readonly database: Promise<IDBPDatabase<Schema>> = openDB<Schema>('grey-keel', 1, {
    upgrade: (database) => {
      const store = database.createObjectStore('outbox', { keyPath: 'revisionId' });
      store.createIndex('boatId', 'boatId');
    },
  });

  constructor() {
    // Held as long as this tab lives: what a tab without its lock left behind is nobody's, and is sent by the next.
    void navigator.locks.request(lockOf(this.tabId), () => new Promise<never>(() => undefined)).catch(() => undefined);
  }

  /**
   * Leaves a note of an edit at once. The database answers only later, and a page that is left in between would take
   * the edit with it; a note is there before the next line runs, and is taken up by whoever opens the boat next.
   */
  note(entry: Made): void {
    const note: Note = { ...entry, tabId: this.tabId, made: performance.timeOrigin + performance.now() };
    try {
      localStorage.setItem(notePrefix + entry.revisionId, JSON.stringify(note));
    } catch {
      // A browser that keeps nothing, or has no room: the database and the server still get the edit.
    }
  }

  async put(entry: Made): Promise<void> {
    await this.keep(entry);
    localStorage.removeItem(notePrefix + entry.revisionId);
  }

  private async keep(entry: Made): Promise<void> {
    const database = await this.database;
    const transaction = database.transaction('outbox', 'readwrite');
    const all = await transaction.store.getAll();
    const order = 1 + Math.max(0, ...all.map((one) => one.order));
    await transaction.store.put({ ...entry, tabId: this.tabId, order });
    await transaction.done;
  }

  /** Forgets what the server has answered for, and moves the rest of this tab's entries up to that revision. */
  async acknowledge(boatId: string, revisionIds: readonly string[], number: number): Promise<void> {
    const database = await this.database;
    const transaction = database.transaction('outbox', 'readwrite');
    for (const revisionId of revisionIds) await transaction.store.delete(revisionId);
    for (const entry of await transaction.store.index('boatId').getAll(boatId))
      if (entry.tabId === this.tabId) await transaction.store.put({ ...entry, base: number });
    await transaction.done;
  }

  async forget(revisionIds: readonly string[]): Promise<void> {
    const database = await this.database;
    const transaction = database.transaction('outbox', 'readwrite');
    for (const revisionId of revisionIds) await transaction.store.delete(revisionId);
    await transaction.done;
  }

  /** What waits for a boat and belongs to this tab or to one that is gone, in order. */
  async adopt(boatId: string): Promise<OutboxEntry[]> {
    const database = await this.database;
    await this.takeUpNotes(boatId, database);
    const entries = await database.getAllFromIndex('outbox', 'boatId', boatId);
    const others = [...new Set(entries.map(({ tabId }) => tabId))].filter((tabId) => tabId !== this.tabId);
    const gone = new Set<string>([this.tabId]);
    for (const tabId of others) if (await this.isGone(tabId)) gone.add(tabId);
    const mine = entries.filter(({ tabId }) => gone.has(tabId)).sort((a, b) => a.order - b.order);
    const transaction = database.transaction('outbox', 'readwrite');
    for (const entry of mine) await transaction.store.put({ ...entry, tabId: this.tabId });
    await transaction.done;
    return mine;
  }

  /** Puts what tabs that are gone only noted into the database, in the order it was made. */
  private async takeUpNotes(boatId: string, database: IDBPDatabase<Schema>): Promise<void> {
    const notes = Object.keys(localStorage)
      .filter((key) => key.startsWith(notePrefix))
      .map((key) => JSON.parse(localStorage.getItem(key) ?? 'null') as Note | null)
      .filter((note): note is Note => note?.boatId === boatId && note.tabId !== this.tabId)
      .sort((a, b) => a.made - b.made);
    for (const { made: _made, tabId, ...entry } of notes) {
      if (!(await this.isGone(tabId))) continue;
      if (await database.get('outbox', entry.revisionId)) localStorage.removeItem(notePrefix + entry.revisionId);
      else await this.put(entry);
    }
  }

  private async isGone(tabId: string): Promise<boolean> {
    try {
      return await navigator.locks.request(lockOf(tabId), { signal: AbortSignal.timeout(patienceMs) }, () =>
        Promise.resolve(true),
      );
    } catch {
      return false;
    }
  }
}
