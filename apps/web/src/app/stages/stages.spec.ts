import { HttpTestingController } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import type { Action } from '@ngrx/store';
import { emptyPlan } from '@grey-keel/model';
import { fleetEvents } from '../state/lists.ts';
import { ServerNews } from '../state/server-news.ts';
import { StuckPanel } from '../shell/stuck-panel.ts';
import { planEvents } from '../state/plan.actions.ts';
import { planFeature } from '../state/plan.reducer.ts';
import { viewEvents } from '../state/view.ts';
import { aPlan, aTransducer, withHelm } from '../testing/plans.ts';
import { stageHarness } from '../testing/stage-harness.ts';
import { FleetPage } from '../fleet/fleet-page.ts';
import { FindingsColumn } from '../shell/findings-column.ts';
import { Ladder } from '../shell/ladder.ts';
import { KeptState } from '../shell/kept-state.ts';
import { WorkingPanel } from '../shell/working-panel.ts';
import { BeamsPage } from './beams/beams-page.ts';
import { BriefPage } from './brief/brief-page.ts';
import { CalibratePage } from './calibrate/calibrate-page.ts';
import { HandoverPage } from './handover/handover-page.ts';

describe('the pages', () => {
  const { store, plan, page, write, press, choose, text, settle } = stageHarness();

  describe('Brief', () => {
    it('keeps each field as it is left, as one edit', async () => {
      const root = await page(BriefPage);
      await write(root, '#boat-length', '8.2');
      expect(plan().boat.lengthM).toBeCloseTo(8.2, 9);
      await write(root, '#boat-name', 'Other Hull');
      expect(plan().boat.name).toBe('Other Hull');
      await write(root, '#boat-name', '  ');
      expect([plan().boat.name, text(root, '#boat-name-problem')]).toEqual(['Other Hull', 'A name is needed.']);
      expect(store().selectSignal(planFeature.selectUnsent)().length).toBe(2);
    });

    it('adds and removes waters, stations and what is sought; a kind of water brings its salt', async () => {
      const root = await page(BriefPage);
      await press(root, '#add-water');
      await press(root, '#add-station');
      await press(root, '#add-sought');
      expect([
        Object.keys(plan().waters).length,
        Object.keys(plan().stations).length,
        Object.keys(plan().sought).length,
      ]).toEqual([2, 1, 1]);
      const kind = root.querySelector<HTMLSelectElement>('#water-kind-pool');
      if (kind) kind.value = 'salt';
      kind?.dispatchEvent(new Event('change'));
      expect(plan().waters['pool']?.salinityPpt).toBe(35);
      await press(root, '[aria-label="Remove water Pool"]');
      expect(plan().waters['pool']).toBeUndefined();
      expect(plan().working.waterId).not.toBe('pool');
      await press(root, '#ways gk-tick-field:nth-of-type(1) input');
      expect(plan().ways.running).toBeUndefined();
    });

    it('warns of a cored hull at the place', async () => {
      const start = aPlan();
      const root = await page(BriefPage, { ...start, boat: { ...start.boat, hullMaterial: 'cored composite' } });
      expect(text(root, '.caution')).toContain('Cored hull');
    });
  });

  describe('Beams', () => {
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
      const level = root.querySelector<HTMLSelectElement>('#sheet-level');
      if (level) level.value = '-10';
      level?.dispatchEvent(new Event('change'));
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
      await press(root, 'gk-transducer-editor .risky');
      expect(plan().transducers['a-wide']).toBeUndefined();
      expect(root.querySelector('gk-transducer-editor')).toBeNull();
    });

    it('says what is missing where there is no water and no transducer', async () => {
      const root = await page(BeamsPage, emptyPlan('Bare'));
      expect(text(root, '#absorption-chart')).toContain('water is not described');
      expect(text(root, 'section[aria-labelledby="chosen-title"]')).toContain('None yet');
    });
  });

  describe('Calibrate', () => {
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
      expect(text(root, '#result')).toContain(
        'The display will then show 0.40 m more than now: depth from the surface.',
      );
      expect(text(root, '#result')).toContain('0.50 m on the display is aground');
      expect(text(root, '.verdict')).toContain('Within your tolerance');
      await press(root, '.either button:nth-of-type(2)');
      expect(text(root, '#result')).toContain('0.10 m less than now: depth below the keel');
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
      await press(root, '[aria-label="Remove reading 5"]');
      expect(Object.keys(plan().depthOffsets['a-wide']?.readings ?? {}).length).toBe(4);
    });

    it('remembers what was entered, and says what changed when it goes stale', async () => {
      const root = await page(CalibratePage);
      await choose(root, '#reading-set-to-a-wide', 'fresh');
      for (const lead of ['5', '9', '12']) await record(root, lead, String(Number(lead) - 0.4));
      await press(root, '#result .chief');
      expect(text(root, '[data-sounder="a-wide"]')).toContain('fresh');
      store().dispatch(
        planEvents.edited({
          revisionId: crypto.randomUUID(),
          label: 'x',
          edits: [{ type: 'describeTransducer', id: 'a-wide', changes: { aboveKeelM: 0.3 } }],
        }),
      );
      await settle();
      expect(text(root, '[data-sounder="a-wide"]')).toContain('stale');
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
      expect(plan().units['helm']?.waterType).toBe('fresh');
      const row = text(root, 'tr[data-reading]').match(/0\.30 m/g);
      expect(row?.length).toBe(2);
      await choose(root, '#reading-set-to-a-wide', 'salt');
      expect(plan().units['helm']?.waterType).toBe('fresh');
      expect(text(root, 'tr[data-reading]')).toContain('0.30 m');
    });

    it('keeps the water and the setting with the first reading, so that neither changes under it', async () => {
      const root = await page(CalibratePage, {
        ...withHelm(),
        units: { helm: { waterType: 'fresh', north: null, sidesRight: 'not looked at', done: {} } },
      });
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
      expect(plan().depthOffsets['a-wide']?.entered?.reason).toBe('the swell would not lie down');
    });

    it('leads back to Beams where there is nothing to calibrate', async () => {
      const root = await page(CalibratePage, emptyPlan('Bare'));
      expect(text(root, 'a')).toContain('Choose transducers');
    });
  });

  describe('Handover', () => {
    it('shows the card with its figures, what is not settled and the cautions', async () => {
      const root = await page(HandoverPage);
      expect(text(root, 'article')).toContain('Length 7.40 m, draught 0.50 m');
      expect(text(root, 'tr[data-transducer="Wide 190"]')).toContain('not measured');
      expect(text(root, '[aria-labelledby="open-title"]')).toContain('Stage 5, Calibrate: missing.');
      expect(text(root, '.caution')).toContain('A wrong sign grounds the boat');
      expect(root.querySelectorAll('gk-card-section polygon').length).toBeGreaterThan(6);
    });

    it('prints by way of the server and remembers that it was printed', async () => {
      const root = await page(HandoverPage);
      await press(root, '#print-card');
      const asked = TestBed.inject(HttpTestingController).expectOne(
        ({ url }) => url === 'api/boats/test-hull/card.pdf',
      );
      expect(asked.request.params.get('paper')).toBe('A4');
      asked.flush(new Blob(['%PDF-']));
      await settle();
      await new Promise((resolve) => setTimeout(resolve));
      expect(Object.keys(plan().cards).length).toBe(1);
      await settle();
      expect(text(root, '.standing')).toContain('shows these figures');
    });

    it('says so when the server does not answer', async () => {
      const root = await page(HandoverPage);
      await press(root, '#print-card');
      TestBed.inject(HttpTestingController)
        .expectOne(({ url }) => url.endsWith('card.pdf'))
        .error(new ProgressEvent('error'));
      await new Promise((resolve) => setTimeout(resolve));
      await settle();
      expect(text(root, '[role="alert"]')).toContain('does not answer');
      expect(Object.keys(plan().cards).length).toBe(0);
    });
  });

  describe('the shell', () => {
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

    it('lists findings of the stage first, counts them, and carries out a way out that is safe', async () => {
      const start = { ...aPlan(), transducers: { 'a-wide': aTransducer({ transmitsIn: { trailer: true } }) } };
      const root = await page(FindingsColumn, start, { boatId: 'test-hull', stage: 'beams' });
      expect(text(root, '[role="status"]')).toBe('1 stop 3 check');
      expect(root.querySelector('gk-finding article')?.getAttribute('data-finding')).toBe(
        'transmits-on-trailer:a-wide',
      );
      await press(root, 'gk-finding .way-out');
      expect(plan().transducers['a-wide']?.transmitsIn.trailer).toBeUndefined();
      expect(text(root, '.quiet')).toContain('Nothing to say on this stage');
      await press(root, 'header button');
      expect(root.querySelectorAll('gk-finding').length).toBe(0);
    });

    it('says saved, saving, how much waits and why, that it is behind, or that the boat is gone', async () => {
      const root = await page(KeptState);
      const says = async (event?: Action): Promise<string> => {
        if (event) store().dispatch(event);
        await settle();
        return text(root, 'span');
      };
      const news = (number: number, removed = false) =>
        planEvents.newsHeard({ news: { boatId: 'test-hull', number, revisionId: null, removed } });
      expect(await says()).toMatch(/^saved \d\d:\d\d$/);
      expect(await says(news(5))).toBe('fetching newer changes');
      expect(await says(news(5, true))).toBe('this boat was deleted elsewhere');
      const edit = {
        revisionId: crypto.randomUUID(),
        label: 'x',
        edits: [{ type: 'workAtDepth' as const, depthM: 9 }],
      };
      await says(news(4));
      expect(await says(planEvents.edited(edit))).toBe('saving');
      const failed = (status: number) => planEvents.sendingFailed({ problem: { status, detail: 'none', body: null } });
      expect(await says(failed(0))).toContain('1 unsent, held here: no server');
      expect(await says(failed(507))).toContain('the disk of the server is full');
      expect(await says(planEvents.revisionRefused({ revisionId: edit.revisionId, detail: 'no' }))).toContain(
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
        planEvents.edited({ revisionId, label: 'x', edits: [{ type: 'describeBoat', changes: { lengthM: 8 } }] }),
      );
      store().dispatch(planEvents.revisionRefused({ revisionId, detail: 'The length is too much.' }));
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
      expect(text(panel, 'section')).toContain('max(d * tan(N / 2), a - d * tan(W / 2))');
      await press(panel, 'header button');
      expect(panel.querySelector('section')).toBeNull();
      expect(document.activeElement).toBe(number);
      beams.remove();
    });
  });

  describe('Fleet', () => {
    const line = (id: string, name: string) => ({
      id,
      name,
      lengthM: 7,
      hullForm: 'catamaran',
      water: 'Pool, fresh',
      transducers: 2,
      stages: [
        { number: 1, state: 'fresh' as const },
        { number: 2, state: 'stop' as const },
      ],
      stops: 1,
      checks: 0,
      number: 3,
      keptAt: '2026-05-01T09:00:00.000Z',
    });

    it('lists the boats, and takes one off with the chance to bring her back', async () => {
      const root = await page(FleetPage);
      store().dispatch(fleetEvents.loaded({ boats: [line('b', 'Beta'), line('a', 'Alpha')] }));
      await settle();
      expect([...root.querySelectorAll('[data-boat] a')].map((one) => one.textContent.trim())).toEqual([
        'Alpha',
        'Beta',
      ]);
      await press(root, '[data-boat="a"] .risky');
      const http = TestBed.inject(HttpTestingController);
      http.expectOne({ method: 'DELETE', url: 'api/boats/a' }).flush(null);
      await new Promise((resolve) => setTimeout(resolve));
      await settle();
      expect(text(root, '.told')).toContain('Alpha was deleted. Undo');
      expect(root.querySelector('[data-boat="a"]')).toBeNull();
    });

    it('finds boats by words and by how they stand, and copies one', async () => {
      const root = await page(FleetPage);
      store().dispatch(
        fleetEvents.loaded({
          boats: [
            { ...line('a', 'Alpha'), stops: 0 },
            { ...line('b', 'Beta'), stops: 1 },
          ],
        }),
      );
      await settle();
      const listed = (): string[] =>
        [...root.querySelectorAll('[data-boat]')].map((one) => one.getAttribute('data-boat') ?? '');
      await choose(root, '#fleet-filter', 'with a stop');
      expect(listed()).toEqual(['b']);
      await choose(root, '#fleet-filter', 'all');
      const field = root.querySelector<HTMLInputElement>('#fleet-search');
      if (field) field.value = 'alp';
      field?.dispatchEvent(new Event('input'));
      await settle();
      expect(listed()).toEqual(['a']);
      await press(root, '[aria-label="Copy Alpha"]');
      const asked = TestBed.inject(HttpTestingController).expectOne('api/boats/a/copy');
      expect((asked.request.body as { name: string }).name).toBe('Alpha, copy');
    });

    it('puts boats in order by a column and back, and draws of a thousand only those in sight', async () => {
      const root = await page(FleetPage);
      const boats = Array.from({ length: 1000 }, (_, i) => ({ ...line(`b${i}`, `Boat ${1000 + i}`), stops: i % 7 }));
      store().dispatch(fleetEvents.loaded({ boats: boats.slice(0, 9) }));
      await settle();
      const listed = (): string[] => [...root.querySelectorAll('[data-boat] a')].map((one) => one.textContent.trim());
      const head = (words: string): Element | undefined =>
        [...root.querySelectorAll('[role="columnheader"]')].find((one) => one.textContent.includes(words));
      const byFindings = '[role="columnheader"]:nth-child(3) button';
      await press(root, byFindings);
      expect(listed()[0]).toBe('Boat 1006');
      expect(head('Findings')?.getAttribute('aria-sort')).toBe('descending');
      await press(root, byFindings);
      expect(listed()[0]).toBe('Boat 1000');
      expect(head('Findings')?.getAttribute('aria-sort')).toBe('ascending');
      store().dispatch(fleetEvents.loaded({ boats }));
      await settle();
      await new Promise((resolve) => setTimeout(resolve, 100));
      await settle();
      expect(root.querySelector('[role="table"]')?.getAttribute('aria-rowcount')).toBe('1001');
      expect(listed().length).toBeGreaterThan(3);
      expect(listed().length).toBeLessThan(60);
    });

    it('does not make a boat without a name, and tells what failed', async () => {
      const root = await page(FleetPage);
      root.querySelector('form')?.dispatchEvent(new Event('submit', { cancelable: true }));
      await settle();
      expect(text(root, '.told')).toContain('A name is needed');
      store().dispatch(fleetEvents.failed({ detail: 'no server' }));
      await settle();
      expect(text(root, '[role="alert"]:not(.told)')).toContain('no server');
      store().dispatch(fleetEvents.loaded({ boats: [] }));
      await settle();
      expect(text(root, '.empty')).toContain('No boat yet');
    });
  });
});
