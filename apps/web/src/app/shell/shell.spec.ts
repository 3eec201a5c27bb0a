import { TestBed } from '@angular/core/testing';
import type { Action } from '@ngrx/store';
import { ServerNews } from '../state/server-news.ts';
import { StuckPanel } from './stuck-panel.ts';
import { boatEvents, serverEvents } from '../state/plan.actions.ts';
import { needsOf } from '@grey-keel/core';
import { aTransducer } from '@grey-keel/core/testing';
import { aPlan } from '../testing/plans.ts';
import { stageHarness } from '../testing/stage-harness.ts';
import { FindingsColumn } from './findings-column.ts';
import { Ladder } from './ladder.ts';
import { NextStage } from './next-stage.ts';
import { removedInWords } from './removed-line.ts';
import { SavedState } from './saved-state.ts';
import { ToDoList } from '../shared/to-do-list.ts';
import { WorkingPanel } from './working-panel.ts';
import { BeamsPage } from '../stages/beams/beams-page.ts';

describe('the shell', () => {
  const { store, plan, page, press, text, settle } = stageHarness();

  it('names each stage by its own state, counts what is done, and says what comes next, with a legend', async () => {
    const root = await page(Ladder, aPlan(), { boatId: 'test-hull' });
    expect([...root.querySelectorAll('a')].map((one) => one.textContent.replace(/\s+/g, ' ').trim())).toEqual([
      '1 Brief, to do',
      '2 Beams, done',
      '3 Fit, to do',
      '4 Sources, to do',
      '5 Calibrate, to do',
      '7 Pages, to do',
      '8 Keys, to do',
      '10 Handover, to do',
    ]);
    expect(text(root, '#stages-done')).toBe('1 of 8 done');
    await press(root, '#stages-done');
    const legend = document.querySelector('.legend');
    expect(legend?.textContent).toContain('Next: Brief');
    expect([...(legend?.querySelectorAll('li') ?? [])].map((one) => one.textContent.trim())).toEqual([
      'done',
      'to do',
      'out of date',
      'stop',
    ]);
  });

  it('says what a stage still needs, leads to it, folds the rest, and goes on to the next that is not done', async () => {
    const root = await page(ToDoList, aPlan(), { items: needsOf(aPlan(), 'sources') });
    const words = (): string[] => [...root.querySelectorAll('button')].map((one) => one.textContent.trim());
    expect(words()[0]).toBe('choose the display of a station, on Brief');
    expect(text(root, '.needs')).toContain(`Still to do (${needsOf(aPlan(), 'sources').length})`);
    expect(words().at(-1)).toMatch(/^and \d+ more$/);
    await press(root, 'button:last-of-type');
    expect(words().length).toBe(needsOf(aPlan(), 'sources').length);
    const foot = await page(NextStage, aPlan(), { boatId: 'test-hull', stage: 'beams' });
    expect(text(foot, '#next-stage')).toBe('Next: Fit');
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

describe('what was taken away', () => {
  const back = (...path: string[]) => ({ op: 'add' as const, path, value: {} });

  it('is said with what went along with it, and nothing is said of any other step', () => {
    const station = [back('stations', 'helm'), back('displays', 'helm'), back('pages', 'a'), back('pages', 'b')];
    expect(removedInWords({ label: 'delete Helm', patches: station })).toBe('Deleted Helm, with 1 display, 2 pages.');
    expect(removedInWords({ label: 'remove a page', patches: [back('pages', 'a')] })).toBe('Removed a page.');
    expect(removedInWords({ label: 'a draught', patches: station })).toBeNull();
  });
});
