import { enteredResult } from '@grey-keel/core';
import type { Equipment, Plan } from '@grey-keel/model';
import { aPlan } from '../../testing/plans.ts';
import { stageHarness } from '../../testing/stage-harness.ts';
import { CalibratePage } from './calibrate-page.ts';

const part = (name: string, kind: Equipment['kind']): Equipment => ({
  name,
  kind,
  forwardM: 2,
  starboardM: 0,
  aboveKeelM: 1,
  propellerDiameterM: null,
});
const aboard = (): Plan => ({
  ...aPlan(),
  equipment: { compass: part('Compass', 'heading sensor'), log: part('Log', 'speed and temperature sensor') },
});

describe('the procedures of speed, temperature and heading', () => {
  const { plan, page, write, press, choose, text } = stageHarness();
  const show = async (key: string): Promise<HTMLElement> => {
    const root = await page(CalibratePage, aboard());
    await press(root, `[data-calibration="${key}"]`);
    return root;
  };
  const record = async (root: HTMLElement, ...figures: string[]): Promise<void> => {
    const first = root.querySelector<HTMLInputElement>('tr[data-reading="new"] input');
    const id = first?.id.split('-').slice(1).join('-') ?? '';
    for (const [i, figure] of figures.entries()) {
      const column = [...root.querySelectorAll<HTMLInputElement>(`input[id$="-${id}"]`)][i];
      await write(root, `#${column?.id ?? ''}`, figure);
    }
  };

  it('take typed runs there and back, draw them, and say the offset with its sign before it is entered', async () => {
    const root = await show('heading-compass');
    expect(text(root, '#result')).toContain('No complete run yet');
    // 3 m/s north and south, a compass that shows 5° too much, a current of 1 m/s to the east: worked by hand.
    await record(root, '5', '6.15', '18.4');
    expect(text(root, '#result')).toContain('Run 1 has no run back yet');
    await record(root, '185', '6.15', '161.6');
    expect(text(root, '#result')).toContain('\u22125.0°');
    expect(text(root, '#result')).toContain('Pointing 90.0° true it shows 95.0° now, and 90.0° once this is entered.');
    expect(text(root, '#result')).toContain('nothing about its own uncertainty');
    expect(root.querySelectorAll('gk-runs-picture .tip').length).toBe(3);
    expect(text(root, 'gk-runs-picture svg')).toContain('current 1.9 kn');
    await write(root, '#entered-by', 'Installer');
    await press(root, '#enter-calibration');
    const entered = () => enteredResult(plan(), 'heading', 'compass');
    expect(entered()).toEqual(jasmine.objectContaining({ by: 'Installer', seenAgainAt: null }));
    expect(entered()?.values[0]).toBeCloseTo(-5, 0);
    expect(text(root, '[data-calibration="heading-compass"]')).toContain('fresh');
    await press(root, '#seen-again');
    expect(entered()?.seenAgainAt).not.toBeNull();
    expect(text(root, '#result')).toContain('Seen again after power off and on');
  });

  it('ask for the variation where the heading is shown from magnetic north', async () => {
    const root = await show('heading-compass');
    await record(root, '0', '6', '0');
    await record(root, '180', '6', '180');
    await choose(root, '#heading-north', 'magnetic');
    expect(text(root, '#result')).toContain('variation is missing');
    // Out at sea, where the model says 11° west or so; a figure of the chart goes before it.
    expect(text(root, 'gk-variation-here')).toContain('Give the position');
    await write(root, '#variation-latitude', '80');
    await write(root, '#variation-longitude', '0');
    expect(text(root, 'gk-variation-here')).toContain('valid to 2029-11-13');
    await press(root, '#take-variation');
    const taken = plan().calibrations.heading['compass'];
    // 1.3° east in 2025, growing by half a degree a year: the model's own test values.
    expect(taken?.variationDeg).toBeGreaterThan(1.2);
    expect(taken?.variationDeg).toBeLessThan(4);
    await write(root, '#heading-variation', '7');
    expect(text(root, '#result')).toContain('\u22127.0°');
  });

  it('leave out and delete a reading, and name one that stands apart', async () => {
    const root = await show('temperature-log');
    for (const shown of ['8.6', '8.5', '8.6', '8.6', '8.5', '7.1']) await record(root, '9', shown);
    expect(text(root, '#result')).toContain('stands apart is in it');
    await press(root, '[aria-label="Leave out reading 6"]');
    expect(text(root, '#result')).not.toContain('stands apart');
    expect(text(root, '#result')).toContain('+0.44');
    await press(root, '[aria-label="Delete reading 6"]');
    expect(Object.keys(plan().calibrations.temperature['log']?.readings ?? {}).length).toBe(5);
    expect(root.querySelectorAll('gk-residual-strip .dot').length).toBe(5);
  });

  it('are practised on a boat with hidden errors: more runs are taken, a figure entered, and both are scored', async () => {
    const root = await show('drill');
    await press(root, '#drill-start');
    expect(root.querySelectorAll('gk-hidden-error-view tbody tr').length).toBe(2);
    await press(root, '#drill-more');
    expect(root.querySelectorAll('gk-hidden-error-view tbody tr').length).toBe(4);
    // Four runs, and one in the words below.
    expect(root.querySelectorAll('gk-runs-picture .tip').length).toBe(5);
    await write(root, '#drill-entered', '5');
    await press(root, '#drill-score');
    expect(text(root, '.result')).toContain('The offset was');
    expect(root.querySelector<HTMLButtonElement>('#drill-more')?.disabled).toBeTrue();
    await press(root, '#drill-next');
    expect(text(root, '.question')).toContain('The log is off');
  });

  it('make a deviation card of a swing, and a factor of runs', async () => {
    const root = await show('deviation-compass');
    // Deviation 3° times the sine of the heading: by hand.
    for (const deg of [0, 45, 90, 135, 180, 225, 270, 315])
      await record(root, String(deg), String((deg + 3 * Math.sin((deg * Math.PI) / 180) + 360) % 360));
    expect(text(root, '#result .card')).toContain('90°+3.0°');
    expect(root.querySelectorAll('gk-deviation-picture .dot').length).toBe(8);
    await press(root, '[data-calibration="speed-log"]');
    await record(root, '5', '0', '6', '0');
    await record(root, '5', '180', '5', '180');
    expect(text(root, '#result')).toContain('110.0 %');
    expect(text(root, '#result')).toContain('takes the current for an error of the log');
  });
});
