import { findings } from '../job/findings.ts';
import { aBeam, aPlan, aTransducer } from '../testing/sample-plan.ts';
import { speedTable } from './speed-table.ts';

const fast = { ...aPlan().boat, cruiseSpeedMps: 12, topSpeedMps: 22 };
const withOne = (mounting: 'transom' | 'through-hull', changes = {}) => ({
  ...aPlan(),
  boat: fast,
  ways: { running: true as const },
  transducers: { one: aTransducer({ mounting }) },
  ...changes,
});

describe('the speed table', () => {
  it('runs one ping apart at each speed, and covers the bottom again by what is left', () => {
    const [row] = speedTable(withOne('transom')) ?? [];
    const cruise = row?.paces.find(({ pace }) => pace === 'cruise');
    // Two ways of 32 m at 1443.6 m/s take 44.3 ms: at 12 m/s that is 0.53 m, of a footprint of 2 x 32 x tan 12°.
    expect(cruise?.spacingM).toBeCloseTo(0.532, 2);
    expect(cruise?.overlap).toBeCloseTo(1 - 0.532 / 13.604, 3);
    expect(row?.paces.map(({ pace }) => pace)).toEqual(['idle', 'cruise', 'top']);
  });

  it('never hears the bottom better at more speed', () => {
    for (const mounting of ['transom', 'through-hull'] as const) {
      const levels = (speedTable(withOne(mounting)) ?? []).flatMap(({ paces }) => paces.map((one) => one.bottomSnrDb));
      expect([...levels].sort((a, b) => b - a)).toEqual(levels);
    }
  });

  it('makes a finding where the brief runs on plane and nothing reads the bottom there', () => {
    const found = (plan: ReturnType<typeof aPlan>) =>
      findings(plan).filter(({ id }) => id.startsWith('bottom-on-plane'));
    expect(found(withOne('transom')).map(({ id }) => id)).toEqual(['bottom-on-plane:top']);
    expect(found(withOne('through-hull'))).toEqual([]);
    expect(found(withOne('transom', { ways: { trolling: true } }))).toEqual([]);
    expect(found(withOne('transom', { boat: { ...fast, topSpeedMps: 13 } }))).toEqual([]);
  });

  it('waits for the water', () => {
    expect(speedTable(withOne('transom', { working: { waterId: null, depthM: 32 } }))).toBeNull();
  });
});

describe('a sheet that cannot be', () => {
  const found = (sourceLevelDb: number) =>
    findings({
      ...aPlan(),
      transducers: { one: aTransducer({ electricalPowerW: 600, beams: [aBeam({ sourceLevelDb })] }) },
    }).filter(({ id }) => id.startsWith('sheet-efficiency'));

  it('is found where sound would come out of nothing, and one that nearly does is left alone', () => {
    // 600 W through a cone of 24°, whose directivity is 17.8 dB: 170.8 + 27.8 + 17.8 = 216.4 dB at most.
    expect(found(217).length).toBe(1);
    expect(found(217)[0]?.figure.value).toBeGreaterThan(1);
    expect(found(216)).toEqual([]);
  });
});
