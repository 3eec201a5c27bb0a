import { calibrationKinds, planSchema, type Edit, type Patch, type Plan } from '@grey-keel/model';
import { newCalibration, newDepthOffset, newSource } from '../edits/new-parts.ts';
import { newNetworkDevice } from '../network/devices.ts';
import { pageFor, pagesAt } from '../plan/pages-at.ts';
import { aDisplay, aPage, aPlan, edited, seeded } from '../testing/sample-plan.ts';
import { soundBoat } from '../testing/sound-boat.ts';
import { applyEdits, replayEdits } from './apply-edits.ts';
import { dangling } from '../edits/holds.ts';
import { setUpKinds } from '../edits/go-with-display.ts';
import { offsetHeldM } from '../plan/held-by.ts';
import { enters, finds } from '../testing/set-at.ts';
import { settings } from './settings.ts';

const restore = (...patches: Patch[]): Edit => ({ type: 'restore', patches });
const boat = (): Plan =>
  edited(
    aPlan(),
    { type: 'fitDisplay', stationId: 'helm', display: aDisplay() },
    { type: 'addPage', id: 'one', page: aPage({ name: 'One', place: 1, shownIn: { trolling: true } }) },
    { type: 'addPage', id: 'two', page: aPage({ name: 'Two', place: 2, shownIn: {} }) },
  );

/** A boat on which something hangs on every thing there is. */
const wholeBoat = (): Plan => {
  const plan = soundBoat(seeded(32));
  const sensors = [...Object.keys(plan.transducers), ...Object.keys(plan.equipment)];
  const of = <T>(ids: readonly string[], value: T): Record<string, T> =>
    Object.fromEntries(ids.map((id) => [id, value]));
  const calibrated = [...sensors, ...Object.keys(plan.stations), ...Object.keys(plan.power.batteries)];
  return planSchema.parse({
    ...plan,
    keys: of(['helm', 'bow'], {}),
    sources: of(sensors, newSource()),
    depthOffsets: of(Object.keys(plan.transducers), newDepthOffset()),
    network: { ...plan.network, devices: of(['helm', 'bow', ...Object.keys(plan.equipment)], newNetworkDevice()) },
    calibrations: Object.fromEntries(calibrationKinds.map((kind) => [kind, of(calibrated, newCalibration(kind))])),
  });
};

const rows = Object.values(settings);

describe('what edits keep true', () => {
  it('is true of a plan that edits made', () => {
    expect(dangling(boat())).toEqual([]);
  });

  it('takes along all that hung on what is taken away, and nothing that hung on another', () => {
    const plan = wholeBoat();
    const inside = (part: unknown, key: string): number =>
      typeof part === 'object' && part !== null
        ? Object.entries(part).reduce((sum, [name, value]) => sum + Number(name === key) + inside(value, key), 0)
        : 0;
    const of = {
      removeStation: plan.stations,
      removeTransducer: plan.transducers,
      removeEquipment: plan.equipment,
      removeBattery: plan.power.batteries,
      removeWater: plan.waters,
    };
    const ids = Object.values(of).flatMap((record) => Object.keys(record));
    for (const [type, record] of Object.entries(of))
      for (const id of Object.keys(record)) {
        const left = edited(plan, { type, id } as Edit);
        expect(dangling(left)).withContext(id).toEqual([]);
        for (const other of ids)
          expect(inside(id === other ? left : { ...left, held: {} }, other))
            .withContext(`${other} without ${id}`)
            .toBe(other === id ? 0 : inside({ ...plan, held: {} }, other));
      }
    const dark = edited(plan, { type: 'removeDisplay', stationId: 'helm' });
    expect([dangling(dark), dark.stations, dark.calibrations]).toEqual([[], plan.stations, plan.calibrations]);
    expect([dark.keys, dark.feeds, dark.held, dark.pages].map((part) => inside(part, 'helm'))).toEqual([0, 0, 0, 0]);
    const dead = edited(plan, { type: 'removeBattery', id: 'house' });
    expect(Object.values(dead.power.circuits).map(({ batteryId }) => batteryId)).not.toContain('house');
    expect(Object.keys(dead.power.circuits)).toEqual(Object.keys(plan.power.circuits));
  });

  it('leaves what something else of the same name still holds', () => {
    const plan = wholeBoat();
    const both = { ...plan, equipment: { ...plan.equipment, helm: plan.equipment['c-compass']! } };
    const left = edited(both, { type: 'removeEquipment', id: 'helm' });
    expect([left.network, left.calibrations]).toEqual([plan.network, plan.calibrations]);
  });

  it('stays true when patches bring pages back: places 1 to n, and one page in a way of working', () => {
    const page = aPage({ name: 'Back', place: 1, shownIn: { trolling: true } });
    const back = edited(boat(), restore({ op: 'add', path: ['pages', 'back'], value: page }));
    const places = pagesAt(back, 'helm').map((one) => one.page.place);
    expect(places).toEqual(places.map((_, i) => i + 1));
    expect(places.length).toBe(pagesAt(boat(), 'helm').length + 1);
    expect(Object.values(back.pages).filter(({ shownIn }) => shownIn.trolling).length).toBe(1);
    expect(pageFor(back, 'helm', 'trolling')).not.toBeNull();
  });

  it('lets what was keyed in before its display was known go with the display, and what is there later stay', () => {
    const offset = (offsetM: number) => ({ offsetM, reference: 'waterline' as const });
    const dark = edited(aPlan(), { type: 'removeDisplay', stationId: 'helm' });
    const bare = { ...dark, sources: { 'a-wide': newSource() } };
    const keyed = edited(bare, enters('a-wide', 'depth-offset', offset(0.4), 'a-wide'));
    const now = (plan: Plan) => [offsetHeldM(plan, 'a-wide'), 'a-wide' in plan.held];
    expect(now(keyed)).toEqual([0.4, true]);
    const fit: Edit = { type: 'fitDisplay', stationId: 'helm', display: aDisplay() };
    expect(now(edited(keyed, fit))).toEqual([0.4, false]);
    const later = edited(keyed, fit, enters('helm', 'depth-offset', offset(0.5), 'a-wide', '2026-05-02T08:00:00Z'));
    const sentLate = enters('a-wide', 'depth-offset', offset(0.3), 'a-wide');
    expect(now(edited(later, sentLate))).toEqual([0.5, false]);
    expect(
      now(
        edited(later, {
          ...sentLate,
          asLeft: { value: offset(0.3), at: '2026-05-03T08:00:00Z', by: null, seenAgainAt: null },
        } as Edit),
      ),
    ).toEqual([0.3, false]);
    const found = finds('a-wide', 'depth-offset', offset(0.2), 'a-wide', '2026-05-03T08:00:00Z');
    expect(now(edited(later, found))).toEqual([0.2, false]);
    // A line the transducer holds itself stays, and one of each kind that its display takes goes.
    const all = edited(
      bare,
      ...setUpKinds.map((kind) => enters('a-wide', kind, null, 'a-wide')),
      enters('a-wide', 'speed', 1.1),
    );
    expect(Object.keys(edited(all, fit).held['a-wide'] ?? {})).toEqual(['speed']);
    const lists = (kind: 'sounder' | 'side-scan') => {
      const plan = edited(bare, fit, { type: 'describeTransducer', id: 'a-wide', changes: { kind } });
      return rows.flatMap((row) => (row.of(plan, 'helm').includes('a-wide') ? [row.kind] : []));
    };
    expect([...new Set([...lists('sounder'), ...lists('side-scan')])].sort()).toEqual([...setUpKinds].sort());
    const undone = applyEdits(keyed, [fit]);
    expect(undone.ok && edited(undone.plan, restore(...undone.inverse))).toEqual(keyed);
  });

  it('is refused to be broken: nothing new hangs on what is not there, and the field is named', () => {
    const hanging: Patch[] = [
      { op: 'add', path: ['pages', 'lost'], value: aPage({ stationId: 'nowhere' }) },
      { op: 'add', path: ['keys', 'nowhere'], value: {} },
      {
        op: 'add',
        path: ['held', 'nowhere', 'north', 'nowhere'],
        value: { asFound: null, asLeft: { value: 'true', at: null, by: null, seenAgainAt: null } },
      },
      { op: 'replace', path: ['working', 'waterId'], value: 'nowhere' },
      { op: 'remove', path: ['displays', 'helm'] },
    ];
    for (const patch of hanging) {
      const applied = applyEdits(boat(), [restore(patch)]);
      expect(applied.ok).withContext(patch.path.join('/')).toBeFalse();
      expect(!applied.ok && applied.errors[0]?.field)
        .withContext(patch.path.join('/'))
        .not.toBe('');
    }
  });

  it('does not stop work on a plan in which something hangs since before, and a history is replayed as it was', () => {
    const lost = restore({ op: 'add', path: ['keys', 'nowhere'], value: {} });
    const old = replayEdits(boat(), [lost]);
    if (!old.ok) throw new Error(old.errors[0]?.message);
    expect(dangling(old.plan)).toEqual([['keys', 'nowhere']]);
    expect(applyEdits(old.plan, [restore({ op: 'replace', path: ['boat', 'notes'], value: 'x' })]).ok).toBeTrue();
    expect(dangling(edited(old.plan, { type: 'removeStation', id: 'helm' }))).toEqual([['keys', 'nowhere']]);
  });

  it('is asked of the schema first: a patch may hold anything', () => {
    for (const value of [null, 3, 'page', [], { stationId: 'helm' }]) {
      const applied = applyEdits(boat(), [restore({ op: 'add', path: ['pages', 'odd'], value })]);
      expect(!applied.ok && applied.errors[0]?.field)
        .withContext(JSON.stringify(value))
        .toContain('pages.odd');
    }
  });
});
