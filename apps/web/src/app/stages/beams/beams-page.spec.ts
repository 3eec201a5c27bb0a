import { emptyPlan } from '@grey-keel/model';
import { viewEvents } from '../../state/view.ts';
import { stageHarness } from '../../testing/stage-harness.ts';
import { BeamsPage } from './beams-page.ts';

describe('the beams', () => {
  const { store, plan, page, write, press, choose, text, settle } = stageHarness();

  it('shows each cone with its footprint, the ring and how far to move, in the units chosen', async () => {
    const root = await page(BeamsPage);
    expect(root.querySelectorAll('gk-section-view .beam').length).toBe(4);
    expect(root.querySelectorAll('gk-section-view .footprint').length).toBe(2);
    expect(text(root, '[data-transducer="a-wide"]')).toContain('24.0°');
    expect(text(root, '.move')).toMatch(/^move 2\.5 m to \d+\.\d m$/);
    store().dispatch(viewEvents.unitsChosen({ units: 'feet' }));
    await settle();
    expect(text(root, '.move')).toMatch(/^move 8\.2 ft to/);
    expect(text(root, '.onflag')).toBe('105.0 ft');
  });

  it('moves the bottom by the arrows, ten times as far with Shift, and never out of its bounds', async () => {
    const root = await page(BeamsPage);
    const slider = root.querySelector('[role="slider"]');
    const key = async (name: string, shiftKey = false): Promise<void> => {
      slider?.dispatchEvent(new KeyboardEvent('keydown', { key: name, shiftKey, cancelable: true }));
      await settle();
    };
    await key('ArrowDown');
    expect(plan().working.depthM).toBeCloseTo(32.5, 9);
    await key('ArrowUp', true);
    expect(plan().working.depthM).toBeCloseTo(27.5, 9);
    for (let i = 0; i < 8; i++) await key('ArrowUp', true);
    expect(plan().working.depthM).toBe(0.5);
    expect(slider?.getAttribute('aria-valuetext')).toContain('0.5');
  });

  it('draws what is silent in a way of working faintly', async () => {
    const root = await page(BeamsPage);
    expect(root.querySelectorAll('.silent').length).toBe(0);
    store().dispatch(viewEvents.wayChosen({ way: 'trolling' }));
    await settle();
    expect(root.querySelectorAll('.beam.silent').length).toBe(2);
  });

  it('asks for the level of a cone from a sheet before it is placed, and draws it at -3 dB', async () => {
    const root = await page(BeamsPage);
    await write(root, '#sheet-name', 'By hand');
    await write(root, '#sheet-frequency', '190');
    await write(root, '#sheet-beamwidth', '28');
    root.querySelector('gk-sheet-form form')?.dispatchEvent(new Event('submit', { cancelable: true }));
    await settle();
    expect(text(root, 'gk-sheet-form .problem')).toContain('at which level');
    await choose(root, '#sheet-level', '-10');
    root.querySelector('gk-sheet-form form')?.dispatchEvent(new Event('submit', { cancelable: true }));
    await settle();
    const placed = Object.values(plan().transducers).find(({ name }) => name === 'By hand');
    expect(placed?.beams[0]?.levelDb).toBe(-10);
    expect(text(root, '.labels, gk-section-view')).toContain('16.4° at -3 dB');
  });

  it('changes a transducer in place and takes it off', async () => {
    const root = await page(BeamsPage);
    await press(root, '[data-transducer="a-wide"] button[aria-expanded]');
    await write(root, '#transducer-above-keel-a-wide', '0.25');
    expect(plan().transducers['a-wide']?.aboveKeelM).toBeCloseTo(0.25, 9);
    await write(root, '#beam-width-a-wide-0', '400');
    expect(text(root, '#beam-width-a-wide-0-problem')).toContain('0.1 to 170°');
    await press(root, 'gk-transducer-editor .p-button-danger');
    expect(plan().transducers['a-wide']).toBeUndefined();
    expect(root.querySelector('gk-transducer-editor')).toBeNull();
  });

  it('says what is missing where there is no water and no transducer', async () => {
    const root = await page(BeamsPage, emptyPlan('Bare'));
    // It opens on the advice while nothing is chosen.
    expect(text(root, '[aria-selected=true]')).toBe('advice');
    await press(root, '[data-tab=section]');
    expect(text(root, '#absorption-chart')).toContain('water is not described');
    expect(text(root, 'section[aria-labelledby="chosen-title"]')).toContain('None yet');
  });
});
