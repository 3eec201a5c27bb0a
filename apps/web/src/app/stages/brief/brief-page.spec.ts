import { newPlan } from '@grey-keel/core';
import { planFeature } from '../../state/plan.reducer.ts';
import { aPlan } from '../../testing/plans.ts';
import { stageHarness } from '../../testing/stage-harness.ts';
import { BriefPage } from './brief-page.ts';

describe('the brief', () => {
  const { store, plan, page, write, press, choose, text } = stageHarness();

  it('keeps each field as it is left, as one edit', async () => {
    const root = await page(BriefPage);
    await write(root, '#boat-length', '8.2');
    expect(plan().boat.lengthM).toBeCloseTo(8.2, 9);
    await write(root, '#boat-name', 'Other Hull');
    expect(plan().boat.name).toBe('Other Hull');
    await write(root, '#boat-name', '  ');
    expect([plan().boat.name, text(root, '#boat-name-problem')]).toEqual(['Other Hull', 'A name is needed.']);
    expect(store().selectSignal(planFeature.selectUnsent)().length).toBe(2);
  });

  it('adds and removes waters, stations and target species; a kind of water brings its salt', async () => {
    const root = await page(BriefPage);
    await press(root, '#add-water');
    await press(root, '#add-station');
    await press(root, '#add-sought');
    expect([
      Object.keys(plan().waters).length,
      Object.keys(plan().stations).length,
      Object.keys(plan().sought).length,
    ]).toEqual([2, 1, 1]);
    await choose(root, '#water-kind-pool', 'salt');
    expect(plan().waters['pool']?.salinityPpt).toBe(35);
    await press(root, '[aria-label="Delete water Testing Pool"]');
    expect(plan().waters['pool']).toBeUndefined();
    expect(plan().working.waterId).not.toBe('pool');
    await press(root, '#ways gk-tick-field:nth-of-type(1) input');
    expect(plan().ways.running).toBeUndefined();
  });

  it('lists what is assumed of a new boat, each confirmed or changed by itself, the rest at once', async () => {
    const root = await page(BriefPage, newPlan({ name: 'Gull', template: 'open boat, one outboard' }));
    expect(text(root, 'gk-assumed-list')).toContain('Length 5.50 m');
    expect(text(root, 'gk-assumed-list')).toContain('no electric bow motor');
    expect(root.querySelectorAll('.is-assumed #boat-length').length).toBe(1);
    await write(root, '#boat-length', '5.8');
    await press(root, '[data-assumed="boat/beamM"]');
    for (const place of ['boat/lengthM', 'boat/beamM'])
      expect(root.querySelector(`[data-assumed="${place}"]`))
        .withContext(place)
        .toBeNull();
    expect(root.querySelectorAll('.is-assumed #boat-length').length).toBe(0);
    expect(plan().boat).toEqual(jasmine.objectContaining({ lengthM: 5.8, beamM: 2.1 }));
    await press(root, '#confirm-assumed');
    expect(plan().assumed).toBeUndefined();
    expect(root.querySelector('#assumed-title')).toBeNull();
  });

  it('takes notes over several lines', async () => {
    const root = await page(BriefPage);
    await press(root, 'gk-fold .p-accordionheader');
    const notes = root.querySelector<HTMLTextAreaElement>('#boat-notes')!;
    notes.value = 'Trailer bunks rub the fan.\nAsk before drilling.';
    notes.dispatchEvent(new Event('input'));
    notes.dispatchEvent(new Event('blur'));
    expect(plan().boat.notes).toBe('Trailer bunks rub the fan.\nAsk before drilling.');
    await write(root, '#boat-owner', 'The owner');
    expect(plan().boat.owner).toBe('The owner');
  });

  it('warns of a cored hull at the place', async () => {
    const start = aPlan();
    const root = await page(BriefPage, { ...start, boat: { ...start.boat, hullMaterial: 'cored composite' } });
    expect(text(root, '.caution')).toContain('Cored hull');
  });
});
