import { bundleVersion, planVersion } from '@grey-keel/model';
import { aPlan } from '../testing/sample-plan.ts';
import { readBundle } from './read-bundle.ts';

const bundle = (changes: object = {}): Record<string, unknown> => ({
  format: 'grey-keel-bundle',
  version: bundleVersion,
  exportedAt: '2031-05-02T10:00:00.000Z',
  plan: aPlan(),
  catalogue: [],
  ...changes,
});

describe('reading a bundle', () => {
  it('gives back the plan that was written', () => {
    const read = readBundle(JSON.parse(JSON.stringify(bundle())));
    expect(read.ok && read.bundle.plan).toEqual(aPlan());
  });

  it('says of anything else what it should be', () => {
    for (const raw of [null, 7, 'plan', [], {}, { format: 'other', version: 1 }, bundle({ version: 0 })]) {
      const read = readBundle(raw);
      expect(read.ok).toBeFalse();
      expect(!read.ok && read.detail).toContain('grey-keel-bundle');
    }
  });

  it('names the version of a newer one, and what to do', () => {
    const read = readBundle(bundle({ version: bundleVersion + 1 }));
    expect(!read.ok && read.errors[0]?.field).toBe('version');
    expect(!read.ok && read.detail).toContain('newer Grey Keel');
    const plan = readBundle(bundle({ plan: { ...aPlan(), version: planVersion + 1 } }));
    expect(!plan.ok && plan.errors[0]?.field).toBe('plan.version');
  });

  it('names the field that is wrong, and takes nothing of the rest', () => {
    const { boat } = aPlan();
    const read = readBundle(bundle({ plan: { ...aPlan(), boat: { ...boat, draughtM: -3 } } }));
    expect(read.ok).toBeFalse();
    expect(!read.ok && read.errors.map(({ field }) => field)).toEqual(['plan.boat.draughtM']);
    expect(!read.ok && read.detail).toContain('draughtM');
  });
});
