import { act, at } from '@grey-keel/core';
import { HttpTestingController } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import { emptyPlan, type CatalogueEntry, type Element } from '@grey-keel/model';
import { GoTo } from '../../shared/go-to.ts';
import { catalogueServerEvents } from '../../state/catalogue.ts';
import { aBeam, aTransducerEntry, aWater } from '@grey-keel/core/testing';
import { aPlan } from '../../testing/plans.ts';
import { stageHarness } from '../../testing/stage-harness.ts';
import { AdviceView } from './advice-view.ts';
import { BeamsPage } from './beams-page.ts';
import { ConeOrFrequencyView } from './cone-or-frequency-view.ts';
import { DetectionRangeView } from './detection-range-view.ts';
import { SceneView } from './scene-view.ts';
import { ShoppingView } from './shopping-view.ts';
import { SpeedView } from './speed-view.ts';

const entry = (id: string, kHz: number, deg: number, mounting: 'transom' | 'shoot-through-hull'): CatalogueEntry =>
  aTransducerEntry(
    id,
    { beams: [aBeam({ frequencyHz: kHz * 1000, beamwidthDeg: deg })], electricalPowerW: 500 },
    { mountings: [mounting] },
  );
const catalogue = [
  entry('wide-fan', 120, 34, 'transom'),
  entry('narrow-one', 210, 7, 'transom'),
  entry('low-one', 45, 16, 'transom'),
  entry('inside-one', 95, 18, 'shoot-through-hull'),
];

describe('the views of the beams', () => {
  const { store, plan, page, press, choose, write, key, text, settle } = stageHarness();
  const advice = async (): Promise<HTMLElement> => {
    const start = aPlan();
    const root = await page(AdviceView, { ...start, boat: { ...start.boat, hullMaterial: 'aluminium' } });
    store().dispatch(catalogueServerEvents.loaded({ entries: catalogue }));
    await settle();
    return root;
  };
  const names = (root: HTMLElement): string[] =>
    [...root.querySelectorAll('.place .name')].map((one) => one.textContent.trim());

  it('rank what the catalogue has, open what each is weighed by, and say what is ruled out', async () => {
    const root = await advice();
    expect(names(root).length).toBe(3);
    expect(text(root, '[aria-labelledby="out-title"]')).toContain('inside-one: it looks through the hull');
    await press(root, '#place-0');
    expect(root.querySelectorAll('.places tbody tr').length).toBe(9);
    const points = [...root.querySelectorAll('.places tbody td:last-child')].map((one) => Number(one.textContent));
    expect(points.reduce((sum, one) => sum + one, 0)).toBeCloseTo(Number(text(root, '#place-0 > strong')), 0);
  });

  it('change with the school and with a weight, each as one edit, and go back to the school\u2019s own', async () => {
    const root = await advice();
    await choose(root, '#advice-school', 'narrow first');
    expect(plan().advice.school).toBe('narrow first');
    expect(names(root)[0]).toBe('narrow-one');
    await press(root, '.ask .p-button');
    await key(root, '[id="weight-footprint"]', 'End');
    await key(root, '[id="weight-bottom detail"]', 'Home');
    expect(plan().advice.weights).toEqual({ footprint: 10, 'bottom detail': 0 });
    expect(names(root)[0]).toBe('wide-fan');
    await press(root, '.weights .p-button');
    expect(plan().advice.weights).toEqual({});
  });

  it('offer pairs of different bands, and wait for the water', async () => {
    const root = await advice();
    await choose(root, '#advice-question', 'two together');
    expect(names(root).length).toBe(3);
    expect(names(root).every((name) => name.includes(' + '))).toBeTrue();
    const bare = await page(AdviceView, emptyPlan('Bare'));
    store().dispatch(catalogueServerEvents.loaded({ entries: catalogue }));
    await settle();
    expect(text(bare, 'p.sheet')).toContain('The water is not described');
  });

  it('say how deep each sounder sees the fish, with its uncertainty, and which imaging frequency covers a range', async () => {
    const pool = aWater({ usualDeepestM: 40, greatestM: 60 });
    const root = await page(DetectionRangeView, { ...aPlan(), waters: { pool } });
    const rows = [...root.querySelectorAll('table[aria-label="Detection range of the sounders"] tbody tr')];
    expect(rows.length).toBe(2);
    for (const row of rows) {
      const [, , fish, bottom] = [...row.querySelectorAll('td')].map((one) => one.textContent);
      // The pool is 60 m deep: metres beyond it are not said, but what is left there.
      for (const said of [fish, bottom]) expect(said?.replace(/\s+/g, ' ')).toMatch(/\d+ dB ?to spare at 60 m/);
    }
    expect(text(root, 'section')).toContain('78 dB of electrical noise');
    const imaging = [...root.querySelectorAll('table[aria-label^="Highest imaging"] td:last-child')].map((one) =>
      Number(/\d+/.exec(one.textContent)?.[0]),
    );
    const covered = imaging.filter((one) => !Number.isNaN(one));
    expect([...covered].sort((a, b) => b - a)).toEqual(covered);
  });

  it('say a reach within the water in metres with what it lies between, in three figures at most', async () => {
    const start = aPlan();
    const root = await page(DetectionRangeView, {
      ...start,
      waters: { pool: { ...start.waters['pool']!, greatestM: 9000 } },
    });
    const rows = [...root.querySelectorAll('table[aria-label="Detection range of the sounders"] tbody tr')];
    for (const row of rows) {
      const [, , fish = '', bottom = ''] = [...row.querySelectorAll('td')].map((one) => one.textContent);
      for (const said of [fish, bottom]) {
        const [seen = 0, low = 0, high = 0] = (said.match(/\d+/g) ?? []).map(Number);
        expect(low).toBeLessThan(seen);
        expect(seen).toBeLessThan(high);
        for (const figure of [seen, low, high]) expect(String(figure).replace(/0+$/, '').length).toBeLessThanOrEqual(3);
      }
    }
  });

  it('compare two cones at one frequency and two frequencies with one cone, term by term', async () => {
    const root = await page(ConeOrFrequencyView);
    const terms = (id: string): number[] =>
      [...root.querySelectorAll(`[aria-labelledby="${id}"] tbody td:last-child`)].map((one) =>
        Number(/[-+]?[\d.]+/.exec(one.textContent.replace('\u2212', '-'))?.[0]),
      );
    for (const id of ['cones', 'frequencies']) {
      const list = terms(id);
      const together = list.pop() ?? 0;
      expect(list.reduce((sum, one) => sum + one, 0)).toBeCloseTo(together, 0);
    }
    // The same frequency: nothing is left but the cone.
    expect(terms('cones').map((one) => one !== 0)).toEqual([false, true, false, false, true]);
    expect(terms('frequencies')[1]).toBe(0);
    await write(root, '#compare-wide', '9');
    expect(terms('cones')[1]).toBe(0);
  });

  it('list each sounder at idle, cruise and top speed', async () => {
    const start = aPlan();
    const root = await page(SpeedView, { ...start, boat: { ...start.boat, cruiseSpeedMps: 9, topSpeedMps: 18 } });
    expect(root.querySelectorAll('tbody tr').length).toBe(6);
    expect(text(root, '.caution')).toContain('kill cord');
  });

  it('say on the shopping sheet what is chosen and what it was compared with', async () => {
    const root = await page(ShoppingView);
    store().dispatch(catalogueServerEvents.loaded({ entries: catalogue }));
    await settle();
    expect(text(root, 'article')).toContain('Wide 190');
    expect([...root.querySelectorAll('.wide')].at(-1)?.querySelectorAll('tbody tr').length).toBe(5);
    expect(text(root, '.chosen')).toContain('The sounders chosen, together');
  });

  it('put fish into the section, move one by the arrows as one edit, and say what each beam makes of it', async () => {
    const root = await page(SceneView);
    await press(root, '#put-fish');
    const [id = ''] = Object.keys(plan().fish);
    const before = plan().fish[id];
    await key(root, `#fish-${id}`, 'ArrowDown', { shiftKey: true });
    expect(plan().fish[id]?.depthM).toBeCloseTo((before?.depthM ?? 0) + 1, 6);
    expect(root.querySelectorAll('table tbody tr').length).toBe(2);
    await write(root, '#scene-slope', '20');
    expect(plan().scene.slopeDeg).toBe(20);
    await write(root, '#scene-layer', '12');
    expect(plan().scene.thermocline).toEqual({ depthM: 12, colderByC: 4 });
    expect(text(root, 'ul')).toContain('The colder layer makes a display');
    await key(root, `#fish-${id}`, 'Delete');
    expect(plan().fish).toEqual({});
  });

  it('show the view that has what a finding points at', async () => {
    const root = await page(BeamsPage);
    document.body.append(root);
    TestBed.inject(GoTo).show(act('show the speeds'));
    await settle();
    expect(root.querySelector('gk-speed-view')).not.toBeNull();
    TestBed.inject(GoTo).show(act('show the absorption'));
    await settle();
    expect(root.querySelector('#absorption-chart')).not.toBeNull();
    expect(root.querySelector('#transducer-mounting-b-narrow')).toBeNull();
    TestBed.inject(GoTo).show(at('transducers', 'b-narrow', 'mounting'));
    await settle();
    expect(root.querySelector('#transducer-mounting-b-narrow')).not.toBeNull();
    root.remove();
  });

  it('put a transducer of the catalogue on the boat with the sensor it has built in, as one edit', async () => {
    const root = await page(BeamsPage);
    const [first] = catalogue;
    if (first?.item.type !== 'transducer') return fail('no transducer');
    store().dispatch(
      catalogueServerEvents.loaded({ entries: [{ ...first, item: { ...first.item, temperatureSensor: 'built in' } }] }),
    );
    await settle();
    const before = Object.keys(plan().transducers);
    await press(root, 'gk-catalogue-table tbody button');
    const [id = ''] = Object.keys(plan().transducers).filter((one) => !before.includes(one));
    expect(plan().transducers[id]?.name).toBe('wide-fan');
    expect(plan().sources[id]?.temperature).toBe('built in');
  });

  it('keep a changed sheet as a new version, with figures derived no longer, and leave the other beam as it was', async () => {
    const root = await page(BeamsPage);
    document.body.append(root);
    const [first] = catalogue;
    if (first?.item.type !== 'transducer') throw new Error('No transducer.');
    const { element } = first.item;
    const two = { ...element, name: 'Own two', beams: [...element.beams, ...element.beams] };
    const entries = [{ ...first, id: 'own-two', shipped: false, item: { ...first.item, element: two } }];
    store().dispatch(catalogueServerEvents.loaded({ entries }));
    await settle();
    expect(text(root, 'gk-catalogue-table')).toContain('derived: source level, efficiency, pulse lengths');
    await press(root, '#edit-own-two');
    expect(text(root, '#sheet-title')).toBe('Own two, version 1');
    await choose(root, '#sheet-beam', '1');
    await write(root, '#sheet-source-level', '212');
    await write(root, '#sheet-shortest', '2');
    await write(root, '#sheet-longest', '1');
    await press(root, 'gk-sheet-form button[type="submit"]');
    expect(text(root, 'gk-sheet-form [role="alert"]')).toContain('longer than the longest');
    await write(root, '#sheet-shortest', '0.1');
    await press(root, 'gk-sheet-form button[type="submit"]');
    const sent = TestBed.inject(HttpTestingController).expectOne('api/catalogue/own-two');
    const { element: kept } = sent.request.body as { element: Element };
    expect(kept.beams.map(({ sourceLevelDb }) => sourceLevelDb)).toEqual([undefined, 212]);
    expect([kept.shortestPulseS, kept.longestPulseS]).toEqual([0.0001, 0.001]);
    sent.flush({ ...entries[0], version: 2 });
    await new Promise((resolve) => setTimeout(resolve));
    await settle();
    expect(text(root, '[role="status"]')).toContain('version 2');
    expect(text(root, '#sheet-title')).toBe('From a data sheet');
    root.remove();
  });

  it('read a chart where the slider stands', async () => {
    const root = await page(DetectionRangeView);
    const level = (): number => Number.parseFloat(text(root, '[for="read-snr"] strong, output .mono'));
    const before = level();
    await key(root, '#read-snr', 'End');
    expect(root.querySelector('#read-snr')?.getAttribute('aria-valuetext')).toMatch(/\sm$/);
    expect(level()).toBeLessThan(before - 3);
    expect(root.querySelectorAll('gk-detail-view tbody tr').length).toBeGreaterThan(0);
  });

  it('are chosen by tabs that arrows move between', async () => {
    const root = await page(BeamsPage);
    document.body.append(root);
    await key(root, '[data-tab=section]', 'ArrowRight');
    expect(root.querySelector('gk-shopping-view')).not.toBeNull();
    await key(root, '[data-tab=shopping]', 'ArrowLeft');
    await key(root, '[data-tab=section]', 'ArrowLeft');
    expect(root.querySelector('gk-advice-view')).not.toBeNull();
    await key(root, '[data-tab=advice]', 'ArrowLeft');
    expect(root.querySelector('gk-drill-frame')).not.toBeNull();
    expect((document.activeElement as HTMLElement).dataset['tab']).toBe('drill');
    root.remove();
  });
});
