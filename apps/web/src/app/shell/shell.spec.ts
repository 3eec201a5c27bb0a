import { TestBed } from '@angular/core/testing';
import type { Action } from '@ngrx/store';
import { ServerNews } from '../state/server-news.ts';
import { StuckPanel } from './stuck-panel.ts';
import { boatEvents, serverEvents } from '../state/plan.actions.ts';
import { aTransducer } from '@grey-keel/core/testing';
import { aPlan } from '../testing/plans.ts';
import { stageHarness } from '../testing/stage-harness.ts';
import { FindingsColumn } from './findings-column.ts';
import { Ladder } from './ladder.ts';
import { SavedState } from './saved-state.ts';
import { WorkingPanel } from './working-panel.ts';
import { BeamsPage } from '../stages/beams/beams-page.ts';

describe('the shell', () => {
  const { store, plan, page, press, text, settle } = stageHarness();

  it('puts the waterline above the first stage that is not fresh, and names each state', async () => {
    const root = await page(Ladder, aPlan(), { boatId: 'test-hull' });
    expect([...root.querySelectorAll('a')].map((one) => one.textContent.replace(/\s+/g, ' ').trim())).toEqual([
      '1 Brief, missing',
      '2 Beams, fresh',
      '3 Fit, missing',
      '4 Sources, missing',
      '5 Calibrate, missing',
      '7 Pages, missing',
      '8 Keys, missing',
      '10 Handover, missing',
    ]);
    expect(root.querySelector('.waterline')?.nextElementSibling?.textContent).toContain('Brief');
    expect(root.querySelectorAll('a.under').length).toBe(8);
  });

  it('lists findings of the stage first, counts them, and carries out a fix that is safe', async () => {
    const start = { ...aPlan(), transducers: { 'a-wide': aTransducer({ transmitsIn: { trailer: true } }) } };
    const root = await page(FindingsColumn, start, { boatId: 'test-hull', stage: 'beams' });
    expect(text(root, '[role="status"]')).toBe('1 stop 3 check');
    expect(root.querySelector('gk-finding article')?.getAttribute('data-finding')).toBe('transmits-on-trailer:a-wide');
    await press(root, 'gk-finding .fix');
    expect(plan().transducers['a-wide']?.transmitsIn.trailer).toBeUndefined();
    expect(text(root, '.quiet')).toContain('No findings on this stage');
    await press(root, 'header button');
    expect(root.querySelectorAll('gk-finding').length).toBe(0);
  });

  it('says saved, saving, how much waits and why, that it is behind, or that the boat is gone', async () => {
    const root = await page(SavedState);
    const says = async (event?: Action): Promise<string> => {
      if (event) store().dispatch(event);
      await settle();
      return text(root, 'span');
    };
    const news = (number: number, removed = false) =>
      serverEvents.newsHeard({ news: { boatId: 'test-hull', number, revisionId: null, removed } });
    expect(await says()).toMatch(/^saved \d\d:\d\d$/);
    expect(await says(news(5))).toBe('fetching newer changes');
    expect(await says(news(5, true))).toBe('this boat was deleted elsewhere');
    const edit = {
      revisionId: crypto.randomUUID(),
      label: 'x',
      edits: [{ type: 'workAtDepth' as const, depthM: 9 }],
    };
    await says(news(4));
    expect(await says(boatEvents.edited(edit))).toBe('saving');
    const failed = (status: number) => serverEvents.sendingFailed({ problem: { status, detail: 'none', body: null } });
    expect(await says(failed(0))).toContain('1 unsent, held here: no server');
    expect(await says(failed(507))).toContain('the disk of the server is full');
    expect(await says(serverEvents.revisionRefused({ revisionId: edit.revisionId, detail: 'no' }))).toContain(
      '1 not saved',
    );
    TestBed.inject(ServerNews).linked.next(false);
    expect(await says()).toContain('no server; nothing waits here');
  });

  it('lists what cannot be saved with its reason, and deletes it', async () => {
    const root = await page(StuckPanel);
    expect(root.querySelector('section')).toBeNull();
    const revisionId = crypto.randomUUID();
    store().dispatch(
      boatEvents.edited({ revisionId, label: 'x', edits: [{ type: 'describeBoat', changes: { lengthM: 8 } }] }),
    );
    store().dispatch(serverEvents.revisionRefused({ revisionId, detail: 'The length is too much.' }));
    await settle();
    expect(text(root, 'li')).toContain('Test Hull, length');
    expect(text(root, 'li')).toContain('The length is too much.');
    await press(root, 'li p-button:last-of-type button');
    expect(root.querySelector('section')).toBeNull();
  });

  it('shows the working of a number and gives the focus back when it is shut', async () => {
    const beams = await page(BeamsPage);
    const panel = await page(WorkingPanel);
    document.body.append(beams);
    const number = beams.querySelector<HTMLElement>('.move button');
    number?.focus();
    number?.click();
    await settle();
    expect(text(panel, '.formula')).toContain('A =');
    expect(text(panel, '.p-drawer')).toContain('max(d * tan(N / 2), a - d * tan(W / 2))');
    await press(panel, '.p-drawer-header button');
    expect(panel.querySelector('.step')).toBeNull();
    expect(document.activeElement).toBe(number);
    beams.remove();
  });
});
