import { Component, provideZonelessChangeDetection, signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { boatSchema, type Boat } from '@grey-keel/model';
import { provideState, provideStore } from '@ngrx/store';
import { viewFeature } from '../state/view.ts';
import { aPlan } from '../testing/plans.ts';
import { PlanFields } from './plan-fields.ts';

@Component({
  imports: [PlanFields],
  template: `
    <gk-plan-fields
      [of]="boat()"
      [shape]="shape"
      [names]="['name', 'lengthM', 'hullForm', 'bowMotor', 'deadriseDeg', 'systemVoltageV']"
      [at]="['boat']"
      ids="boat"
      one="x"
      (changed)="change($event)"
    />
  `,
})
class Host {
  readonly shape = boatSchema.shape;
  readonly boat = signal<Boat>(aPlan().boat);
  readonly changes: Partial<Boat>[] = [];
  change(one: Partial<Boat>): void {
    this.changes.push(one);
    this.boat.update((before) => ({ ...before, ...one }));
  }
}

describe('fields by their schemas', () => {
  it('are called, measured and chosen from as their schemas say, and tell one change by its name', async () => {
    TestBed.configureTestingModule({
      providers: [provideZonelessChangeDetection(), provideStore(), provideState(viewFeature)],
    });
    const fixture = TestBed.createComponent(Host);
    const root = fixture.nativeElement as HTMLElement;
    await fixture.whenStable();
    const words = [...root.querySelectorAll('label, .label')].map((one) => one.textContent.trim());
    expect(words).toEqual([
      'Name',
      'Length',
      'Hull form',
      'electric bow motor',
      'Deadrise of the bottom',
      'Electrical system',
    ]);
    expect([...root.querySelectorAll('.unit')].map((one) => one.textContent)).toEqual(['m', '°', 'V']);
    const field = (id: string) => root.querySelector<HTMLInputElement>(`#boat-${id}-x`)!;
    expect([field('length').value, field('deadrise').value]).toEqual(['7.40', '']);
    const write = async (id: string, text: string): Promise<void> => {
      field(id).value = text;
      field(id).dispatchEvent(new Event('input'));
      field(id).dispatchEvent(new Event('blur'));
      await fixture.whenStable();
    };
    await write('name', 'Other');
    await write('length', '8,2');
    await write('system-voltage', '900');
    expect(root.querySelector('#boat-system-voltage-x-problem')?.textContent).toContain(
      'Electrical system must lie within 6 to 60 V',
    );
    const form = root.querySelector<HTMLElement>('#boat-hull-form-x');
    form?.click();
    await fixture.whenStable();
    const options = [
      ...document.querySelectorAll<HTMLElement>(`#${form?.getAttribute('aria-controls') ?? ''} [role="option"]`),
    ];
    options.find(({ textContent }) => textContent?.trim() === 'catamaran')?.click();
    await fixture.whenStable();
    field('bow-motor').click();
    await fixture.whenStable();
    expect(fixture.componentInstance.changes).toEqual([
      { name: 'Other' },
      { lengthM: 8.2 },
      { hullForm: 'catamaran' },
      { bowMotor: true },
    ]);
  });
});
