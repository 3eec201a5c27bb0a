import { HttpTestingController } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import { stageHarness } from '../testing/stage-harness.ts';
import { BackupsDialog } from './backups-dialog.ts';

describe('the backups', () => {
  const { page, settle: drawn } = stageHarness();
  /** An answer passes through a promise before it is drawn. */
  const settle = async (): Promise<void> => {
    await new Promise((resolve) => setTimeout(resolve, 20));
    await drawn();
  };
  const entry = (day: number) => ({
    name: `grey-keel-2026-05-0${day}T08-00-00.sqlite`,
    at: `2026-05-0${day}T08:00:00.000Z`,
    bytes: 2_400_000,
    kind: 'daily',
    isAhead: false,
    holdsPositions: false,
  });
  const http = (): HttpTestingController => TestBed.inject(HttpTestingController);
  const dialog = (): HTMLElement => document.querySelector<HTMLElement>('.p-dialog')!;
  const press = async (label: string): Promise<void> => {
    const button = [...dialog().querySelectorAll('button')].find((one) => one.textContent?.trim() === label);
    if (!button) throw new Error(`There is no button "${label}".`);
    button.click();
    await settle();
  };
  const open = async (list: unknown[]): Promise<void> => {
    await page(BackupsDialog, undefined, { open: true });
    http().expectOne('api/backups').flush(list);
    await settle();
  };

  it('are listed with their day and size, and an empty list says when the first comes', async () => {
    await open([entry(2), entry(1)]);
    const rows = [...dialog().querySelectorAll('tbody tr')].map((row) => row.textContent ?? '');
    expect(rows.length).toBe(2);
    expect(rows[0]).toContain('2 May 2026');
    expect(rows[0]).toContain('2.4 MB');
    await press('Back up now');
    http().expectOne({ method: 'POST', url: 'api/backups' }).flush([]);
    await settle();
    expect(dialog().textContent).toContain('None yet');
  });

  it('are restored only after it is said what that does, and a refusal is shown', async () => {
    await open([entry(1)]);
    await press('Restore');
    expect(dialog().textContent).toContain('put aside');
    await press('Restore this backup');
    http()
      .expectOne(`api/backups/${entry(1).name}/restore`)
      .flush({ detail: 'The file is in use.' }, { status: 409, statusText: 'Conflict' });
    await settle();
    expect(dialog().textContent).toContain('The file is in use.');
  });

  it('say what a restore ended, which are dated ahead of the clock, and what was put aside', async () => {
    await open([
      { ...entry(3), isAhead: true },
      { ...entry(2), holdsPositions: true },
      { ...entry(1), name: 'boats.before-1', kind: 'put aside' },
    ]);
    const rows = [...dialog().querySelectorAll('tbody tr')].map((row) => row.textContent ?? '');
    expect(rows.map((row) => [row.includes('dated ahead'), row.includes('put aside')])).toEqual([
      [true, false],
      [false, false],
      [false, true],
    ]);
    expect(rows[1]).toContain('with positions');
    expect(dialog().textContent).toContain('One of these is dated later than now');
    await press('Restore');
    await press('Restore this backup');
    http()
      .expectOne(`api/backups/${entry(3).name}/restore`)
      .flush({ recordings: ['Monday'], imports: ['tuesday.nmea'] });
    await settle();
    expect(dialog().textContent).toContain('It ended what was being recorded: Monday.');
    expect(dialog().textContent).toContain('broke it off: tuesday.nmea. Take it in again.');
  });
});
