import type { Edit, Plan, SettingKind } from '@grey-keel/model';
import fc from 'fast-check';
import { enteredAboard } from '../handover/entered-aboard.ts';
import { cardOf } from '../handover/card.ts';
import { measurementOf } from '../calibration/measured-by-kind.ts';
import { keyedIn } from '../calibration/keyed-in.ts';
import { setUpIn } from '../plan/read-at.ts';
import { alarmsHeld, enteredResult, heldBy, sidesHeld, typeHeld } from '../plan/held-by.ts';
import { heldOffsetM } from '../calibration/held-offset.ts';
import { displayDepthError } from '../sources/display-depth-error.ts';
import { aDisplay, aPlan, edited, pair, seeded, withEntered } from '../testing/sample-plan.ts';
import { enters, finds, forgets } from '../testing/set-at.ts';
import { soundBoat } from '../testing/sound-boat.ts';
import { devicesWithSettings, type EnteredLine, isDone, linesOf } from './entered-lines.ts';
import { findings } from './findings.ts';
import { enterLine, keepAsItIs, seeLine, takeBackLine } from './line-edits.ts';

const later = { at: '2026-06-01T10:00:00Z', by: 'Installer' };
const allLines = (plan: Plan): EnteredLine[] => devicesWithSettings(plan).flatMap(({ id }) => linesOf(plan, id));
const keyOf = ({ deviceId, kind, ofId }: EnteredLine): string => `${deviceId} ${kind} ${ofId}`;
const lineIn = (plan: Plan, one: EnteredLine): EnteredLine =>
  linesOf(plan, one.deviceId).find((other) => keyOf(other) === keyOf(one))!;
const entered = (plan: Plan, line: EnteredLine): Plan => {
  return edited(plan, ...enterLine(plan, line, later));
};

/** Boats of any size with north chosen and every name given, so that all is wanted that can be. */
const boats = fc
  .integer({ min: 1, max: 10_000 })
  .map((seed) =>
    edited(
      soundBoat(seeded(seed)),
      { type: 'chooseSetting', kind: 'north', line: null, value: 'true' },
      { type: 'chooseSetting', kind: 'depth-display', line: null, value: { unit: 'm', step: 0.1 } },
    ),
  );
const aLine = (plan: Plan, pick: number): EnteredLine => {
  const lines = allLines(plan).filter(({ wanted }) => 'value' in wanted);
  return lines[pick % lines.length]!;
};
const ofABoat = (law: (plan: Plan, line: EnteredLine) => void): void =>
  fc.assert(
    fc.property(boats, fc.nat(500), (plan, pick) => law(plan, aLine(plan, pick))),
    { numRuns: 40 },
  );

describe('what devices hold', () => {
  it('is what was entered, to every reader: the card, the alarms, the depth, the list of what is entered', () => {
    ofABoat((plan, line) => {
      const done = entered(plan, line);
      const value = 'value' in line.wanted ? line.wanted.value : null;
      expect(heldBy(done, line.deviceId, line.kind, line.ofId)).toEqual(value);
      expect(lineIn(done, line).standing).withContext(keyOf(line)).toBe('entered');
      const told: Partial<Record<SettingKind, () => unknown>> = {
        type: () => typeHeld(done, line.ofId),
        sides: () => sidesHeld(done, line.deviceId) && value,
        'shallow-alarm': () => alarmsHeld(done, line.deviceId).shallowM,
        sound: () => ({ waterType: displayDepthError(done, line.deviceId, 10)?.setTo }),
        // Of a depth that several displays show, the one it is read on is asked.
        'depth-offset': () =>
          setUpIn(plan, line.ofId) === line.deviceId && { ...(value as object), offsetM: heldOffsetM(done, line.ofId) },
      };
      expect(told[line.kind]?.() || value)
        .withContext(keyOf(line))
        .toEqual(value);
      const station = cardOf(done).stations.find(({ id }) => id === line.deviceId);
      if (line.kind === 'shallow-alarm') expect(station?.alarms.shallowM).toBe(value as number);
      if (line.kind === 'depth-offset' && setUpIn(plan, line.ofId) === line.deviceId) {
        const { offsetM } = value as { offsetM: number };
        expect(cardOf(done).transducers.find(({ id }) => id === line.ofId)?.offset?.offsetM).toBe(offsetM);
        expect(enteredAboard(done).find(({ key }) => key === `depth ${line.ofId}`)?.value).toContain(
          jasmine.objectContaining({ value: offsetM }),
        );
      }
    });
  });

  it('leaves every other line as it was, and what is wanted anywhere', () => {
    ofABoat((plan, line) => {
      const before = new Map(allLines(plan).map((one) => [keyOf(one), one]));
      for (const one of allLines(entered(plan, line))) {
        // A display takes figures by its own step: what is keyed in after that follows it.
        if (line.kind !== 'depth-display' || one.deviceId !== line.deviceId)
          expect(one.wanted)
            .withContext(keyOf(one))
            .toEqual(before.get(keyOf(one))!.wanted);
        if (keyOf(one) !== keyOf(line))
          expect(one.standing)
            .withContext(keyOf(one))
            .toBe(before.get(keyOf(one))!.standing);
      }
    });
  });

  it('has to be looked at again in the device that was reset, in no other; and seeing one turns that one back', () => {
    ofABoat((plan, line) => {
      const done = entered(plan, line);
      const reset = edited(done, {
        type: 'resetDevice',
        deviceId: line.deviceId,
        id: 'r1',
        reset: { at: '2026-06-02T10:00:00Z', by: null, why: 'update' },
      });
      const before = new Map(allLines(done).map((one) => [keyOf(one), one]));
      for (const one of allLines(reset)) {
        const was = before.get(keyOf(one))!;
        const turned = one.deviceId === line.deviceId && was.line !== null;
        expect(one.standing)
          .withContext(keyOf(one))
          .toBe(turned ? 'look again' : was.standing);
      }
      const { deviceId, kind, ofId } = line;
      const seen = edited(reset, { type: 'seeAgain', deviceId, kind, ofId, at: '2026-06-03T10:00:00Z' });
      for (const one of allLines(seen))
        expect(one.standing)
          .withContext(keyOf(one))
          .toBe(keyOf(one) === keyOf(line) ? 'seen' : lineIn(reset, one).standing);
    });
  });

  it('stands by what was said last: found after it was entered, it is what was found', () => {
    const plan = soundBoat(seeded(7));
    const north = (edits: Edit[]): EnteredLine =>
      linesOf(edited(plan, { type: 'chooseSetting', kind: 'north', line: null, value: 'true' }, ...edits), 'helm').find(
        ({ kind }) => kind === 'north',
      )!;
    const [early, late] = ['2026-07-01T10:00:00Z', '2026-07-02T10:00:00Z'];
    const forget: Edit = { type: 'forgetSetting', deviceId: 'helm', kind: 'north', ofId: 'helm' };
    expect(north([forget]).standing).toBe('to enter');
    expect(north([forget, finds('helm', 'north', 'true')]).standing).toBe('right as found');
    expect(north([forget, finds('helm', 'north', 'magnetic')]).standing).toBe('to enter');
    expect(north([enters('helm', 'north', 'magnetic', 'helm', early)]).standing).toBe('differs');
    expect(
      north([enters('helm', 'north', 'true', 'helm', early), finds('helm', 'north', 'magnetic', 'helm', late)])
        .standing,
    ).toBe('to enter');
    expect(
      north([enters('helm', 'north', 'true', 'helm', late), finds('helm', 'north', 'magnetic', 'helm', early)])
        .standing,
    ).toBe('entered');
    // Of one moment: what was found.
    expect(
      north([enters('helm', 'north', 'true', 'helm', early), finds('helm', 'north', 'magnetic', 'helm', early)])
        .standing,
    ).toBe('to enter');
    expect(north([enters('helm', 'north', null, 'helm', early)]).standing).toBe('entered');
  });

  it('says what changed since it was entered, and bears a rounding of the display', () => {
    const plan = soundBoat(seeded(8));
    const offset = (changed: Plan): EnteredLine =>
      allLines(changed).find(({ kind, ofId }) => kind === 'depth-offset' && ofId === 'a-hull')!;
    expect(isDone(offset(plan).standing)).toBeTrue();
    const { deviceId, wanted } = offset(plan);
    const value = 'value' in wanted ? (wanted.value as { offsetM: number; reference: 'waterline' | 'keel' }) : null;
    const keyed = (offsetM: number): Plan =>
      edited(plan, enters(deviceId, 'depth-offset', { ...value!, offsetM }, 'a-hull', later.at));
    expect(offset(keyed(value!.offsetM + 0.09)).standing).toBe('entered');
    expect(offset(keyed(value!.offsetM + 0.11)).standing).toBe('differs');
    const moved = edited(plan, { type: 'describeTransducer', id: 'a-hull', changes: { aboveKeelM: 0.31 } });
    expect(offset(moved)).toEqual(
      jasmine.objectContaining({ standing: 'changed', because: ['the transducer or its place'] }),
    );
    // A leaf outside of what it rests on leaves it alone.
    const noted = edited(plan, { type: 'describeBoat', changes: { notes: 'x' } });
    expect(offset(noted).standing).toBe(offset(plan).standing);
  });

  it('adds nothing twice: readings taken after an entry give the same offset, and findings stay', () => {
    const plan = soundBoat(seeded(9));
    const line = allLines(plan).find(({ kind }) => kind === 'depth-offset')!;
    const done = entered(plan, line);
    expect(lineIn(entered(done, lineIn(done, line)), line).wanted).toEqual(line.wanted);
    expect(findings(done).map(({ id }) => id)).toEqual(findings(plan).map(({ id }) => id));
  });

  it('is the later of what was found and what was entered, and what was found where both are of one moment', () => {
    const [first, second] = ['2026-05-01T08:00:00Z', '2026-05-02T08:00:00Z'];
    const north = (foundAt: string | null, leftAt: string) =>
      heldBy(
        edited(
          soundBoat(seeded(7)),
          enters('helm', 'north', 'true', 'helm', leftAt),
          finds('helm', 'north', 'magnetic', 'helm', foundAt),
        ),
        'helm',
        'north',
      );
    expect([north(first, second), north(second, first), north(first, first), north(null, first)]).toEqual([
      'true',
      'magnetic',
      'magnetic',
      'true',
    ]);
  });

  it('is the result of the procedure that was entered, no other’s, and swapped where one side is', () => {
    const boat = soundBoat(seeded(7));
    const [one = '', other = ''] = Object.keys(boat.transducers);
    const of = setUpIn(boat, one);
    const measured = { of: 'step' as const, fingerprint: 'a'.repeat(64), parts: {}, half95: 0.1, standardError: null };
    const said = { at: later.at, by: null, seenAgainAt: null, measured };
    const keyed = edited(boat, keyedIn(boat, 'step', one, [0.4], said)!);
    expect([enteredResult(keyed, 'step', one)?.values, enteredResult(keyed, 'depth', one)]).toEqual([[0.4], null]);
    expect(heldBy(keyed, of, 'depth-offset', one)?.offsetM).toBe(0.4);
    const sides = edited(boat, enters('helm', 'sides', 'swapped', one), enters('helm', 'sides', 'right', other));
    expect(sidesHeld(sides, 'helm')).toBe('swapped');
  });

  it('rests on what was measured only where that is the value entered: a type of water is no measured speed', () => {
    const sampled = edited(soundBoat(seeded(7)), {
      type: 'recordCalibration',
      of: 'sound speed',
      sensorId: 'helm',
      readingId: 'one',
      reading: { depthM: 0, temperatureC: 5, salinityPpt: 0, leftOut: false },
    });
    expect(measurementOf(sampled, 'sound speed', 'helm')?.known).toBeTrue();
    const line = linesOf(sampled, 'helm').find(({ kind }) => kind === 'sound')!;
    const [edit] = enterLine(sampled, line, later) as { readonly asLeft: { readonly measured?: unknown } }[];
    expect(edit?.asLeft).toEqual(
      jasmine.objectContaining({ value: jasmine.objectContaining({ waterType: jasmine.any(String) }) }),
    );
    expect(edit?.asLeft.measured).toBeUndefined();
  });

  it('of a depth on two displays is judged by what was entered in each: an old entry in one makes no new one stale', () => {
    const feed = { sourceId: 'a-wide', fallbackId: null };
    const boat = edited(
      withEntered(aPlan(), 'a-wide'),
      { type: 'addStation', id: 'zbow', station: { name: 'Bow', viewingDistanceM: 1, posture: 'standing' } },
      { type: 'fitDisplay', stationId: 'zbow', display: aDisplay() },
      { type: 'feed', stationId: 'helm', quantity: 'depth', feed },
      { type: 'feed', stationId: 'zbow', quantity: 'depth', feed },
    );
    const of = (plan: Plan, deviceId: string) => linesOf(plan, deviceId).find(({ kind }) => kind === 'depth-offset')!;
    const read = pair(30, 29.7);
    const moved = edited(boat, { type: 'recordReading', transducerId: 'a-wide', readingId: 'late', reading: read });
    const [helm, bow] = [of(moved, 'helm'), of(moved, 'zbow')];
    expect([helm.deviceId, setUpIn(moved, 'a-wide')]).toEqual(['helm', 'helm']);
    const now = entered(moved, bow);
    expect([of(now, 'helm').standing, of(now, 'zbow').standing]).toEqual(['changed', 'entered']);
    expect(of(now, 'helm').because.length).toBeGreaterThan(0);
  });

  it('is seen once it was looked at, read again where it was never entered, and taken back to what was found', () => {
    const boat = edited(soundBoat(seeded(7)), forgets('helm', 'north'), finds('helm', 'north', 'true', 'helm', null));
    const line = (plan: Plan) => linesOf(plan, 'helm').find(({ kind }) => kind === 'north')!;
    expect(line(boat).seen).toBeFalse();
    const again = edited(boat, ...seeLine(line(boat), later));
    expect([line(again).seen, line(again).line?.asFound?.at, line(again).line?.asLeft]).toEqual([true, later.at, null]);
    const keyed = edited(again, enters('helm', 'north', 'magnetic', 'helm', '2026-06-02T10:00:00Z'));
    expect(line(keyed).seen).toBeFalse();
    const looked = edited(keyed, ...seeLine(line(keyed), { at: '2026-06-03T10:00:00Z', by: null }));
    expect([line(looked).seen, heldBy(looked, 'helm', 'north')]).toEqual([true, 'magnetic']);
    const reset = { at: '2026-06-04T10:00:00Z', by: null, why: 'reset' as const };
    expect(line(edited(looked, { type: 'resetDevice', deviceId: 'helm', id: 'r', reset })).seen).toBeFalse();
    expect(heldBy(edited(looked, ...takeBackLine(line(looked))), 'helm', 'north')).toBe('true');
    expect(seeLine(line(edited(soundBoat(seeded(7)), forgets('helm', 'north'))), later)).toEqual([]);
  });

  it('is wanted as it is once that is chosen: north for the boat, an alarm for its display, and no more than that', () => {
    const found = edited(
      soundBoat(seeded(7)),
      finds('helm', 'north', 'magnetic'),
      finds('helm', 'shallow-alarm', 2.5),
      finds('helm', 'brightness', 'set'),
      forgets('helm', 'low-voltage-alarm'),
    );
    const line = (plan: Plan, kind: SettingKind, deviceId = 'helm'): EnteredLine =>
      linesOf(plan, deviceId).find((one) => one.kind === kind)!;
    const keep = (kind: SettingKind) => keepAsItIs(found, line(found, kind));
    expect(keep('brightness')).toBeNull();
    expect(keepAsItIs(found, line(found, 'low-voltage-alarm'))).toBeNull();
    const kept = edited(found, keep('north')!, keep('shallow-alarm')!);
    expect(kept.chosen).toEqual({
      boat: { north: 'magnetic' },
      devices: { helm: { 'shallow-alarm': { helm: 2.5 } } },
    });
    for (const kind of ['north', 'shallow-alarm'] as const) {
      expect(line(kept, kind).standing).withContext(kind).toBe('right as found');
      expect(keepAsItIs(kept, line(kept, kind)))
        .withContext(kind)
        .toBeNull();
    }
    expect(line(kept, 'north', 'bow').wanted).toEqual({ value: 'magnetic' });
    expect(line(kept, 'shallow-alarm', 'bow').wanted).toEqual(line(found, 'shallow-alarm', 'bow').wanted);
  });
});
