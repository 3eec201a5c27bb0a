import { waysOfWorking, type Plan, type Transducer, type Way } from '@grey-keel/model';
import { beamShape } from '../beams/element-acoustics.ts';
import { expectWorkingHolds } from '../testing/evaluated.ts';
import { aBeam, aPlan, aTransducer, edited, seeded } from '../testing/sample-plan.ts';
import { directionLevelDb, type Looks } from './direction-level.ts';
import { interferenceOf, interferesDb } from './interference.ts';
import { interferenceIn, otherBeamCost, quietPlan, standbyCost } from './quiet-plan.ts';
import { runCount } from '../testing/run-count.ts';

const radian = Math.PI / 180;
const looks = (changes: Partial<Looks> = {}): Looks => ({
  kind: 'sounder',
  shape: beamShape(20, 20),
  faceM: 0.5,
  setting: { mode: 'ahead', tiltDeg: 0, rangeM: 30 },
  depthM: 20,
  ...changes,
});
/** Degrees from straight down, towards starboard or ahead. */
const off = (deg: number, ahead = false) => ({
  forward: ahead ? Math.sin(deg * radian) : 0,
  starboard: ahead ? 0 : Math.sin(deg * radian),
  down: Math.cos(deg * radian),
});

describe('the level of a unit in a direction', () => {
  it('is 0 dB on the axis, half power at half the width, no higher further out, and least behind', () => {
    for (const kind of ['sounder', 'down fan'] as const) {
      const it = looks({ kind, shape: kind === 'sounder' ? beamShape(20, 20) : beamShape(20, 2) });
      expect(directionLevelDb(it, off(0))).toBeCloseTo(0, 9);
      expect(directionLevelDb(it, off(10))).toBeCloseTo(-3.01, 1);
      for (let deg = 1; deg < 90; deg += 1)
        expect(directionLevelDb(it, off(deg)))
          .withContext(`${kind} ${deg}`)
          .toBeLessThanOrEqual(directionLevelDb(it, off(deg - 1)) + 1e-9);
      expect(directionLevelDb(it, off(180))).toBe(-80);
    }
    expect(directionLevelDb(looks({ kind: 'down fan', shape: beamShape(50, 1) }), off(10, true))).toBeLessThan(-20);
  });

  it('looks where the kind looks: both sides, ahead as it is set, and about the boat', () => {
    const side = looks({ kind: 'side-scan', shape: beamShape(50, 1) });
    expect(directionLevelDb(side, off(60))).toBeCloseTo(0, 9);
    expect(directionLevelDb(side, off(-60))).toBeCloseTo(0, 9);
    expect(directionLevelDb(side, off(60, true))).toBeLessThan(-30);
    const ahead = looks({ kind: 'forward-facing', shape: beamShape(90, 20) });
    expect(directionLevelDb(ahead, off(45, true))).toBeCloseTo(0, 9);
    expect(directionLevelDb(ahead, off(-135, true))).toBe(-80);
    const down = { ...ahead, setting: { mode: 'down' as const, tiltDeg: 0, rangeM: 30 } };
    expect(directionLevelDb(down, off(0))).toBeCloseTo(0, 9);
    const sector = looks({ kind: 'sector', shape: beamShape(6, 6) });
    for (const turn of [0, 90, 200])
      expect(
        directionLevelDb(sector, { forward: Math.cos(turn * radian), starboard: Math.sin(turn * radian), down: 0 }),
      ).toBeCloseTo(0, 9);
  });
});

const unit = (changes: Partial<Transducer>, kHz: readonly number[], deg: number, alongDeg: number | null = null) =>
  aTransducer({
    beams: kHz.map((one) =>
      aBeam({ frequencyHz: one * 1000, beamwidthDeg: deg, alongDeg, bandwidthHz: 10_000, sourceLevelDb: 185 }),
    ),
    transmitsIn: { trolling: true },
    starboardM: 0,
    ...changes,
  });
const boat = (transducers: Plan['transducers'], scene: Partial<Plan['scene']> = {}): Plan => ({
  ...aPlan(),
  transducers,
  scene: { ...aPlan().scene, ...scene },
});

describe('the interference of one unit by another', () => {
  const down = unit({ name: 'Down', forwardM: 0 }, [880], 9);
  const ahead = unit({ name: 'Ahead', kind: 'forward-facing', mounting: 'bow motor', forwardM: 7 }, [880], 90, 20);

  it('is next to nothing over a bottom from which no sound is left, and never a number nobody could read', () => {
    const there = boat({ down: unit({}, [3000], 9), ahead: unit({ forwardM: 7 }, [3000], 20) });
    const deep = { ...there, working: { ...there.working, depthM: 900 } };
    const [over] = interferenceOf(deep, ['ahead', 0], ['down', 0])?.working ?? [];
    const byBottom = over?.inputs.find(({ symbol }) => symbol === 'B')?.value ?? Number.NaN;
    expect(Number.isFinite(byBottom)).toBeTrue();
    expect(byBottom).toBeLessThan(-300);
  });

  it('is found where both look at the same bottom, and not where one looks away from the other and its bottom', () => {
    const level = (mode: 'flat' | 'down'): number =>
      interferenceOf(boat({ down, ahead }, { forward: { mode, tiltDeg: 0, rangeM: 30 } }), ['ahead', 0], ['down', 0])
        ?.overNoiseDb ?? Number.NaN;
    expect(level('down')).toBeGreaterThan(interferesDb);
    expect(level('flat')).toBeLessThan(interferesDb);
  });

  it('is nothing that could be heard where the bands are apart, however close the units', () => {
    const low = unit({ name: 'Low', forwardM: 0.1 }, [430], 9);
    expect(interferenceOf(boat({ down, low }), ['low', 0], ['down', 0])?.overNoiseDb ?? -200).toBeLessThan(-50);
  });

  it('falls with distance and with what of the band is shared, rises with the source, and shows its working', () => {
    const at = (forwardM: number, changes: Partial<Transducer['beams'][number]> = {}): number => {
      const other = unit({ name: 'Other', forwardM }, [880], 9);
      const beams = other.beams.map((beam) => ({ ...beam, ...changes }));
      const found = interferenceOf(boat({ down, other: { ...other, beams } }), ['other', 0], ['down', 0]);
      if (!found) throw new Error('They do not meet.');
      expectWorkingHolds(found.working, 'interference');
      return found.overNoiseDb;
    };
    expect(at(1)).toBeGreaterThan(at(6));
    expect(at(3, { sourceLevelDb: 195 })).toBeCloseTo(at(3) + 10, 6);
    expect(at(3, { frequencyHz: 885_000 })).toBeCloseTo(at(3) - 3.01, 0);
  });
});

/** The plain way: every beam of every unit, and for each way every set of units that could be quiet. */
const bruteForce = (plan: Plan): number => {
  const ids = Object.keys(plan.transducers).sort();
  const ways = waysOfWorking.filter((way) => plan.ways[way]);
  const louder = new Map<string, boolean>();
  const interferes = (a: string, beamA: number, b: string, beamB: number): boolean => {
    const key = [a, beamA, b, beamB].join();
    const known = louder.get(key);
    if (known !== undefined) return known;
    const found = (interferenceOf(plan, [a, beamA], [b, beamB])?.overNoiseDb ?? -1) > interferesDb;
    louder.set(key, found);
    return found;
  };
  const choices = ids.reduce<number[][]>(
    (made, id) => made.flatMap((chosen) => plan.transducers[id]!.beams.map((_, beam) => [...chosen, beam])),
    [[]],
  );
  const wayCost = (way: Way, beams: readonly number[]): number => {
    let best = Number.POSITIVE_INFINITY;
    for (let set = 0; set < 2 ** ids.length; set++) {
      const on = ids.map((id, i) => plan.transducers[id]!.transmitsIn[way] === true && (set & (1 << i)) === 0);
      const off = ids.filter((id, i) => plan.transducers[id]!.transmitsIn[way] === true && (set & (1 << i)) !== 0);
      const clean = ids.every((a, i) =>
        ids.every((b, k) => i === k || !on[i] || !on[k] || !interferes(a, beams[i] ?? 0, b, beams[k] ?? 0)),
      );
      if (clean)
        best = Math.min(
          best,
          off.reduce((sum, id) => sum + standbyCost(plan, id, way), 0),
        );
    }
    return best;
  };
  return Math.min(
    ...choices.map(
      (beams) =>
        otherBeamCost * ids.filter((id, i) => beams[i] !== plan.transducers[id]!.workingBeam).length +
        ways.reduce((sum, way) => sum + wayCost(way, beams), 0),
    ),
  );
};

describe('the plan that quiets a boat', () => {
  it('costs the least there is, by brute force on boats at random, and leaves no interference', () => {
    const random = seeded(20261127);
    const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
    let interfered = 0;
    for (let i = 0; i < runCount(200, 60); i++) {
      const plan: Plan = {
        ...boat(
          Object.fromEntries(
            ['first', 'second', 'third'].map((id) => {
              const kind = pick(['sounder', 'side-scan', 'forward-facing'] as const);
              const made = unit(
                {
                  name: id,
                  kind,
                  forwardM: 7 * random(),
                  starboardM: random() - 0.5,
                  transmitsIn: Object.fromEntries(
                    (['trolling', 'searching'] as const).filter(() => random() < 0.8).map((way) => [way, true]),
                  ),
                },
                random() < 0.5 ? [pick([190, 195, 430])] : [pick([190, 195]), pick([430, 435])],
                kind === 'sounder' ? 12 : 60,
                kind === 'sounder' ? null : 2,
              );
              return [id, made];
            }),
          ),
        ),
        ways: { trolling: true, searching: true },
      };
      const found = quietPlan(plan);
      const least = bruteForce(plan);
      expect(found?.cost ?? 0)
        .withContext(`boat ${i}`)
        .toBe(least);
      if (!found) continue;
      interfered += 1;
      const after = edited(plan, ...found.edits);
      for (const way of ['trolling', 'searching'] as const)
        expect(interferenceIn(after, way).filter(({ overNoiseDb }) => overNoiseDb > interferesDb)).toEqual([]);
      expect(quietPlan(after)).toBeNull();
    }
    expect(interfered).toBeGreaterThan(40);
  });

  it('is searched within a bound, said where it stopped early, and quiet all the same', () => {
    const many = (count: number): Plan => ({
      ...boat(
        Object.fromEntries(
          Array.from({ length: count }, (_, i) => [
            `unit-${String(i).padStart(2, '0')}`,
            unit({ name: `Unit ${i}`, transmitsIn: { trolling: true, searching: true } }, [190], 12, null),
          ]),
        ),
      ),
      ways: { trolling: true, searching: true },
    });
    expect(quietPlan(many(4))?.complete).toBeTrue();
    const found = quietPlan(many(40));
    expect(found?.complete).toBeFalse();
    expect(quietPlan(edited(many(40), ...(found?.edits ?? [])))).toBeNull();
  });
});
