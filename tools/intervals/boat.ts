import { calculate, calculations } from '@grey-keel/core';
import { normal, restVoltageV, seeded } from '@grey-keel/core/testing';
import { answer, type Found, type Scenario, stepped } from './found.ts';

/** A day of a pack whose own curve lies off that of its kind at empty, half and full, to hundredths of a volt. */
const battery =
  (chemistry: 'lead-acid' | 'lithium', shares: readonly number[]) =>
  (seed: number): Found | null => {
    const uniform = seeded(seed);
    const pack = { chemistry, curve: 'flat' as const, nominalV: 12, capacityAh: 80 };
    const left = 0.6 + 0.35 * uniform();
    const sdV = chemistry === 'lead-acid' ? 0.1 : 0.05;
    const [empty = 0, half = 0, full = 0] = [0, 1, 2].map(() => sdV * normal(uniform));
    const offV = (at: number): number =>
      at < 0.5 ? empty + 2 * at * (half - empty) : half + 2 * (at - 0.5) * (full - half);
    const readings = shares.map((share, i) => {
      const currentA = i % 2 ? 9 : 0.5;
      const at = 1 - share;
      const voltsV = restVoltageV(pack, at) + offV(at) - 0.02 * currentA + 0.01 * normal(uniform);
      return { trip: 1, usedAh: share * left * 80, currentA, voltsV: stepped(voltsV, 0.01) };
    });
    const calculation = calculations.get('battery-pack');
    const found = calculation && calculate(calculation, { ...pack, readings });
    if (!found?.ok) return null;
    const { capacityLeft, capacityHalfInterval95 } = found.answer as unknown as {
      capacityLeft: number;
      capacityHalfInterval95: number | null;
    };
    return { off: capacityLeft - left, half: capacityHalfInterval95 };
  };

/** Where a bottom was lost three times, its strength off by 4 dB as a whole, depths in half metres. */
const noise =
  (count: number) =>
  (seed: number): Found => {
    const uniform = seeded(seed);
    const beam = {
      frequencyHz: 190_000,
      sourceLevelDb: 208,
      bandwidthHz: 1000,
      directivityIndexDb: 18,
      acrossDeg: 20,
      resolutionM: 0.7,
      absorptionDbPerM: 0.011,
    };
    const floorDb = 76 + 8 * uniform();
    const strengthDb = 4 * normal(uniform);
    // Lost where the same calculation says that very floor: found by halving.
    const givesDb = (depthM: number): number =>
      answer('measured-noise', {
        ...beam,
        bottom: 'sand',
        readings: [{ lost: 'bottom', depthM, speedMps: 0, sizeCm: 0 }],
      })['electricalFloorDb'] ?? Number.NaN;
    const readings = Array.from({ length: count }, () => {
      const wantedDb = floorDb - strengthDb + 0.5 * normal(uniform);
      let [near, far] = [5, 480];
      for (let k = 0; k < 40; k++) {
        const middle = (near + far) / 2;
        if (givesDb(middle) > wantedDb) near = middle;
        else far = middle;
      }
      return { lost: 'bottom' as const, depthM: stepped(near, 0.5), speedMps: 0, sizeCm: 0 };
    });
    const found = answer('measured-noise', { ...beam, bottom: 'sand', readings });
    return { off: (found['electricalFloorDb'] ?? 0) - floorDb, half: found['floorHalfInterval95Db'] ?? null };
  };

const deep = [0, 0.16, 0.32, 0.48, 0.7, 0.9];
export const boatScenarios: readonly Scenario[] = [
  { name: 'battery, lead-acid, used to a tenth', find: battery('lead-acid', deep), shares: 'the curve of its kind' },
  {
    name: 'battery, iron phosphate, used to a twentieth',
    find: battery('lithium', [0, 0.3, 0.6, 0.75, 0.85, 0.95]),
    shares: 'the curve of its kind',
  },
  {
    name: 'battery, iron phosphate, never under a third',
    find: battery('lithium', [0, 0.1, 0.2, 0.3, 0.4, 0.5]),
    none: 'its voltage tells nothing between 80 and 30 %: a discharge test is asked for',
  },
  ...[3, 5].map((count): Scenario => ({
    name: `own noise, ${count} times at rest`,
    find: noise(count),
    shares: 'its strength',
  })),
];
