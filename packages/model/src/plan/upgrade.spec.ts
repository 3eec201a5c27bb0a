import { bundleSchema } from '../exchange/bundle.ts';
import { editSchema } from '../edits/edit.ts';
import { emptyPlan, planSchema, planVersion } from './plan.ts';
import { UnreadablePlan, upgradePlan, type Upgrade } from './upgrade.ts';

const old = { format: 'grey-keel-plan', version: 1, boat: { title: 'Old' } };
const steps: Record<number, Upgrade> = {
  1: (plan) => ({ ...plan, boat: { name: (plan['boat'] as { title: string }).title } }),
  2: (plan) => ({ ...plan, stations: {} }),
};

describe('upgradePlan', () => {
  it('brings a plan up one version at a time, and leaves the newest alone', () => {
    expect(upgradePlan(old, steps, 3)).toEqual({
      format: 'grey-keel-plan',
      version: 3,
      boat: { name: 'Old' },
      stations: {},
    });
    expect(upgradePlan(old, steps, 2)).toEqual({ format: 'grey-keel-plan', version: 2, boat: { name: 'Old' } });
    const plan = emptyPlan('New');
    expect(upgradePlan(plan)).toEqual(plan);
  });

  it('refuses what is newer, what is no plan, and a gap between versions', () => {
    expect(() => upgradePlan({ ...old, version: 4 }, steps, 3)).toThrowError(
      UnreadablePlan,
      /version 4; this program reads up to version 3/,
    );
    for (const raw of [null, 'plan', {}, { ...old, format: 'other' }, { ...old, version: '1' }])
      expect(() => upgradePlan(raw)).toThrowError(UnreadablePlan);
    expect(() => upgradePlan({ ...old, version: 2 }, { 1: (plan) => plan }, 3)).toThrowError(
      UnreadablePlan,
      /no upgrade from plan version 2/,
    );
  });
});

describe('the plan', () => {
  it('of every earlier version is brought to one that its schema takes', () => {
    const without = (plan: object, ...keys: string[]): object =>
      Object.fromEntries(Object.entries(plan).filter(([key]) => !keys.includes(key)));
    const now = emptyPlan('Older');
    const fifth = without(now, 'loadings');
    const third = without(fifth, 'equipment', 'power', 'network', 'sources', 'feeds', 'units');
    const second = without(third, 'advice', 'scene', 'fish');
    const { speed, temperature, heading, deviation } = now.calibrations;
    const eighth = { ...now, calibrations: { speed, temperature, heading, deviation } };
    const first = without(second, 'displays', 'pages', 'keys');
    for (const [version, plan] of [first, second, third, fifth, fifth, now, now, eighth, now, now, now].map(
      (plan, i) => [i + 1, plan] as const,
    ))
      expect(planSchema.parse(upgradePlan({ ...plan, version })))
        .withContext(`version ${version}`)
        .toEqual(now);
    expect(planVersion).toBe(13);
  });

  it('of version 10 has the one ground of a species among its grounds', () => {
    const species = { name: 'Char', lengthCm: 45, shallowestM: 8, deepestM: 20 };
    const older = { ...emptyPlan('Older'), version: 10, sought: { a: { ...species, over: 'ledges' } } };
    expect(planSchema.parse(upgradePlan(older)).sought).toEqual({ a: { ...species, over: ['ledges'] } });
  });

  it('of version 11 has the propellers that stand as they were guessed lowered, and leaves others alone', () => {
    const hub = (changes: object) => ({
      name: 'Blades',
      kind: 'propeller',
      forwardM: -0.5,
      starboardM: 0,
      aboveKeelM: -0.05,
      propellerDiameterM: 0.34,
      ...changes,
    });
    const read = (propulsion: string, piece: object) => {
      const empty = emptyPlan('Older');
      const older = { ...empty, version: 11, boat: { ...empty.boat, propulsion }, equipment: { a: piece } };
      return planSchema.parse(upgradePlan(older)).equipment['a']?.aboveKeelM;
    };
    expect(read('single outboard', hub({}))).toBe(-0.21);
    expect(read('twin outboards', hub({ propellerDiameterM: 0.36 }))).toBe(-0.22);
    expect(read('sterndrive', hub({ forwardM: -0.4, aboveKeelM: -0.1, propellerDiameterM: 0.38 }))).toBe(-0.23);
    expect(read('electric', hub({ forwardM: -0.3, propellerDiameterM: 0.28 }))).toBe(-0.18);
    for (const moved of [
      { aboveKeelM: -0.06 },
      { forwardM: -0.6 },
      { propellerDiameterM: 0.35 },
      { kind: 'bow motor' },
    ])
      expect(read('single outboard', hub(moved))).toBe(hub(moved).aboveKeelM);
    expect(read('inboard shaft', hub({}))).toBe(-0.05);
  });

  it('of version 4 is read as it stands, a socket by its plug alone', () => {
    const plan = emptyPlan('Older');
    const older = {
      ...plan,
      version: 4,
      network: { ...plan.network, devices: { helm: { sockets: ['round S'], onBackbone: true, dropM: 1, loads: 1 } } },
    };
    const read = planSchema.parse(upgradePlan(older));
    expect(read).toEqual({ ...read, version: planVersion, network: older.network });
  });

  it('of a boat of which only the name is known obeys its schema', () => {
    expect(planSchema.parse(emptyPlan('New'))).toEqual(emptyPlan('New'));
  });

  it('has no room for fields it does not know, at any depth', () => {
    const plan = emptyPlan('New');
    expect(planSchema.safeParse({ ...plan, extra: 1 }).success).toBeFalse();
    expect(planSchema.safeParse({ ...plan, boat: { ...plan.boat, extra: 1 } }).success).toBeFalse();
    expect(
      bundleSchema.safeParse({
        format: 'grey-keel-bundle',
        version: 1,
        exportedAt: '2026-05-01T09:00:00Z',
        plan,
        catalogue: [],
        extra: 1,
      }).success,
    ).toBeFalse();
  });

  it('takes no ids that would reach into an object\u2019s own workings', () => {
    for (const key of [...Object.getOwnPropertyNames(Object.prototype), 'prototype', 'length'])
      expect(
        editSchema.safeParse({ type: 'restore', patches: [{ op: 'add', path: ['waters', key, 'x'], value: 1 }] })
          .success,
      )
        .withContext(key)
        .toBeFalse();
    expect(
      editSchema.safeParse({ type: 'restore', patches: [{ op: 'add', path: ['waters', 'pool'], value: {} }] }).success,
    ).toBeTrue();
    expect(editSchema.safeParse({ type: 'sinkBoat' }).success).toBeFalse();
  });
});
