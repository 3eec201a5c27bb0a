import * as z from 'zod';
import { emptyPlan, planShape, type Plan } from '../plan/plan.ts';
import { forAnotherBoat, ofOneBoat } from './of-one-boat.ts';

const at = '2026-05-01T10:00:00Z';

describe('forAnotherBoat', () => {
  it('finds what is declared within what may be left out or be null', () => {
    const schema = z.strictObject({
      hours: z.number().register(ofOneBoat, {}).nullable().optional(),
      left: z.number().register(ofOneBoat, { begins: 1 }).optional(),
      kept: z.number().optional(),
    });
    expect(forAnotherBoat(schema, { hours: 3, left: 0.4, kept: 2 })).toEqual({ left: 1, kept: 2 });
  });

  it('leaves out what was measured, entered, printed and told of one boat, and keeps its gear and its names', () => {
    const bare = emptyPlan('Grey Gull');
    const source = { name: 'Wide', tag: 'T 1', temperature: 'none', appearsAfterS: 4 } as const;
    const plan: Plan = {
      ...bare,
      practice: true,
      boat: { ...bare.boat, owner: 'Somebody', draughtM: 0.5 },
      restorePoints: { before: { name: 'Before', number: 1, at } },
      photographs: {},
      depthOffsets: { wide: {} as Plan['depthOffsets'][string] },
      calibrations: { ...bare.calibrations, heading: { compass: {} as Plan['calibrations']['heading'][string] } },
      cards: { first: { at, fingerprint: 'a'.repeat(64) } },
      sources: { wide: source },
      held: { helm: { north: { helm: { asFound: { value: 'true', at, by: null }, asLeft: null } } } },
      resets: { helm: { first: { at, by: null, why: 'update' } } },
      chosen: { boat: { north: 'true' }, devices: { helm: { 'shallow-alarm': { helm: 2 } } } },
      feeds: { helm: { depth: { sourceId: 'wide', fallbackId: null } } },
    };
    expect(forAnotherBoat(planShape, plan) as Plan).toEqual({
      ...bare,
      boat: { ...bare.boat, draughtM: 0.5 },
      sources: { wide: { ...source, tag: '' } },
      feeds: plan.feeds,
      chosen: { boat: { north: 'true' }, devices: {} },
    });
  });
});
