import { freshBrowser, letGo } from './in-node.ts';
import {
  createEnvironmentInjector,
  ErrorHandler,
  Injector,
  provideZonelessChangeDetection,
  ɵINJECTOR_SCOPE as injectorScope,
  type EnvironmentInjector,
} from '@angular/core';
import { seeded } from '../../packages/core/src/testing/sample-plan.ts';
import { valueAt } from '@grey-keel/core';
import type { BoatNews, Edit, Path } from '@grey-keel/model';
import { provideEffects } from '@ngrx/effects';
import { ActionsSubject, provideState, provideStore, Store } from '@ngrx/store';
import { BehaviorSubject, Subject } from 'rxjs';
import { ServerApi } from '../../apps/web/src/app/api/server-api.ts';
import { Outbox } from '../../apps/web/src/app/state/outbox.ts';
import { boatEvents, outboxEvents } from '../../apps/web/src/app/state/plan.actions.ts';
import { PlanEffects } from '../../apps/web/src/app/state/plan.effects.ts';
import { planFeature } from '../../apps/web/src/app/state/plan.reducer.ts';
import type { PlanState } from '../../apps/web/src/app/state/plan.state.ts';
import { ServerNews } from '../../apps/web/src/app/state/server-news.ts';
import { ModelServer } from './model-server.ts';

const boatId = 'hull';
const nothingAbove: unknown = Injector.NULL;
/** Retries and looks come soon enough for thousands of runs; a database that is slow in a busy process is waited for as usual. */
const faster = 60;
const patienceMs = 4000;
const { setTimeout: later, setInterval: again } = globalThis;
Object.assign(globalThis, {
  setTimeout: (work: () => void, ms = 0) => later(work, ms < patienceMs ? ms / faster : ms),
  setInterval: (work: () => void, ms = 0) => again(work, ms / faster),
});
const turn = (): Promise<void> => new Promise((resolve) => setImmediate(resolve));

interface Client {
  readonly injector: EnvironmentInjector;
  readonly store: Store;
  readonly outbox: Outbox;
  readonly news: { told: Subject<BoatNews>; linked: BehaviorSubject<boolean>; tabCloses: Subject<void> };
  readonly state: () => PlanState;
}

/** One edit made by a user: by whom, and the newest revision that was on the screen then. */
interface Made {
  readonly client: Client;
  readonly seen: number;
  /** What waited in the window then, and was on the screen with it. */
  readonly along: ReadonlySet<string>;
  /** Whether it is the outcome of a choice. */
  readonly chosen: boolean;
}

export interface ModelFault {
  readonly seed: number;
  readonly what: string;
  /** What was done until then, a line each. */
  readonly trail: readonly string[];
}

const openClient = (server: ModelServer): Client => {
  const news = { told: new Subject<BoatNews>(), linked: new BehaviorSubject(true), tabCloses: new Subject<void>() };
  const injector = createEnvironmentInjector(
    [
      { provide: injectorScope, useValue: 'root' },
      provideZonelessChangeDetection(),
      { provide: ErrorHandler, useClass: ErrorHandler },
      provideStore(),
      provideState(planFeature),
      provideEffects(PlanEffects),
      { provide: ServerApi, useValue: server },
      { provide: ServerNews, useValue: news },
    ],
    nothingAbove as EnvironmentInjector,
  );
  const store = injector.get<Store>(Store);
  const state = store.selectSignal(planFeature.selectPlanState);
  store.dispatch(boatEvents.boatChosen({ id: boatId }));
  return { injector, store, outbox: injector.get(Outbox), news, state };
};

const anEdit = (random: () => number, count: number): Edit => {
  const field = Math.floor(6 * random());
  const value = 3 + (count % 400) / 100;
  if (field === 0) return { type: 'describeBoat', changes: { lengthM: value } };
  if (field === 1) return { type: 'describeBoat', changes: { beamM: 1 + (count % 300) / 100 } };
  if (field === 2) return { type: 'describeBoat', changes: { notes: `note ${count}` } };
  if (field === 3) return { type: 'describeTransducer', id: 'a-wide', changes: { aboveKeelM: value / 100 } };
  if (field === 4) return { type: 'removeTransducer', id: random() < 0.5 ? 'a-wide' : 'b-narrow' };
  return {
    type: 'addStation',
    id: `s-${count}`,
    station: { name: `S ${count}`, viewingDistanceM: 0.7, posture: 'standing' },
  };
};

/** Where two paths meet: the same place, or one within the other. */
const meet = (a: Path, b: Path): boolean => a.slice(0, b.length).join('/') === b.slice(0, a.length).join('/');

/**
 * Two or three windows of one browser on one boat, and now and then somebody elsewhere, with kills, reloads, a server
 * that stops and answers that are lost, at random. Says what must never be: windows that end up different, a change
 * overwritten by somebody who had not seen it and was not asked, and an edit that is nowhere any more.
 */
export const runModel = async (seed: number, steps = 24): Promise<ModelFault[]> => {
  const random = seeded(seed);
  const faults: ModelFault[] = [];
  const trail: string[] = [];
  const tell = (client: Client, what: string): void => {
    const { status, number, unsent, conflict } = client.state();
    const waits = unsent.map(({ revisionId, base }) => `${revisionId.slice(0, 4)} on ${base}`).join(', ');
    trail.push(
      `${client.outbox.tabId.slice(0, 4)} ${what}; ${status} at ${number}, ${conflict ? 'asking ' : ''}[${waits}]`,
    );
  };
  const fault = (what: string): void => {
    faults.push({ seed, what, trail });
  };
  freshBrowser();
  const server = new ModelServer(random, boatId);
  const clients: Client[] = [];
  server.tell = (news) => {
    for (const { news: heard } of clients) if (random() < 0.8) heard.told.next(news);
  };
  const made = new Map<string, Made>();
  /** Edits that were asked about, and what became of them was chosen. */
  const asked = new Set<string>();
  let count = 0;
  const open = (): void => {
    const client = openClient(server);
    clients.push(client);
    // What answers itself is answered by the program.
    client.injector.get(ActionsSubject).subscribe((action) => {
      if (action.type !== boatEvents.conflictSettled.type) return;
      const { revisionId, replaces } = action as ReturnType<typeof boatEvents.conflictSettled>;
      for (const id of replaces) asked.add(id);
      const { number, unsent } = client.state();
      const along = new Set(unsent.map((one) => one.revisionId));
      if (!made.has(revisionId)) made.set(revisionId, { client, seen: number, along, chosen: true });
    });
  };
  const pick = (): Client | undefined => clients[Math.floor(random() * clients.length)];

  const edit = (client: Client): void => {
    const before = client.state();
    if (before.status !== 'ready') return;
    const revisionId = crypto.randomUUID();
    count += 1;
    const seen = before.number;
    const along = new Set(before.unsent.map((one) => one.revisionId));
    if (random() < 0.15) client.store.dispatch(boatEvents.undone({ revisionId }));
    else client.store.dispatch(boatEvents.edited({ revisionId, edits: [anEdit(random, count)], label: `${count}` }));
    if (client.state().unsent.some((one) => one.revisionId === revisionId)) {
      made.set(revisionId, { client, seen, along, chosen: false });
      tell(
        client,
        `made ${revisionId.slice(0, 4)} at ${seen} ${JSON.stringify(client.state().unsent.at(-1)?.edits).slice(0, 70)}`,
      );
    }
  };
  const elsewhere = (): void => {
    if (server.down) return;
    const baseId = server.revisions.at(-1)?.revisionId ?? null;
    const base = server.revisions.length;
    count += 1;
    const request = { revisionId: crypto.randomUUID(), base, baseId, edits: [anEdit(random, count)] };
    try {
      server.append(request);
    } catch {
      return;
    }
  };
  const settle = (client: Client): void => {
    const { conflict, number, unsent: waits } = client.state();
    if (!conflict) return;
    const mine = conflict.conflicts.filter(() => random() < 0.5).map(({ path }) => path);
    const revisionId = crypto.randomUUID();
    const along = new Set(waits.map((one) => one.revisionId));
    made.set(revisionId, { client, seen: number, along, chosen: true });
    client.store.dispatch(boatEvents.conflictSettled({ revisionId, mine, replaces: conflict.replaces }));
    for (const id of conflict.replaces) asked.add(id);
    tell(client, `chose ${revisionId.slice(0, 4)} for ${conflict.replaces.map((id) => id.slice(0, 4)).join()}`);
    const { unsent, notice } = client.state();
    const stands = (unsent.find((one) => one.revisionId === revisionId)?.edits ?? []).flatMap((one) =>
      one.type === 'restore' ? one.patches.map(({ path }) => path) : [],
    );
    for (const { path } of conflict.clear)
      if (!stands.some((other) => meet(path, other)) && notice === null)
        fault(`a choice took along ${path.join('/')}, which nobody had asked about`);
  };
  const kill = (client: Client): void => {
    tell(client, 'is killed');
    clients.splice(clients.indexOf(client), 1);
    client.injector.destroy();
    letGo(client.outbox.tabId);
    for (const { news } of clients) news.tabCloses.next();
  };

  open();
  open();
  for (let step = 0; step < steps; step++) {
    const client = pick();
    const chance = random();
    if (!client) open();
    else if (chance < 0.5) edit(client);
    else if (chance < 0.6) elsewhere();
    else if (chance < 0.68) settle(client);
    else if (chance < 0.74) server.down = !server.down;
    else if (chance < 0.8) server.losesNext = true;
    else if (chance < 0.86) client.store.dispatch(outboxEvents.retryDue());
    else if (chance < 0.93) kill(client);
    else if (clients.length < 3) open();
    for (let turns = Math.floor(8 * random()); turns > 0; turns--) await turn();
  }

  // All comes to rest: the server is there, somebody opens the boat, and every question is answered.
  server.down = false;
  server.losesNext = false;
  if (clients.length === 0) open();
  for (const { news } of clients) news.linked.next(true);
  const atRest = ({ state }: Client): boolean => {
    const now = state();
    return now.status === 'ready' && !now.conflict && now.unsent.length === 0 && now.number === server.revisions.length;
  };
  /** What waits in the outbox and no window has on its screen. */
  const waiting = async (): Promise<number> => {
    const shown = new Set(clients.flatMap(({ state }) => state().stuck.map(({ revisionId }) => revisionId)));
    return ((await clients[0]?.outbox.everything()) ?? []).filter(({ revisionId }) => !shown.has(revisionId)).length;
  };
  let calm = 0;
  for (let i = 0; i < 4000 && calm < 3; i++) {
    for (const client of clients) {
      settle(client);
      if (client.state().status === 'failed') client.store.dispatch(boatEvents.boatChosen({ id: boatId }));
      if (!atRest(client)) {
        if (i % 40 === 39) client.news.linked.next(true);
        client.store.dispatch(outboxEvents.retryDue());
      }
    }
    for (let turns = 0; turns < 20; turns++) await turn();
    if (i % 20 === 19) for (const { news } of clients) news.tabCloses.next();
    calm = clients.every(atRest) && (await waiting()) === 0 ? calm + 1 : 0;
    if (!calm) await new Promise((resolve) => later(resolve, 1));
  }
  if (!calm) {
    const states = clients.map(({ state }) => {
      const { status, number, unsent, conflict, waiting: failed } = state();
      return `${status} at ${number} of ${server.revisions.length}, ${unsent.length} unsent, ${conflict ? 'asking' : ''} ${failed?.detail ?? ''}`;
    });
    fault(`does not come to rest: ${states.join('; ')}; in the outbox ${await waiting()}`);
  }

  for (const { state } of clients)
    if (JSON.stringify(state().plan) !== JSON.stringify(server.plan))
      fault('a window shows another plan than is saved');
  const kept = new Map(server.revisions.map((revision) => [revision.revisionId, revision]));
  const stuck = new Set(clients.flatMap(({ state }) => state().stuck.map(({ revisionId }) => revisionId)));
  for (const [revisionId, { chosen }] of made)
    if (!chosen && !kept.has(revisionId) && !asked.has(revisionId) && !stuck.has(revisionId))
      fault(`the edit ${revisionId} is nowhere any more`);
  for (const revision of server.revisions) {
    const maker = made.get(revision.revisionId);
    if (!maker) continue;
    for (const other of server.revisions.slice(maker.seen, revision.number - 1)) {
      if (maker.along.has(other.revisionId) || made.get(other.revisionId)?.client === maker.client) continue;
      const valueAfter = (number: number, path: Path): string | undefined => {
        const plan = server.plans[number];
        return JSON.stringify(plan && valueAt(plan, path));
      };
      const path = revision.paths.find((one) => {
        if (!other.paths.some((two) => meet(one, two))) return false;
        const theirLast = server.revisions.findLast(
          ({ number, revisionId, paths }) =>
            number < revision.number &&
            made.get(revisionId)?.client !== maker.client &&
            paths.some((two) => meet(one, two)),
        );
        // What counts is where the maker's edits led that were made without having seen it: some take each other back.
        const last = Math.max(
          ...server.revisions
            .filter(({ revisionId }) => {
              const one = made.get(revisionId);
              return one?.client === maker.client && one.seen < other.number;
            })
            .map(({ number }) => number),
        );
        return valueAfter(theirLast?.number ?? 0, one) !== valueAfter(last, one);
      });
      if (path)
        fault(`revision ${revision.number} overwrote ${path.join('/')} of ${other.number} unasked, seen ${maker.seen}`);
    }
  }
  for (const { number, revisionId, edits } of server.revisions)
    trail.push(`saved ${number} ${revisionId.slice(0, 4)} ${JSON.stringify(edits).slice(0, 90)}`);
  for (const client of [...clients]) kill(client);
  return faults;
};
