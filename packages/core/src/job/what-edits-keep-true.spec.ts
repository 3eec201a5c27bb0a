import type { Edit, Patch, Plan } from '@grey-keel/model';
import { pageFor, pagesAt } from '../plan/pages-at.ts';
import { aDisplay, aPage, aPlan, edited } from '../testing/sample-plan.ts';
import { applyEdits, replayEdits } from './apply-edits.ts';
import { dangling } from '../edits/what-edits-keep-true.ts';

const restore = (...patches: Patch[]): Edit => ({ type: 'restore', patches });
const boat = (): Plan =>
  edited(
    aPlan(),
    { type: 'fitDisplay', stationId: 'helm', display: aDisplay() },
    { type: 'addPage', id: 'one', page: aPage({ name: 'One', place: 1, shownIn: { trolling: true } }) },
    { type: 'addPage', id: 'two', page: aPage({ name: 'Two', place: 2, shownIn: {} }) },
  );

describe('what edits keep true', () => {
  it('is true of a plan that edits made', () => {
    expect(dangling(boat())).toEqual([]);
    expect(dangling(edited(boat(), { type: 'removeStation', id: 'helm' }))).toEqual([]);
  });

  it('stays true when patches bring pages back: places 1 to n, and one page in a way of working', () => {
    const page = aPage({ name: 'Back', place: 1, shownIn: { trolling: true } });
    const back = edited(boat(), restore({ op: 'add', path: ['pages', 'back'], value: page }));
    const places = pagesAt(back, 'helm').map((one) => one.page.place);
    expect(places).toEqual(places.map((_, i) => i + 1));
    expect(places.length).toBe(pagesAt(boat(), 'helm').length + 1);
    expect(Object.values(back.pages).filter(({ shownIn }) => shownIn.trolling).length).toBe(1);
    expect(pageFor(back, 'helm', 'trolling')).not.toBeNull();
  });

  it('is refused to be broken: nothing new hangs on what is not there, and the field is named', () => {
    const hanging: Patch[] = [
      { op: 'add', path: ['pages', 'lost'], value: aPage({ stationId: 'nowhere' }) },
      { op: 'add', path: ['keys', 'nowhere'], value: {} },
      { op: 'add', path: ['units', 'nowhere'], value: { waterType: null, north: null, sidesRight: 'right', done: {} } },
      { op: 'replace', path: ['working', 'waterId'], value: 'nowhere' },
      { op: 'remove', path: ['displays', 'helm'] },
    ];
    for (const patch of hanging) {
      const applied = applyEdits(boat(), [restore(patch)]);
      expect(applied.ok).withContext(patch.path.join('/')).toBeFalse();
      expect(!applied.ok && applied.errors[0]?.field)
        .withContext(patch.path.join('/'))
        .not.toBe('');
    }
  });

  it('does not stop work on a plan in which something hangs since before, and a history is replayed as it was', () => {
    const lost = restore({ op: 'add', path: ['keys', 'nowhere'], value: {} });
    const old = replayEdits(boat(), [lost]);
    if (!old.ok) throw new Error(old.errors[0]?.message);
    expect(dangling(old.plan)).toEqual([['keys', 'nowhere']]);
    expect(applyEdits(old.plan, [restore({ op: 'replace', path: ['boat', 'notes'], value: 'x' })]).ok).toBeTrue();
  });

  it('is asked of the schema first: a patch may hold anything', () => {
    for (const value of [null, 3, 'page', [], { stationId: 'helm' }]) {
      const applied = applyEdits(boat(), [restore({ op: 'add', path: ['pages', 'odd'], value })]);
      expect(!applied.ok && applied.errors[0]?.field)
        .withContext(JSON.stringify(value))
        .toContain('pages.odd');
    }
  });
});
