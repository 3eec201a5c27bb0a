import { alarmsHeld, heldBy, heldLine, sidesHeld, typeHeld } from '@grey-keel/core';
import { aDisplay, fitted } from '@grey-keel/core/testing';
import { withFit } from '../../testing/plans.ts';
import { stageHarness } from '../../testing/stage-harness.ts';
import { SourcesPage } from './sources-page.ts';

describe('the sources', () => {
  const { page, plan, press, choose, write, text } = stageHarness();

  it('take a tag, select what it says, and a name by the rule', async () => {
    const root = await page(SourcesPage, withFit());
    await write(root, '#source-tag-a-wide', 'Wide 190');
    await press(root, '#as-on-tag-a-wide');
    expect(typeHeld(plan(), 'a-wide')).toBe('Wide 190');
    await press(root, '#name-by-rule-a-wide');
    expect(plan().sources['a-wide']?.name).toBe('Hull port 190 sounder');
    await write(root, '#source-after-a-wide', '90');
    expect(text(root, '[aria-labelledby="on-title"] strong')).toBe('90 s');
  });

  it('are named all at once, and the button is gone with what it is for', async () => {
    const root = await page(SourcesPage, withFit());
    await press(root, '#name-all');
    expect(Object.values(plan().sources).filter(({ name }) => name !== '').length).toBeGreaterThan(2);
    expect(root.querySelector('#name-all')).toBeNull();
  });

  it('fill what is empty with the best, leave what stands, and mark what measures something else', async () => {
    const start = withFit();
    const ahead = {
      ...start.transducers['b-narrow']!,
      name: 'Ahead',
      kind: 'forward-facing' as const,
      mounting: 'pole' as const,
    };
    const root = await page(SourcesPage, { ...start, transducers: { ...start.transducers, 'c-ahead': ahead } });
    await choose(root, '#feed-helm-depth', 'c-ahead');
    expect(root.querySelector('td.poor')?.textContent).toContain('looks ahead');
    await press(root, '#feed-best');
    expect(plan().feeds['helm']?.depth?.sourceId).toBe('c-ahead');
    expect(plan().feeds['helm']?.position).toEqual({ sourceId: 'antenna', fallbackId: null });
    await choose(root, '#feed-helm-depth', 'a-wide');
    await choose(root, '#fallback-helm-depth', 'b-narrow');
    expect(plan().feeds['helm']?.depth).toEqual({ sourceId: 'a-wide', fallbackId: 'b-narrow' });
    expect(root.querySelector('td.poor')).toBeNull();
    await choose(root, '#feed-helm-depth', '');
    expect(plan().feeds['helm']?.depth).toBeUndefined();
  });

  it('show what travels: a knob turned here turns there, where both displays pass it on', async () => {
    const start = withFit();
    const station = { name: 'Bow', viewingDistanceM: 1, posture: 'standing' as const };
    const root = await page(SourcesPage, {
      ...start,
      stations: { ...start.stations, bow: station },
      displays: { helm: { ...aDisplay(), travels: ['units', 'alarms'] }, bow: { ...aDisplay(), travels: ['units'] } },
    });
    await choose(root, '#knob-setting', 'units');
    await press(root, '#knob-up-helm');
    expect(root.querySelectorAll('.screen.changed').length).toBe(2);
    expect(text(root, 'gk-travel-view [role="status"]')).toBe('Helm was turned; Bow followed.');
    await choose(root, '#knob-setting', 'alarms');
    await press(root, '#knob-down-helm');
    expect([...root.querySelectorAll('.screen strong')].map((one) => one.textContent).sort()).toEqual(['4', '5']);
    expect(text(root, 'gk-travel-view [role="status"]')).toContain('no other display changed');
  });

  it('keep what each display has set, and what has been ticked off', async () => {
    const start = withFit();
    const aside = { ...start.transducers['b-narrow']!, kind: 'side-scan' as const };
    const root = await page(SourcesPage, { ...start, transducers: { ...start.transducers, 'c-sides': aside } });
    await choose(root, '#unit-water-helm', 'salt');
    await choose(root, '#unit-north-helm', 'true');
    await choose(root, '#unit-sides-helm', 'swapped');
    root.querySelector<HTMLInputElement>('gk-fold input')?.click();
    expect([heldBy(plan(), 'helm', 'sound'), heldBy(plan(), 'helm', 'north'), sidesHeld(plan(), 'helm')]).toEqual([
      { waterType: 'salt' },
      'true',
      'swapped',
    ]);
    expect(heldBy(plan(), 'helm', 'nuisance-alarms')).toBe('off');
    await choose(root, '#unit-north-helm', '');
    expect(heldLine(plan(), 'helm', 'north')).toBeNull();
  });

  it('say from where on an alarm is worth having, and keep the figure it is set to', async () => {
    const start = withFit();
    const root = await page(SourcesPage, { ...start, power: fitted(start).power });
    // Four cells of iron phosphate with a fifth left rest at 12.9 V.
    expect(text(root, '#alarm-voltage-helm-least')).toBe('12.9 V');
    await write(root, '#alarm-voltage-helm', '11');
    await write(root, '#alarm-shallow-helm', '1.5');
    expect(alarmsHeld(plan(), 'helm')).toEqual({ shallowM: 1.5, lowVoltageV: 11 });
    await write(root, '#alarm-shallow-helm', '');
    expect(alarmsHeld(plan(), 'helm').shallowM).toBeNull();
  });
});
