import { waysOfWorking, type Edit, type KeyAction, type Page, type Plan, type Way } from '@grey-keel/model';
import { bindingsAt, slotsOf } from '../keys/key-slots.ts';
import { bindProposal, keySchools, proposeKeys } from '../keys/propose-keys.ts';
import { hardestSight } from '../pages/number-legibility.ts';
import { pagesAt } from '../plan/pages-at.ts';
import { suggestLayouts } from '../pages/suggest-layouts.ts';
import { aDisplay, aNumber, aPlan, edited, seeded } from '../testing/sample-plan.ts';
import { findings } from './findings.ts';
import { runCount } from '../testing/run-count.ts';

type Random = () => number;
const pick = <T>(random: Random, list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
const between = (random: Random, low: number, high: number): number => Math.floor(low + random() * (high - low + 1));

const wet = waysOfWorking.filter((way) => way !== 'trailer');

/** A boat of random stations, displays, pages and keys with nothing wrong about them. */
const cleanBoat = (random: Random): Plan => {
  const ways = wet.filter(() => random() < 0.5);
  const used: Way[] = ways.length > 1 ? ways : ['running', 'drifting'];
  const base = aPlan();
  let plan: Plan = {
    ...base,
    ways: { ...Object.fromEntries(used.map((way) => [way, true])), trailer: true },
    transducers: Object.fromEntries(
      Object.entries(base.transducers).map(([id, transducer]) => [
        id,
        { ...transducer, transmitsIn: Object.fromEntries(used.map((way) => [way, true])) },
      ]),
    ),
    stations: {},
    displays: {},
    pages: {},
    keys: {},
  };
  const count = between(random, 1, 3);
  for (let s = 0; s < count; s++) {
    const stationId = `s${s}`;
    plan = edited(
      plan,
      {
        type: 'addStation',
        id: stationId,
        station: {
          name: `Station ${s}`,
          viewingDistanceM: 0.5 + random(),
          posture: pick(random, ['seated', 'standing', 'both'] as const),
        },
      },
      {
        type: 'fitDisplay',
        stationId,
        display: aDisplay({
          screenDiagonalM: 0.18 + 0.2 * random(),
          keys: between(random, used.length + 2, used.length + 4),
          keysBindTo: pick(random, ['page', 'place'] as const),
          readAtNight: random() < 0.5,
          seatedDistanceM: random() < 0.5 ? 0.5 + random() : null,
        }),
      },
    );
    used.forEach((way, i) => {
      const [layout] = suggestLayouts(plan, stationId, way);
      const id = `${stationId}-p${i}`;
      const wanted = hardestSight(plan, stationId, { heightPx: 10 })?.answer.wantedPx ?? 40;
      const page: Page = {
        stationId,
        name: `Page ${way}`,
        place: i + 1,
        shownIn: { [way]: true },
        layout: layout!.layout,
        numbers: { n: aNumber({ heightPx: wanted + between(random, 0, 30) }) },
      };
      plan = edited(plan, { type: 'addPage', id, page });
    });
    const proposal = proposeKeys(plan, stationId, pick(random, keySchools));
    plan = edited(plan, ...bindProposal(plan, stationId, proposal));
  }
  return plan;
};

const rulesOf = (plan: Plan): Set<string> =>
  new Set(
    findings(plan)
      .filter(({ stage }) => stage === 'pages' || stage === 'keys')
      .map(({ id }) => id.split(':')[0] ?? ''),
  );

/** A fault put in at random, and the same change made only nearly. Null where this boat has no room for it. */
type Fault = (plan: Plan, random: Random) => { readonly faulty: Plan; readonly nearly: Plan } | null;

const somewhere = (plan: Plan, random: Random) => {
  const stationId = pick(random, Object.keys(plan.displays));
  return { stationId, display: plan.displays[stationId]!, pages: pagesAt(plan, stationId) };
};

const freeSlots = (plan: Plan, stationId: string, press: 'short' | 'long') =>
  slotsOf(plan.displays[stationId]!).filter(
    (one) => one.press === press && !bindingsAt(plan, stationId).some(({ slot }) => slot === one.slot),
  );

const binding = (plan: Plan, stationId: string, slot: string, action: KeyAction): Plan =>
  edited(plan, { type: 'bindKey', stationId, slot, action });

const withKeys = (plan: Plan, stationId: string, keys: number): Plan =>
  edited(plan, { type: 'describeDisplay', stationId, changes: { keys: Math.min(40, keys) } });

const faults: Record<string, Fault> = {
  'page-missing': (plan, random) => {
    const { pages } = somewhere(plan, random);
    const { id, page } = pick(random, pages);
    const way = Object.keys(page.shownIn)[0] as Way;
    const hidden = edited(plan, { type: 'showPageIn', id, way, shown: false });
    const other = pages.find((one) => one.id !== id) ?? { id };
    return { faulty: hidden, nearly: edited(hidden, { type: 'showPageIn', id: other.id, way, shown: true }) };
  },
  'number-small': (plan, random) => {
    const { stationId, pages } = somewhere(plan, random);
    const { id } = pick(random, pages);
    const wanted = hardestSight(plan, stationId, { heightPx: 10 })!.answer.wantedPx;
    const high = (heightPx: number): Plan =>
      edited(plan, { type: 'describeNumber', pageId: id, id: 'n', changes: { heightPx } });
    return { faulty: high(wanted - 1), nearly: high(wanted) };
  },
  'key-place': (plan, random) => {
    const { stationId, display, pages } = somewhere(plan, random);
    if (display.keysBindTo !== 'place' || pages.length < 2) return null;
    const { id } = pick(random, pages.slice(1));
    const moved = edited(plan, { type: 'movePage', id, place: 1 });
    const again = bindingsAt(moved, stationId).flatMap(({ slot, action }): Edit[] =>
      action.does === 'page'
        ? [
            {
              type: 'bindKey',
              stationId,
              slot,
              action: { ...action, place: moved.pages[action.pageId]?.place ?? null },
            },
          ]
        : [],
    );
    return { faulty: moved, nearly: edited(moved, ...again) };
  },
  'key-twice': (plan, random) => {
    const { stationId, display } = somewhere(plan, random);
    const wider = withKeys(plan, stationId, display.keys + 1);
    const action = pick(random, bindingsAt(plan, stationId)).action;
    const slot = `${display.keys + 1}-long`;
    const unlike: KeyAction = { does: 'mark', mark: 'confirmed' };
    return { faulty: binding(wider, stationId, slot, action), nearly: binding(wider, stationId, slot, unlike) };
  },
  'key-on-trailer': (plan, random) => {
    const { stationId, display } = somewhere(plan, random);
    const wider = withKeys(plan, stationId, display.keys + 2);
    const started = binding(wider, stationId, `${display.keys + 2}-long`, { does: 'start transmitting' });
    return { faulty: started, nearly: edited(started, { type: 'useWay', way: 'trailer', used: false }) };
  },
  'key-slip': (plan, random) => {
    const { stationId, display } = somewhere(plan, random);
    const wider = withKeys(plan, stationId, display.keys + 1);
    const frequent: KeyAction = { does: 'mark', mark: 'seen' };
    const seenAt = bindingsAt(plan, stationId).filter(({ action }) => action.does === 'mark' && action.mark === 'seen');
    const alone = edited(
      wider,
      ...seenAt.map(({ slot }): Edit => ({ type: 'bindKey', stationId, slot, action: null })),
      { type: 'bindKey', stationId, slot: `${display.keys + 1}-long`, action: frequent },
    );
    const risky: KeyAction = { does: pick(random, ['hold position', 'standby'] as const) };
    const far = withKeys(alone, stationId, display.keys + 3);
    return {
      faulty: binding(alone, stationId, `${display.keys + 1}-short`, risky),
      nearly: binding(far, stationId, `${display.keys + 3}-short`, risky),
    };
  },
  'key-lost': (plan, random) => {
    const { stationId, display } = somewhere(plan, random);
    const [free] = freeSlots(plan, stationId, 'long');
    if (!free) return null;
    const page = (pageId: string): KeyAction => ({ does: 'page', pageId, place: null });
    const beyond = binding(plan, stationId, `${Math.min(40, display.keys + 1)}-short`, { does: 'volume' });
    const inside = withKeys(beyond, stationId, display.keys + 1);
    return random() < 0.5
      ? { faulty: binding(plan, stationId, free.slot, page('gone')), nearly: plan }
      : { faulty: beyond, nearly: inside };
  },
  'page-without-key': (plan, random) => {
    const { stationId } = somewhere(plan, random);
    const paged = bindingsAt(plan, stationId).filter(({ action }) => action.does === 'page');
    const chosen = pick(random, paged);
    const cleared = edited(plan, { type: 'bindKey', stationId, slot: chosen.slot, action: null });
    return { faulty: cleared, nearly: binding(cleared, stationId, chosen.slot, chosen.action) };
  },
};

describe('faults of pages and keys put into boats at random', () => {
  const random = seeded(20261125);
  const boats = Array.from({ length: runCount(200, 60) }, () => cleanBoat(random));

  it('start from boats with nothing to say about their pages and keys', () => {
    for (const plan of boats) expect([...rulesOf(plan)]).toEqual([]);
  });

  for (const [rule, fault] of Object.entries(faults))
    it(`${rule} is found, and a boat that only nearly has it stays silent`, () => {
      let tried = 0;
      for (const plan of boats) {
        const made = fault(plan, random);
        if (!made) continue;
        tried += 1;
        expect(rulesOf(made.faulty).has(rule)).withContext('faulty').toBeTrue();
        expect(rulesOf(made.nearly).has(rule)).withContext('nearly').toBeFalse();
      }
      expect(tried).toBeGreaterThan(boats.length / 4);
    });
});
