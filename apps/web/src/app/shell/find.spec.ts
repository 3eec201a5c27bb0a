import { TestBed } from '@angular/core/testing';
import { Router } from '@angular/router';
import { at } from '@grey-keel/core';
import { stageNames } from '@grey-keel/model';
import { stageRegister } from '../stages/stages.ts';
import { selectUnitSet } from '../state/view.ts';
import { aPlan } from '../testing/plans.ts';
import { stageHarness } from '../testing/stage-harness.ts';
import { findEntries, findIn, type FindEntry } from './find-entries.ts';
import { FindPanel } from './find-panel.ts';
import { TermsDialog } from './terms-dialog.ts';

describe('what can be found', () => {
  const plan = {
    ...aPlan(),
    stations: { helm: { name: 'Helm', viewingDistanceM: 0.9, posture: 'standing' as const } },
  };
  const entries = findEntries(plan, 'test-hull', []);
  const names = (typed: string): string[] => findIn(entries, typed).map(({ name }) => name);

  it('holds the stages, the parts of the boat, settings and help', () => {
    expect(new Set(entries.map(({ kind }) => kind))).toEqual(
      new Set<FindEntry['kind']>([
        'stage',
        'transducer',
        'station',
        'water',
        'setting',
        'help',
        'field',
        'number',
        'term',
      ]),
    );
    expect(names('').length).toBe(10);
  });

  it('is found by parts of its words, by its kind, and the ones that begin so come first', () => {
    expect(names('narr')[0]).toBe('Narrow 95');
    expect(names('transducer')).toEqual(jasmine.arrayContaining(['Wide 190', 'Narrow 95']));
    // The thing itself, then what is asked and calibrated of it.
    expect(names('wide 190')).toEqual([
      'Wide 190',
      'Socket of Wide 190',
      'Tag and type of Wide 190',
      'Own noise, Wide 190',
    ]);
    expect(names('draught')).toEqual(['Draught to the keel, Test Hull', 'draught, loading']);
    expect(names('number ring')).toEqual(['Ring, how far to move after a mark']);
    expect(names('units')[0]).toBe('Units');
    expect(names('nothing so called')).toEqual([]);
  });

  it('leads to the place itself', () => {
    expect(findIn(entries, 'Wide')[0]).toEqual(
      jasmine.objectContaining({ boatId: 'test-hull', stage: 'beams', target: at('transducers', 'a-wide') }),
    );
    expect(findIn(entries, 'Helm')[0]).toEqual(jasmine.objectContaining({ target: at('stations', 'helm', 'name') }));
  });

  it('offers the settings without a boat too', () => {
    expect(findEntries(null, null, []).flatMap(({ kind, name }) => (kind === 'term' ? [] : [name]))).toEqual([
      'Units',
      'Theme: shop, sun, night',
      'Shortcuts',
      'Terms',
    ]);
  });
});

describe('the panel that finds', () => {
  const { store, page, settle } = stageHarness();
  const type = async (words: string): Promise<HTMLInputElement> => {
    const field = document.querySelector<HTMLInputElement>('#find-words');
    if (!field) throw new Error('The panel is not there.');
    field.value = words;
    field.dispatchEvent(new Event('input'));
    for (let i = 0; i < 50 && !document.querySelector('.p-autocomplete-option, .p-autocomplete-empty-message'); i++)
      await new Promise((resolve) => setTimeout(resolve, 20));
    await settle();
    return field;
  };

  /** The panel goes where it was sent once it is gone. */
  const gone = async (): Promise<void> => {
    for (let i = 0; i < 100 && document.querySelector('[role="dialog"]'); i++)
      await new Promise((resolve) => setTimeout(resolve, 20));
    await settle();
  };

  it('goes with Enter to what the arrows chose, and shuts', async () => {
    await page(FindPanel, aPlan(), { open: true });
    const went = spyOn(TestBed.inject(Router), 'navigate').and.resolveTo(true);
    const field = await type('transducer');
    field.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowDown', code: 'ArrowDown' }));
    await settle();
    expect(document.querySelector('.p-autocomplete-option.p-focus')?.textContent).toContain('Narrow 95');
    field.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', code: 'Enter', bubbles: true }));
    await gone();
    expect(went).toHaveBeenCalledWith(['boats', 'test-hull', 'beams']);
  });

  it('does what a setting does, and says when nothing is called that', async () => {
    await page(FindPanel, aPlan(), { open: true });
    await type('zzz');
    expect(document.querySelector('.p-autocomplete-overlay')?.textContent).toContain('Nothing is called that');
    const before = store().selectSignal(selectUnitSet)();
    const field = await type('units');
    field.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', code: 'Enter', bubbles: true }));
    await gone();
    expect(store().selectSignal(selectUnitSet)()).not.toBe(before);
  });
});

describe('the terms', () => {
  const { page } = stageHarness();
  it('open at the one that was looked for, with what it means', async () => {
    const dead = findIn(findEntries(null, null, []), 'dead zone')[0];
    expect([dead?.kind, dead?.does]).toEqual(['term', 'terms']);
    await page(TermsDialog, aPlan(), { open: true, chosen: dead?.name });
    for (let i = 0; i < 100 && !document.activeElement?.matches('[data-term]'); i++)
      await new Promise((resolve) => setTimeout(resolve, 20));
    expect(document.activeElement?.getAttribute('data-term')).toBe(dead?.name);
    expect(document.activeElement?.textContent).toContain('water over a slope');
    document.querySelectorAll('.p-dialog').forEach((one) => one.remove());
  });
});

describe('the help of a stage', () => {
  it('is there in six lines for every stage on the ladder', () => {
    for (const { stage, help } of stageRegister) expect(help.length).withContext(stage).toBe(6);
    expect(stageNames.length).toBe(10);
  });
});
