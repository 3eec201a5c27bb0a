import { at } from '@grey-keel/core';
import { TestBed } from '@angular/core/testing';
import { sonarKinds } from '@grey-keel/model';
import { GoTo } from '../../shared/go-to.ts';
import { withFit } from '../../testing/plans.ts';
import { stageHarness } from '../../testing/stage-harness.ts';
import { FitPage } from './fit-page.ts';

describe('the fit', () => {
  const { page, plan, press, key, choose, write, text, settle } = stageHarness();
  const drag = async (root: HTMLElement, css: string, across: number, up: number): Promise<void> => {
    const mark = root.querySelector<SVGGElement>(css);
    if (!mark) throw new Error(css);
    const at = mark.getBoundingClientRect();
    const from = { clientX: at.x + at.width / 2, clientY: at.y + at.height / 2 };
    const pointer = (type: string, x: number, y: number): boolean =>
      mark.dispatchEvent(
        new PointerEvent(type, { clientX: from.clientX + x, clientY: from.clientY - y, bubbles: true, pointerId: 1 }),
      );
    spyOn(mark, 'setPointerCapture');
    pointer('pointerdown', 0, 0);
    pointer('pointermove', across / 2, up / 2);
    pointer('pointermove', across, up);
    await settle();
    pointer('pointerup', across, up);
    await settle();
  };

  it('moves a transducer by its mark: one edit for one drag, judged as it goes', async () => {
    const root = await page(FitPage, withFit());
    document.body.append(root);
    expect(text(root, '.broken')).toContain('Nothing the program judges is wrong');
    const before = plan().transducers['a-wide'];
    await drag(root, '#mark-plan-transducer-a-wide', 40, 0);
    const after = plan().transducers['a-wide'];
    expect(after?.starboardM).toBeGreaterThan((before?.starboardM ?? 0) + 0.1);
    expect(after?.forwardM).toBeCloseTo(before?.forwardM ?? 0, 1);
    expect(after?.aboveKeelM).toBe(before?.aboveKeelM);
    root.remove();
  });

  it('moves what is drawn beside its place by as much as it is dragged, wherever it is taken', async () => {
    const { forwardM, starboardM, aboveKeelM } = withFit().transducers['a-wide']!;
    const onAnother = { ...withFit().transducers['b-narrow']!, forwardM, starboardM, aboveKeelM };
    const start = withFit();
    const root = await page(FitPage, { ...start, transducers: { ...start.transducers, 'b-narrow': onAnother } });
    document.body.append(root);
    expect(root.querySelector('.lead')).not.toBeNull();
    // Both have their names beside them, which a reader hears of the marks themselves.
    const names = [...root.querySelectorAll('[aria-hidden="true"] > .name')].map((one) => one.textContent.trim());
    for (const { name } of [start.transducers['a-wide']!, start.transducers['b-narrow']!])
      expect(names.filter((one) => one === name).length).toBeGreaterThan(0);
    const dragged = async (id: string): Promise<number> => {
      const from = plan().transducers[id]?.starboardM ?? 0;
      await drag(root, `#mark-plan-transducer-${id}`, 40, 0);
      return (plan().transducers[id]?.starboardM ?? 0) - from;
    };
    const moved = await dragged('b-narrow');
    expect(moved).toBeGreaterThan(0.1);
    expect(await dragged('a-wide')).toBeCloseTo(moved, 2);
    root.remove();
  });

  it('moves by a centimetre with an arrow, ten with Shift, and says what that breaks', async () => {
    const root = await page(FitPage, withFit());
    await key(root, '#mark-side-transducer-b-narrow', 'ArrowRight');
    expect(plan().transducers['b-narrow']?.forwardM).toBeCloseTo(2.01, 9);
    await key(root, '#mark-astern-transducer-b-narrow', 'ArrowUp', { shiftKey: true });
    expect(plan().transducers['b-narrow']?.aboveKeelM).toBeCloseTo(0.2, 9);
    await press(root, '#thing-transducer-b-narrow');
    await write(root, '#place-b-narrow', '-0.5');
    await write(root, '#place-starboard-b-narrow', '0.1');
    expect(text(root, '.broken')).toContain('Too near a propeller');
    expect(root.querySelector('.thing.wrong')).not.toBeNull();
  });

  it('opens what a fix leads to, and has its field', async () => {
    const root = await page(FitPage, withFit());
    TestBed.inject(GoTo).wanted.set(at('transducers', 'b-narrow', 'forwardM'));
    await settle();
    expect(root.querySelector('#place-b-narrow')).not.toBeNull();
    TestBed.inject(GoTo).wanted.set(at('transducers', 'a-wide', 'fairingDeg'));
    await settle();
    expect(root.querySelector('#fairing-a-wide')).not.toBeNull();
  });

  it('puts the screen of a station in its place, and adds, describes and takes off a piece of equipment', async () => {
    const root = await page(FitPage, withFit());
    document.body.append(root);
    TestBed.inject(GoTo).show(at('stations', 'helm', 'place'));
    // It is drawn first.
    await settle();
    await new Promise((resolve) => setTimeout(resolve, 100));
    expect(document.activeElement?.id).toBe('place-helm');
    await press(root, '#place-helm');
    expect(plan().stations['helm']?.place).toEqual({ forwardM: 3.7, starboardM: 0, aboveKeelM: 1.5 });
    await choose(root, '#new-equipment-kind', 'heading sensor');
    await press(root, '#add-equipment');
    const [id = ''] = Object.keys(plan().equipment).filter((one) => !['prop', 'antenna'].includes(one));
    expect(plan().equipment[id]?.kind).toBe('heading sensor');
    await write(root, `#equipment-name-${id}`, 'Compass');
    expect(plan().equipment[id]?.name).toBe('Compass');
    await press(root, '.p-button-danger');
    expect(plan().equipment[id]).toBeUndefined();
    root.remove();
  });

  it('calculates a circuit as it is typed and the day of its battery', async () => {
    const root = await page(FitPage, withFit());
    await press(root, '[data-tab=power]');
    expect(root.textContent).toContain('Add a battery');
    await press(root, '#add-battery');
    await press(root, '#circuit-add');
    const [battery = ''] = Object.keys(plan().power.batteries);
    const [circuit = ''] = Object.keys(plan().power.circuits);
    expect(plan().power.circuits[circuit]?.batteryId).toBe(battery);
    await write(root, `#circuit-length-${circuit}`, '5');
    await choose(root, `#circuit-gauge-${circuit}`, '2.5 mm2');
    // 3 A over 10 m of 7.586 ohm a kilometre at 30 degrees: 0.2365 V of 12.
    expect(text(root, '.told')).toContain('2.0 %');
    const [load = ''] = Object.keys(plan().power.circuits[circuit]?.loads ?? {});
    await choose(root, `#load-device-${circuit}-${load}`, 'helm');
    expect(plan().power.circuits[circuit]?.loads[load]).toEqual(
      jasmine.objectContaining({ deviceId: 'helm', name: 'Helm' }),
    );
    await write(root, '#hours-trolling', '4');
    expect(text(root, 'table[aria-label="The day of each battery"] tbody tr')).toContain('4.0 h');
    await write(root, `#circuit-fuse-${circuit}`, '');
    expect(plan().power.circuits[circuit]?.fuseA).toBeNull();
    await choose(root, `#circuit-battery-${circuit}`, '');
    expect(plan().power.circuits[circuit]?.batteryId).toBeNull();
    expect(root.querySelector('.told')).toBeNull();
  });
});

describe('the network', () => {
  const { page, plan, press, choose, write, text, settle } = stageHarness();
  const laid = async (root: HTMLElement): Promise<SVGGElement[]> => {
    for (let i = 0; i < 100 && !root.querySelector('gk-network-diagram svg'); i++) {
      await new Promise((resolve) => setTimeout(resolve, 50));
      await settle();
    }
    return [...root.querySelectorAll<SVGGElement>('.node')];
  };

  it('connects by list: a plug that is not named takes a free socket, and what does not fit is marked', async () => {
    const root = await page(FitPage, withFit());
    await press(root, '[data-tab=network]');
    await press(root, '#add-socket-helm');
    await write(root, '#socket-helm-0', 'round S');
    await choose(root, '#socket-at-once-helm-0', '2');
    await press(root, '#add-socket-helm');
    await write(root, '#socket-helm-1', 'round W');
    expect(plan().network.devices['helm']?.sockets).toEqual([
      { plug: 'round S', drives: [...sonarKinds], atOnce: 2 },
      { plug: 'round W', drives: [...sonarKinds], atOnce: 1 },
    ]);
    await choose(root, '#link-a-wide', 'helm');
    await choose(root, '#link-b-narrow', 'helm');
    expect(plan().network.links['b-narrow']).toEqual({
      to: 'helm',
      plug: 'round S',
      adapterDisables: null,
      cableM: null,
    });
    // A socket that drives no sounder says so; ticked off and on again it stands as it did, in the kinds' own order.
    const drives = (i: number): HTMLInputElement =>
      root.querySelectorAll<HTMLInputElement>('gk-socket-list .socket')[0]!.querySelectorAll('input[type="checkbox"]')[
        i
      ] as HTMLInputElement;
    drives(0).click();
    await settle();
    await laid(root);
    expect(root.querySelectorAll('.node.wrong').length).toBe(2);
    drives(0).click();
    await settle();
    expect(plan().network.devices['helm']?.sockets[0]).toEqual({
      plug: 'round S',
      drives: [...sonarKinds],
      atOnce: 2,
    });
    await write(root, '#link-plug-b-narrow', 'six-pin');
    expect(text(root, 'gk-fold ul')).toContain('Narrow 95 on Helm by six-pin.');
    await laid(root);
    expect(root.querySelector('.node.wrong')?.getAttribute('data-node')).toBe('t-b-narrow');
    await choose(root, '#link-b-narrow', '');
    expect(plan().network.links['b-narrow']).toBeUndefined();
    root.querySelector<HTMLInputElement>('#device-backbone-helm')?.click();
    await write(root, '#backbone-terminators', '1');
    expect(plan().network.backbone.terminators).toBe(1);
    expect(plan().network.devices['helm']?.onBackbone).toBeTrue();
  });

  it('connects by dragging a transducer onto a display', async () => {
    const root = await page(FitPage, withFit());
    document.body.append(root);
    await press(root, '[data-tab=network]');
    const nodes = await laid(root);
    const middle = (id: string) => {
      const box = nodes.find((node) => node.getAttribute('data-node') === id)!.getBoundingClientRect();
      return { clientX: box.x + box.width / 2, clientY: box.y + box.height / 2, bubbles: true, pointerId: 1 };
    };
    root.querySelector('gk-network-diagram')?.scrollIntoView();
    const from = nodes.find((node) => node.getAttribute('data-node') === 't-a-wide')!;
    from.dispatchEvent(new PointerEvent('pointerdown', middle('t-a-wide')));
    from.dispatchEvent(new PointerEvent('pointermove', middle('d-helm')));
    await settle();
    expect(root.querySelector('.pulled')).not.toBeNull();
    from.dispatchEvent(new PointerEvent('pointerup', middle('d-helm')));
    await settle();
    expect(plan().network.links['a-wide']?.to).toBe('helm');
    root.remove();
  });

  it('lays out thirty devices so that no box lies on another', async () => {
    const start = withFit();
    const sensor = start.equipment['antenna']!;
    const equipment = Object.fromEntries(
      Array.from({ length: 30 }, (_, i) => [`e-${i}`, { ...sensor, name: `Sensor ${i}` }]),
    );
    const devices = Object.fromEntries(
      Object.keys(equipment).map((id) => [id, { sockets: [], onBackbone: true, dropM: 1, loads: 1 }]),
    );
    const root = await page(FitPage, { ...start, equipment, network: { ...start.network, devices } });
    document.body.append(root);
    await press(root, '[data-tab=network]');
    const boxes = (await laid(root)).map((node) => node.querySelector('rect')!.getBoundingClientRect());
    expect(boxes.length).toBe(34);
    for (const [i, a] of boxes.entries())
      for (const b of boxes.slice(i + 1))
        expect(a.right <= b.left || b.right <= a.left || a.bottom <= b.top || b.bottom <= a.top).toBeTrue();
    root.remove();
  });

  it('has its sheets: circuits, cables and what each screen listens to', async () => {
    const start = withFit();
    const root = await page(FitPage, {
      ...start,
      feeds: { helm: { depth: { sourceId: 'a-wide', fallbackId: null } } },
      network: {
        ...start.network,
        links: { 'a-wide': { to: 'helm', plug: 'round S', adapterDisables: null, cableM: 6 } },
      },
    });
    await press(root, '[data-tab=sheets]');
    expect(text(root, 'table[aria-labelledby="sheet-cables"] tbody tr')).toBe(
      'Transducer cableWide 190Helmround S6.0 m',
    );
    expect(text(root, 'table[aria-labelledby="sheet-sources"] tbody tr')).toBe('HelmdepthWide 190nothing');
    expect(root.textContent).toContain('No circuit yet');
  });
});

describe('who transmits when', () => {
  const { page, plan, press, text } = stageHarness();

  it('says who is heard by whom, and does the least that quiets the boat', async () => {
    const start = withFit();
    const beam = start.transducers['a-wide']!.beams[0]!;
    const two = [beam, { ...beam, frequencyHz: 95_000 }];
    const other = {
      ...start.transducers['b-narrow']!,
      name: 'Other 190',
      beams: two,
      transmitsIn: { trolling: true } as const,
    };
    const root = await page(FitPage, { ...start, transducers: { ...start.transducers, 'b-narrow': other } });
    await press(root, '[data-tab="who transmits"]');
    expect(text(root, '.interferes')).toBe('interferes');
    expect(root.querySelectorAll('td.loud').length).toBe(2);
    expect(text(root, '.advice')).toContain('Other 190 works at 95 kHz.');
    await press(root, '#quieten');
    expect(plan().transducers['b-narrow']?.workingBeam).toBe(1);
    expect(root.querySelector('.advice')).toBeNull();
    await press(root, '#sends-a-wide-trolling');
    expect(plan().transducers['a-wide']?.transmitsIn).toEqual({});
  });
});
