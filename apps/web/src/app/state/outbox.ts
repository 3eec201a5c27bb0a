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

  async put(entry: Omit<OutboxEntry, 'tabId' | 'order'>): Promise<void> {
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
