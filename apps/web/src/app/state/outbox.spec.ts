import { TestBed } from '@angular/core/testing';
import { openDB } from 'idb';
import { Outbox } from './outbox.ts';

const entry = (revisionId: string, boatId: string, base = 3) => ({ revisionId, boatId, base, edits: [], patches: [] });

describe('the outbox', () => {
  let outbox: Outbox;
  let boatId: string;

  beforeEach(() => {
    outbox = TestBed.inject(Outbox);
    boatId = `boat-${crypto.randomUUID()}`;
  });

  it('gives back what waits for a boat in the order it was put, and nothing of another', async () => {
    const ids = [crypto.randomUUID(), crypto.randomUUID(), crypto.randomUUID()];
    for (const id of ids) await outbox.put(entry(id, boatId));
    await outbox.put(entry(crypto.randomUUID(), `${boatId}-other`));
    expect((await outbox.adopt(boatId)).map(({ revisionId }) => revisionId)).toEqual(ids);
  });

  it('forgets what was answered for, and moves the rest up to that revision', async () => {
    const [first, second] = [crypto.randomUUID(), crypto.randomUUID()];
    await outbox.put(entry(first, boatId));
    await outbox.put(entry(second, boatId));
    await outbox.acknowledge([first], [{ revisionId: second, base: 4, baseId: first }]);
    expect((await outbox.adopt(boatId)).map(({ revisionId, base }) => [revisionId, base])).toEqual([[second, 4]]);
    await outbox.forget([second]);
    expect(await outbox.adopt(boatId)).toEqual([]);
  });

  it('leaves a living tab its entries, and adopts those of one that is gone', async () => {
    const revisionId = crypto.randomUUID();
    let letGo: () => void = () => undefined;
    const alive = new Promise<void>((resolve) => (letGo = resolve));
    const other = new Outbox();
    const lock = `grey-keel-tab-${other.tabId}`;
    await other.put(entry(revisionId, boatId));
    expect((await navigator.locks.query()).held?.some(({ name }) => name === lock)).toBeTrue();
    expect(await outbox.adopt(boatId)).toEqual([]);
    // The other tab ends: its lock is taken from it.
    void navigator.locks.request(lock, { steal: true }, () => alive).catch(() => undefined);
    letGo();
    await new Promise((resolve) => setTimeout(resolve, 50));
    expect((await outbox.adopt(boatId)).map((one) => one.revisionId)).toEqual([revisionId]);
  });

  it('holds what it adopted apart from its own until that is joined, since neither was made upon the other', async () => {
    const [left, own] = [crypto.randomUUID(), crypto.randomUUID()];
    const gone = new Outbox();
    await gone.put(entry(left, boatId));
    void navigator.locks
      .request(`grey-keel-tab-${gone.tabId}`, { steal: true }, () => Promise.resolve())
      .catch(() => undefined);
    await new Promise((resolve) => setTimeout(resolve, 50));
    const ids = async (): Promise<string[]> => (await outbox.adopt(boatId)).map(({ revisionId }) => revisionId);
    expect(await ids()).toEqual([left]);
    await outbox.put(entry(own, boatId));
    expect(await ids()).toEqual([own]);
    await outbox.join([left]);
    expect(await ids()).toEqual([left, own]);
  });

  it('takes up what a tab that is gone had only noted, in the order it was made, once', async () => {
    const ids = [crypto.randomUUID(), crypto.randomUUID()];
    const gone = new Outbox();
    for (const id of ids) gone.note(entry(id, boatId));
    await gone.put(entry(ids[0] ?? '', boatId));
    gone.note(entry(ids[0] ?? '', boatId));
    expect(await outbox.adopt(boatId)).toEqual([]);
    void navigator.locks
      .request(`grey-keel-tab-${gone.tabId}`, { steal: true }, () => Promise.resolve())
      .catch(() => undefined);
    await new Promise((resolve) => setTimeout(resolve, 50));
    expect((await outbox.adopt(boatId)).map(({ revisionId }) => revisionId).sort()).toEqual([...ids].sort());
    expect((await outbox.adopt(boatId)).length).toBe(2);
    // Notes of other boats are none of this test's business.
    expect(ids.filter((id) => localStorage.getItem(`grey-keel-note-${id}`) !== null)).toEqual([]);
  });

  it('puts aside what cannot be read, says how much, and hides nothing that can', async () => {
    const revisionId = crypto.randomUUID();
    const gone = new Outbox();
    gone.note(entry(revisionId, boatId));
    localStorage.setItem('grey-keel-note-broken', '{"revisionId": 1');
    localStorage.setItem('grey-keel-note-other', '"a word"');
    void navigator.locks
      .request(`grey-keel-tab-${gone.tabId}`, { steal: true }, () => Promise.resolve())
      .catch(() => undefined);
    const raw = await openDB('grey-keel', 1);
    await raw.put('outbox', { revisionId: `no-uuid-${boatId}`, boatId, edits: 'none' });
    raw.close();
    await new Promise((resolve) => setTimeout(resolve, 50));
    expect((await outbox.adopt(boatId)).map((one) => one.revisionId)).toEqual([revisionId]);
    expect(outbox.takeDamaged()).toBe(3);
    expect(outbox.takeDamaged()).toBe(0);
    const aside = ['broken', 'other', `no-uuid-${boatId}`].map((name) => `grey-keel-damaged-${name}`);
    expect(aside.filter((key) => localStorage.getItem(key) === null)).toEqual([]);
    for (const key of aside) localStorage.removeItem(key);
    expect((await outbox.adopt(boatId)).length).toBe(1);
  });

  it('translates what waits over an update, sets the rest aside with words of its own, and leaves a newer program its own', async () => {
    const uuid = (): string => crypto.randomUUID();
    const [entered, noted, gone, newer] = [uuid(), uuid(), uuid(), uuid()];
    const sought = { name: 'bass', lengthCm: null, shallowestM: 1, deepestM: 8, over: 'rock' };
    const old = {
      boatId,
      base: 3,
      patches: [],
      tabId: 'gone',
      order: 1,
      edits: [{ type: 'addSought', id: 'bass', sought }],
    };
    const raw = await openDB('grey-keel', 1);
    await raw.put('outbox', { ...old, revisionId: entered });
    await raw.put('outbox', { ...old, revisionId: gone, order: 2, planVersion: 11, edits: [{ type: 'weighAnchor' }] });
    await raw.put('outbox', { ...old, revisionId: newer, order: 3, planVersion: 99, edits: [{ type: 'weighAnchor' }] });
    const { order: _order, ...note } = old;
    localStorage.setItem(
      `grey-keel-note-${noted}`,
      JSON.stringify({ ...note, revisionId: noted, made: 1, planVersion: 10 }),
    );
    const taken = await outbox.adopt(boatId);
    expect(taken.map(({ edits }) => edits)).toEqual(
      [1, 2].map(() => [{ type: 'addSought', id: 'bass', sought: { ...sought, over: ['rock'] } }] as never),
    );
    expect([outbox.takeDamaged(), outbox.takeOutdated(), outbox.takeOutdated()]).toEqual([0, 1, 0]);
    expect(localStorage.getItem(`grey-keel-damaged-${gone}`)).toContain('weighAnchor');
    expect(await raw.get('outbox', newer)).toBeDefined();
    await raw.delete('outbox', newer);
    raw.close();
    localStorage.removeItem(`grey-keel-damaged-${gone}`);
    await outbox.forget([entered, noted]);
  });

  it('puts what was chosen in the place of what it came from, before what was made while it was asked', async () => {
    const [first, second, chosen] = [crypto.randomUUID(), crypto.randomUUID(), crypto.randomUUID()];
    await outbox.put(entry(first, boatId));
    await outbox.put(entry(second, boatId));
    await outbox.replace([first], [entry(chosen, boatId, 7)]);
    expect((await outbox.adopt(boatId)).map(({ revisionId }) => revisionId)).toEqual([chosen, second]);
    await outbox.forget([chosen, second]);
  });

  it('lets one of two tabs that look at once take what a closed one left', async () => {
    const revisionId = crypto.randomUUID();
    const gone = new Outbox();
    await gone.put(entry(revisionId, boatId));
    void navigator.locks
      .request(`grey-keel-tab-${gone.tabId}`, { steal: true }, () => Promise.resolve())
      .catch(() => undefined);
    await new Promise((resolve) => setTimeout(resolve, 50));
    const other = new Outbox();
    let taken = 0;
    const known = new Set<string>();
    for (let i = 0; i < 5; i++)
      for (const left of await Promise.all([outbox.adopt(boatId, known), other.adopt(boatId, known)])) {
        taken += left.length;
        for (const one of left) known.add(one.revisionId);
      }
    expect(taken).toBe(1);
  });

  it('brings over what was put beside while its database did not open', async () => {
    const revisionId = crypto.randomUUID();
    const beside = await openDB('grey-keel-beside', 1, {
      upgrade: (database) =>
        database.createObjectStore('outbox', { keyPath: 'revisionId' }).createIndex('boatId', 'boatId'),
    });
    await beside.put('outbox', { ...entry(revisionId, boatId), tabId: 'gone', order: 1 });
    beside.close();
    const opened = new Outbox();
    expect((await opened.adopt(boatId)).map((one) => one.revisionId)).toEqual([revisionId]);
    expect(opened.takeDamaged()).toBe(0);
  });
});
