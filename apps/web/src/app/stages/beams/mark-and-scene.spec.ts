import type { Plan } from '@grey-keel/model';
import { aTransducer } from '@grey-keel/core/testing';
import { aPlan } from '../../testing/plans.ts';
import { stageHarness } from '../../testing/stage-harness.ts';
import { MarkView } from './mark-view.ts';
import { SceneView } from './scene-view.ts';

const beams = (deg: number) => aTransducer().beams.map((beam) => ({ ...beam, beamwidthDeg: deg, levelDb: -3 }));
const boat = (): Plan => ({
  ...aPlan(),
  transducers: {
    narrow: aTransducer({ name: 'Narrow', kind: 'sounder', forwardM: 0, starboardM: 0, beams: beams(9) }),
    wide: aTransducer({ name: 'Wide', kind: 'sounder', forwardM: 0, starboardM: 0, beams: beams(24) }),
  },
});
const live = aTransducer({
  name: 'Ahead',
  kind: 'forward-facing',
  forwardM: 6,
  beams: beams(90).map((beam) => ({ ...beam, alongDeg: 20 })),
});

describe('where a mark is', () => {
  const { page, choose, text, write } = stageHarness();

  it('opens with nothing said, knows a ring’s distance and no direction, and follows what is said', async () => {
    const root = await page(MarkView, boat());
    expect(text(root, '[role="status"]')).toContain('at least one beam');
    await choose(root, '#shows-wide', 'strong');
    expect(text(root, '[role="status"]')).toContain('right below Narrow');
    await choose(root, '#shows-narrow', 'none');
    expect(text(root, '[role="status"]')).toContain('Direction unknown');
    expect(text(root, '[role="status"]')).not.toContain('towards');
    await write(root, '#mark-depth', '30');
    // The cone of 9° from a face near the surface over 30 m is some 2.3 m in radius.
    const metres = Number.parseFloat(text(root, 'p.move gk-number'));
    expect(metres).toBeGreaterThan(2.1);
    expect(metres).toBeLessThan(2.4);
    expect(text(root, '[role="status"]')).toContain('boat lengths');
    await choose(root, '#shows-narrow', 'strong');
    expect(text(root, '[role="status"]')).toContain('right below Narrow');
    await choose(root, '#shows-wide', 'none');
    expect(text(root, '.lost')).toContain('No place fits');
    await choose(root, '#shows-wide', 'not asked');
    expect(root.querySelector('.cone.quiet')).not.toBeNull();
    await choose(root, '#shows-narrow', 'not asked');
    expect(text(root, '[role="status"]')).toContain('at least one beam');
  });

  it('is not asked of a boat without a sounder', async () => {
    const root = await page(MarkView, { ...boat(), transducers: {} });
    expect(root.textContent).toContain('no sounder');
  });
});

describe('what looks ahead', () => {
  const { plan, page, press, choose, write, key, text } = stageHarness();

  it('is turned and tilted as edits of their own, and a fish ahead moves by the arrows', async () => {
    const root = await page(SceneView, { ...boat(), transducers: { ...boat().transducers, live } });
    document.body.append(root);
    await choose(root, '#forward-mode', 'flat');
    expect(plan().scene.forward?.mode).toBe('flat');
    expect(text(root, 'gk-forward-section')).toContain('turned a quarter');
    await write(root, '#forward-range', '100');
    await write(root, '#forward-tilt', '20');
    expect(plan().scene.forward?.tiltDeg).toBe(20);
    expect(text(root, 'gk-forward-section')).toContain('Blind below');
    await press(root, 'gk-forward-section .p-button');
    const [placed] = Object.values(plan().fish);
    expect(placed?.forwardM).toBeGreaterThan(boat().boat.lengthM ?? 0);
    expect(text(root, 'gk-fans-table')).toContain('Ahead');
    await key(root, 'gk-forward-section .fish', 'ArrowRight');
    expect(Object.values(plan().fish)[0]?.forwardM).toBeCloseTo((placed?.forwardM ?? 0) + 0.1, 9);
    root.remove();
  });

  it('smears what it turns past, where it is a sector', async () => {
    const sector = { ...live, kind: 'sector' as const, beams: beams(12) };
    const root = await page(SceneView, { ...boat(), transducers: { sector } });
    expect(text(root, 'gk-forward-section')).toContain('One sweep takes');
    expect(root.querySelector('#forward-mode')).toBeNull();
    const smear = (): number => Number.parseFloat(text(root, '[aria-label^="Smear at the range"]'));
    const before = smear();
    await write(root, '#forward-turn', '12');
    expect(smear()).toBeCloseTo(2 * before, 0);
  });
});
