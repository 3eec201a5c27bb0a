import type { Plan } from '@grey-keel/model';
import { findings } from '../job/findings.ts';
import { aDisplay, aPage, aPlan, edited } from '../testing/sample-plan.ts';
import { actionInWords, isFrequent, isRisky, sameAction } from './action-words.ts';
import { bindingsAt, slotsOf } from './key-slots.ts';
import { bindFreeKeys, bindProposal, changedKeys, keySchools, keySchoolsOf, proposeKeys } from './propose-keys.ts';

const plan = edited(
  aPlan(),
  { type: 'useWay', way: 'running', used: true },
  { type: 'useWay', way: 'drifting', used: true },
  { type: 'addPage', id: 'p-run', page: aPage({ name: 'Run', place: 2, shownIn: { running: true } }) },
  { type: 'addPage', id: 'p-drift', page: aPage({ name: 'Drift', place: 3, shownIn: { drifting: true } }) },
);
const keyFindings = (of: Plan): string[] =>
  findings(of)
    .filter(({ stage }) => stage === 'keys')
    .map(({ id }) => id);

describe('the keys of a display', () => {
  it('are pressed short and long, as often as it can tell apart', () => {
    expect(slotsOf(aDisplay({ keys: 2 })).map(({ slot }) => slot)).toEqual(['1-short', '1-long', '2-short', '2-long']);
    expect(slotsOf(aDisplay({ keys: 2, pressesPerKey: 1 })).map(({ slot }) => slot)).toEqual(['1-short', '2-short']);
    expect(slotsOf(aDisplay({ keys: 0 }))).toEqual([]);
  });

  it('are listed key by key, the tenth after the ninth', () => {
    const bound = { ...plan, keys: { helm: { '10-short': { does: 'record' }, '9-long': { does: 'volume' } } } } as Plan;
    expect(bindingsAt(bound, 'helm').map(({ slot }) => slot)).toEqual(['9-long', '10-short']);
    expect(bindingsAt(bound, 'bow')).toEqual([]);
  });

  it('say what they do', () => {
    expect(actionInWords(plan, { does: 'page', pageId: 'p-run', place: null })).toBe('Run');
    expect(actionInWords(plan, { does: 'page', pageId: 'none', place: null })).toBe('a page that is gone');
    expect(actionInWords(plan, { does: 'mark', mark: 'hazard' })).toBe('mark: hazard');
    expect(actionInWords(plan, { does: 'record' })).toBe('record');
  });

  it('do the same whatever place was recorded, and not the same for another page or mark', () => {
    const page = { does: 'page', pageId: 'p-run', place: 1 } as const;
    expect(sameAction(page, { ...page, place: null })).toBeTrue();
    expect(sameAction(page, { ...page, pageId: 'p-drift' })).toBeFalse();
    expect(sameAction({ does: 'mark', mark: 'seen' }, { does: 'mark', mark: 'hazard' })).toBeFalse();
    expect(sameAction({ does: 'volume' }, { does: 'record' })).toBeFalse();
  });

  it('are never both risky and frequent', () => {
    for (const does of ['start transmitting', 'hold position', 'standby'] as const)
      expect([isRisky({ does }), isFrequent({ does })]).toEqual([true, false]);
    expect(isFrequent({ does: 'mark', mark: 'seen' })).toBeTrue();
    expect(isFrequent({ does: 'mark', mark: 'hazard' })).toBeFalse();
  });
});

describe('proposeKeys', () => {
  it('is free of findings for both schools, and leads to every page', () => {
    for (const school of keySchools)
      for (const changes of [
        {},
        { keysBindTo: 'place' as const },
        { pressesPerKey: 1 },
        { keys: 3, pressesPerKey: 2 },
      ]) {
        const fitted = edited(plan, { type: 'describeDisplay', stationId: 'helm', changes });
        const proposal = proposeKeys(fitted, 'helm', school);
        const bound = edited(fitted, ...bindProposal(fitted, 'helm', proposal));
        expect(keyFindings(bound))
          .withContext(`${school} ${JSON.stringify(changes)}`)
          .toEqual([]);
        expect(bindingsAt(bound, 'helm').length).toBe(proposal.length);
      }
  });

  it('puts what is frequent on short presses in one school and on long ones in the other', () => {
    const pressOf = (school: (typeof keySchools)[number]): string[] =>
      proposeKeys(plan, 'helm', school)
        .filter(({ action }) => isFrequent(action))
        .map(({ slot }) => slot.split('-')[1] ?? '');
    expect(new Set(pressOf('frequent short'))).toEqual(new Set(['short']));
    expect(new Set(pressOf('frequent long'))).toEqual(new Set(['long']));
  });

  it('records the place on a display that binds to places, and clears what it does not use', () => {
    const fitted = edited(plan, {
      type: 'describeDisplay',
      stationId: 'helm',
      changes: { keysBindTo: 'place', keys: 2, pressesPerKey: 1 },
    });
    const proposal = proposeKeys(fitted, 'helm', 'frequent short');
    expect(proposal.map(({ action }) => action)).toEqual([
      { does: 'page', pageId: 'p-run', place: 2 },
      { does: 'page', pageId: 'p-troll', place: 1 },
    ]);
    const busy = edited(fitted, { type: 'bindKey', stationId: 'helm', slot: '2-long', action: { does: 'volume' } });
    expect(Object.keys(edited(busy, ...bindProposal(busy, 'helm', proposal)).keys['helm'] ?? {})).toEqual([
      '1-short',
      '2-short',
    ]);
    expect(proposeKeys({ ...plan, displays: {} }, 'helm', 'frequent short')).toEqual([]);
  });

  it('says before it is taken what each press would lose and have, and nothing once it is taken', () => {
    const busy = edited(plan, { type: 'bindKey', stationId: 'helm', slot: '1-short', action: { does: 'volume' } });
    const proposal = proposeKeys(busy, 'helm', 'frequent short');
    const changed = changedKeys(busy, 'helm', proposal);
    expect(changed.find(({ slot }) => slot === '1-short')?.now).toEqual({ does: 'volume' });
    for (const { slot, then } of changed)
      expect(then).toEqual(proposal.find((one) => one.slot === slot)?.action ?? null);
    expect(changedKeys(edited(busy, ...bindProposal(busy, 'helm', proposal)), 'helm', proposal)).toEqual([]);
    const free = edited(busy, ...bindFreeKeys(busy, 'helm', proposal));
    expect(free.keys['helm']?.['1-short']).toEqual({ does: 'volume' });
    expect(changedKeys(free, 'helm', proposal).every(({ now }) => now !== null)).toBeTrue();
    // A press that the display no longer has is taken away, and said to be.
    const fewer = { type: 'describeDisplay', stationId: 'helm', changes: { pressesPerKey: 1 } } as const;
    const long = edited(
      busy,
      { type: 'bindKey', stationId: 'helm', slot: '2-long', action: { does: 'volume' } },
      fewer,
    );
    expect(changedKeys(long, 'helm', proposeKeys(long, 'helm', 'frequent short')).at(-1)).toEqual(
      jasmine.objectContaining({ slot: '2-long', then: null }),
    );
  });

  it('offers no school that a display cannot carry', () => {
    expect(keySchoolsOf({ keys: 4, pressesPerKey: 2 })).toEqual(keySchools);
    expect(keySchoolsOf({ keys: 4, pressesPerKey: 1 })).toEqual(['frequent short']);
    expect(keySchoolsOf({ keys: 0, pressesPerKey: 2 })).toEqual([]);
  });
});
