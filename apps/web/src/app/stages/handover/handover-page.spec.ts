import { heldBy, keyedIn } from '@grey-keel/core';
import { HttpTestingController } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import { edited } from '@grey-keel/core/testing';
import { withFit } from '../../testing/plans.ts';
import { stageHarness } from '../../testing/stage-harness.ts';
import { HandoverPage } from './handover-page.ts';

describe('the handover', () => {
  const { plan, page, press, text, settle } = stageHarness();

  it('shows the card with its figures, what is not settled and the cautions', async () => {
    const root = await page(HandoverPage);
    expect(text(root, 'article')).toContain('Length 7.40 m, draught 0.50 m');
    expect(text(root, 'tr[data-transducer="Wide 190"]')).toContain('not measured');
    expect(text(root, '[aria-labelledby="open-title"]')).toContain('Stage 5, Calibrate: missing.');
    expect(text(root, '.caution')).toContain('A wrong sign grounds the boat');
    expect(root.querySelectorAll('gk-card-section polygon').length).toBeGreaterThan(6);
  });

  it('says what is entered on the instruments, when and by whom', async () => {
    const measured = {
      of: 'depth' as const,
      fingerprint: 'a'.repeat(64),
      parts: {},
      half95: 0.02,
      standardError: 0.01,
    };
    const said = { at: '2026-05-01T09:30:00Z', by: 'Installer', seenAgainAt: null, measured };
    const root = await page(HandoverPage, edited(withFit(), keyedIn(withFit(), 'depth', 'a-wide', [0.25], said)!));
    expect(text(root, '.entered')).toContain('+0.25 m, 2026-05-01');
    expect(text(root, '.entered')).toContain('by Installer');
  });

  it('prints by way of the server and remembers that it was printed', async () => {
    const root = await page(HandoverPage);
    await press(root, '#print-card');
    const asked = TestBed.inject(HttpTestingController).expectOne(({ url }) => url === 'api/boats/test-hull/card.pdf');
    expect(asked.request.params.get('paper')).toBe('A4');
    asked.flush(new Blob(['%PDF-']));
    await settle();
    await new Promise((resolve) => setTimeout(resolve));
    expect(Object.keys(plan().cards).length).toBe(1);
    await settle();
    expect(text(root, '.standing')).toContain('shows these figures');
  });

  it('lists every paper, and shows one in a tab of its own', async () => {
    const root = await page(HandoverPage);
    expect(root.querySelectorAll('gk-papers-list li').length).toBe(6);
    const replace = jasmine.createSpy('replace');
    const opened = spyOn(window, 'open').and.returnValue({ location: { replace }, close: () => undefined } as never);
    await press(root, '#look-aboard');
    await new Promise((resolve) => setTimeout(resolve));
    expect(opened).toHaveBeenCalled();
    expect(replace.calls.mostRecent().args[0]).toContain('/api/boats/test-hull/aboard.pdf?');
    expect(replace.calls.mostRecent().args[0]).toContain('as=inline');
    opened.and.returnValue(null);
    await press(root, '#look-aboard');
    expect(text(root, '[role="alert"]')).toContain('no tab');
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

  it('lists what each device should hold, and a line is entered, seen again, asked for after a reset and taken back', async () => {
    const root = await page(
      HandoverPage,
      edited(withFit(), { type: 'chooseSetting', kind: 'north', line: null, value: 'true' }),
    );
    await press(root, '[data-tab="entered"]');
    const standing = () => root.querySelector('[data-line="north helm"]')?.getAttribute('data-standing');
    const north = () => heldBy(plan(), 'helm', 'north');
    expect([standing(), north()]).toEqual(['to enter', null]);
    await press(root, '#entered-north-helm');
    expect([standing(), north()]).toEqual(['entered', 'true']);
    await press(root, '#seen-north-helm');
    expect(standing()).toBe('seen');
    await new Promise((resolve) => setTimeout(resolve, 2));
    await press(root, 'gk-fold .p-accordionheader');
    await press(root, '#device-update');
    expect(standing()).toBe('look again');
    await press(root, '#seen-north-helm');
    expect(standing()).toBe('seen');
    await press(root, '#entered-north-helm');
    expect([standing(), north()]).toEqual(['to enter', null]);
  });

  it('says on the card what is corrected by hand: what to steer by the compass', async () => {
    const entered = { values: [0, 8], halfInterval95: null, at: '2026-05-01T09:30:00Z', by: 'Installer' };
    const noted = { ...entered, fingerprint: 'a'.repeat(64), inputs: {} };
    const compass = { name: 'Compass', kind: 'heading sensor' as const, forwardM: 3, starboardM: 0, aboveKeelM: 1 };
    const equipment = { compass: { ...compass, propellerDiameterM: null } };
    const root = await page(
      HandoverPage,
      edited(
        { ...withFit(), equipment },
        { type: 'noteCalibration', of: 'deviation', sensorId: 'compass', entered: noted },
      ),
    );
    const cells = [...root.querySelectorAll('[data-correction="deviation"] th, [data-correction="deviation"] td')];
    expect(cells.length).toBe(48);
    expect(cells.map(({ textContent }) => textContent).join(' ')).toContain('090° 082°');
    expect(text(root, '[data-correction="deviation"]')).toContain('out of date');
  });
});
