import { enteredResult, heldBy, setUpIn } from '@grey-keel/core';
import { edited, enters } from '@grey-keel/core/testing';
import { emptyPlan } from '@grey-keel/model';
import { boatEvents } from '../../state/plan.actions.ts';
import { withFit, withHelm } from '../../testing/plans.ts';
import { stageHarness } from '../../testing/stage-harness.ts';
import { CalibratePage } from './calibrate-page.ts';

describe('the calibration', () => {
  const { store, plan, page, write, press, choose, text, settle } = stageHarness();
  const entered = () => enteredResult(plan(), 'depth', 'a-wide');
  const record = async (root: HTMLElement, lead: string, shown: string): Promise<void> => {
    const id = root.querySelector('tr[data-reading="new"] input')?.id ?? '';
    await write(root, `#${id}`, lead);
    await write(root, `#${id.replace('reading-', 'shown-')}`, shown);
  };

  it('records pairs as they are typed and works out the offset, its sign in words and what is aground', async () => {
    const root = await page(CalibratePage);
    expect(text(root, '#result')).toContain('No complete reading yet');
    await choose(root, '#reading-set-to-a-wide', 'fresh');
    await record(root, '5.2', '4.8');
    await record(root, '8.1', '7.7');
    await record(root, '12', '11.6');
    expect(Object.keys(plan().depthOffsets['a-wide']?.readings ?? {}).length).toBe(3);
    expect(text(root, '#result')).toContain('+0.40 m');
    expect(text(root, '#result')).toContain('The display will then show 0.40 m more than now: depth from the surface.');
    expect(text(root, '#result')).toContain('0.50 m on the display is aground');
    expect(text(root, '.verdict')).toContain('Within your tolerance');
    await press(root, '#enter-offset');
    expect(text(root, '#result')).toContain('The display will show what it shows now: depth from the surface.');
    await choose(root, '#offset-reference', 'keel');
    expect(text(root, '#result')).toContain('0.50 m less than now: depth below the keel');
  });

  it('names a slip, says that it is in the mean, and leaves it out on demand', async () => {
    const root = await page(CalibratePage);
    await choose(root, '#reading-set-to-a-wide', 'fresh');
    for (const [lead, shown] of [
      ['5.2', '4.8'],
      ['8.1', '7.7'],
      ['12', '11.6'],
      ['14', '13.6'],
      ['10', '8.2'],
    ] as const)
      await record(root, lead, shown);
    expect(text(root, '#result')).toContain('Reading 5 stands apart and is in this mean');
    await press(root, '[aria-label="Leave out reading 5"]');
    expect(text(root, '#result')).toContain('+0.40 m');
    expect(text(root, '#result')).not.toContain('stands apart');
    await press(root, '[aria-label="Delete reading 5"]');
    expect(Object.keys(plan().depthOffsets['a-wide']?.readings ?? {}).length).toBe(4);
  });

  it('asks for what is entered again once the display was reset: it is entered, or seen, anew', async () => {
    const root = await page(CalibratePage, withFit());
    await choose(root, '#reading-set-to-a-wide', 'fresh');
    for (const lead of ['5', '9', '12']) await record(root, lead, String(Number(lead) - 0.4));
    await press(root, '#enter-offset');
    const button = () => root.querySelector<HTMLButtonElement>('#enter-offset');
    const standing = () => root.querySelector('#result [data-standing]')?.getAttribute('data-standing');
    expect([button()?.disabled, standing()]).toEqual([true, 'entered']);
    const reset = { at: new Date(Date.now() + 60_000).toISOString(), by: null, why: 'reset' as const };
    store().dispatch(
      boatEvents.edited({
        revisionId: crypto.randomUUID(),
        label: 'x',
        edits: [{ type: 'resetDevice', deviceId: setUpIn(plan(), 'a-wide'), id: 'r', reset }],
      }),
    );
    await settle();
    expect([button()?.disabled, standing()]).toEqual([false, 'look again']);
  });

  it('remembers what was entered, and says what changed when it goes stale', async () => {
    const root = await page(CalibratePage);
    await choose(root, '#reading-set-to-a-wide', 'fresh');
    for (const lead of ['5', '9', '12']) await record(root, lead, String(Number(lead) - 0.4));
    await write(root, '#entered-by', 'Installer');
    await press(root, '#result .p-button');
    expect(text(root, '[data-calibration="depth-a-wide"]')).toContain('fresh');
    expect(text(root, '#result')).toContain('by Installer');
    await press(root, '#seen-again');
    expect(entered()?.by).toBe('Installer');
    expect(text(root, '#result')).toContain('Seen again after power off and on');
    expect(root.querySelector('#result [data-standing]')?.getAttribute('data-standing')).toBe('seen');
    store().dispatch(
      boatEvents.edited({
        revisionId: crypto.randomUUID(),
        label: 'x',
        edits: [{ type: 'describeTransducer', id: 'a-wide', changes: { aboveKeelM: 0.3 } }],
      }),
    );
    await settle();
    expect(text(root, '[data-calibration="depth-a-wide"]')).toContain('stale');
    expect(text(root, '#result')).toContain('Stale: the transducer or its place changed since');
  });

  it('warns where the display used another speed of sound', async () => {
    const root = await page(CalibratePage);
    await choose(root, '#reading-set-to-a-wide', 'own figure');
    await record(root, '5.2', '4.8');
    expect(text(root, '#result')).toContain('used 1500.0 m/s and is +3.9 % off in depth');
  });

  it('asks once what the display is set to, and shows both differences: 3.00 against 2.70 in fresh water', async () => {
    const root = await page(CalibratePage, withHelm());
    await record(root, '3', '2.7');
    expect(text(root, '#result')).toContain('Say what water the display was set to');
    await choose(root, '#reading-set-to-a-wide', 'fresh');
    // Sources learns it too, and both ways to subtract agree in the water the display is set to.
    expect(heldBy(plan(), 'helm', 'sound')).toEqual({ waterType: 'fresh' });
    const row = text(root, 'tr[data-reading]').match(/0\.30 m/g);
    expect(row?.length).toBe(2);
    await choose(root, '#reading-set-to-a-wide', 'salt');
    expect(heldBy(plan(), 'helm', 'sound')).toEqual({ waterType: 'fresh' });
    expect(text(root, 'tr[data-reading]')).toContain('0.30 m');
  });

  it('keeps the water and the setting with the first reading, so that neither changes under it', async () => {
    const root = await page(CalibratePage, edited(withHelm(), enters('helm', 'sound', { waterType: 'fresh' })));
    await record(root, '5', '4.6');
    expect(plan().depthOffsets['a-wide']).toEqual(
      jasmine.objectContaining({ displaySetTo: 'fresh', takenIn: { temperatureC: 9, salinityPpt: 0 } }),
    );
    await write(root, '#reading-temperature-a-wide', '20');
    expect(plan().depthOffsets['a-wide']?.takenIn?.temperatureC).toBe(20);
  });

  it('enters what is not sure enough only with a reason', async () => {
    const root = await page(CalibratePage);
    await choose(root, '#reading-set-to-a-wide', 'fresh');
    for (const [lead, shown] of [
      ['5', '4.6'],
      ['9', '8.2'],
      ['12', '11.9'],
    ] as const)
      await record(root, lead, shown);
    const button = (): HTMLButtonElement => root.querySelector<HTMLButtonElement>('#enter-offset')!;
    expect(text(root, '.doubts')).toContain('Not sure enough');
    expect(button().disabled).toBeTrue();
    await write(root, '#enter-reason', 'the swell would not lie down');
    expect(button().disabled).toBeFalse();
    await press(root, '#enter-offset');
    expect(entered()?.reason).toBe('the swell would not lie down');
  });

  it('enters what the display takes, its next step to the safe side', async () => {
    const root = await page(CalibratePage);
    await choose(root, '#reading-set-to-a-wide', 'fresh');
    for (const [lead, shown] of [
      ['5', '4.57'],
      ['9', '8.57'],
      ['12', '11.57'],
      ['15', '14.57'],
    ] as const)
      await record(root, lead, shown);
    expect(text(root, 'gk-enter-offset')).toContain('The display takes +0.40');
    if (root.querySelector('#enter-reason')) await write(root, '#enter-reason', 'pool and tape');
    await press(root, '#enter-offset');
    expect(entered()?.values).toEqual([0.4]);
  });

  it('offers the offset without the reading that stands apart beside the one with it, and leaves it out by a press', async () => {
    const root = await page(CalibratePage);
    await choose(root, '#reading-set-to-a-wide', 'fresh');
    for (const [lead, shown] of [
      ['5', '4.6'],
      ['7', '6.6'],
      ['9', '8.6'],
      ['11', '10.6'],
      ['13', '11.6'],
    ] as const)
      await record(root, lead, shown);
    expect(text(root, '#enter-without')).toContain('Leave reading 5 out: +0.40');
    expect(text(root, '#enter-offset')).toContain('+0.60 m, with it');
    await press(root, '#enter-without');
    expect(Object.values(plan().depthOffsets['a-wide']?.readings ?? {}).filter(({ leftOut }) => leftOut).length).toBe(
      1,
    );
    expect(text(root, '#enter-offset')).toContain('I have entered +0.40');
    expect(root.querySelector('#enter-without')).toBeNull();
  });

  it('leads back to Beams where there is nothing to calibrate', async () => {
    const root = await page(CalibratePage, emptyPlan('Bare'));
    expect(text(root, 'a')).toContain('Choose transducers');
  });
});
