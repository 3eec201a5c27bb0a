import { Component, provideZonelessChangeDetection, signal } from '@angular/core';
import { TestBed, type ComponentFixture } from '@angular/core/testing';
import type { Quantity } from '@grey-keel/model';
import { provideState, provideStore, Store } from '@ngrx/store';
import * as z from 'zod';
import { viewEvents, viewFeature } from '../state/view.ts';
import { QuantityField } from './quantity-field.ts';

@Component({
  selector: 'gk-host',
  imports: [QuantityField],
  template: `<gk-quantity-field
    label="Draught"
    fieldId="draught"
    [quantity]="quantity()"
    [value]="value()"
    [schema]="schema"
    (changed)="changes.push($event); value.set($event)"
  />`,
})
class Host {
  readonly quantity = signal<Quantity>('length');
  readonly value = signal<number | null>(0.62);
  readonly schema = z.number().min(0.05).max(10).nullable();
  readonly changes: (number | null)[] = [];
}

describe('a quantity field', () => {
  let fixture: ComponentFixture<Host>;
  const input = (): HTMLInputElement => (fixture.nativeElement as HTMLElement).querySelector('input')!;
  const problem = (): string =>
    (fixture.nativeElement as HTMLElement).querySelector('.problem')?.textContent.trim() ?? '';
  const type = async (text: string): Promise<void> => {
    input().value = text;
    input().dispatchEvent(new Event('input'));
    input().dispatchEvent(new Event('blur'));
    await fixture.whenStable();
  };
  const key = async (name: string, shiftKey = false): Promise<void> => {
    input().dispatchEvent(new KeyboardEvent('keydown', { key: name, shiftKey, cancelable: true }));
    await fixture.whenStable();
  };

  beforeEach(async () => {
    TestBed.configureTestingModule({
      imports: [Host],
      providers: [provideZonelessChangeDetection(), provideStore(), provideState(viewFeature)],
    });
    fixture = TestBed.createComponent(Host);
    await fixture.whenStable();
  });

  it('shows the value in the reader\u2019s unit and keeps what is typed in SI', async () => {
    expect(input().value).toBe('0.62');
    await type('0,7');
    expect(fixture.componentInstance.changes).toEqual([0.7]);
    TestBed.inject(Store).dispatch(viewEvents.unitsChosen({ units: 'feet' }));
    await fixture.whenStable();
    expect(input().value).toBe('2.30');
    await type('3');
    expect(fixture.componentInstance.changes[1]).toBeCloseTo(0.9144, 9);
    await type('80 cm');
    expect(fixture.componentInstance.changes[2]).toBeCloseTo(0.8, 9);
  });

  it('keeps nothing when nothing was changed, also where the unit rounds what is shown', async () => {
    fixture.componentInstance.value.set(0.6234567);
    await fixture.whenStable();
    await type(input().value);
    expect(fixture.componentInstance.changes).toEqual([]);
  });

  it('leaves what cannot be kept in the field, says what would do, and ties the words to the field', async () => {
    await type('deep');
    expect(problem()).toContain('Draught: "deep" is not a number. Write a number such as 12.5 m.');
    expect(input().value).toBe('deep');
    expect(input().getAttribute('aria-invalid')).toBe('true');
    expect(input().getAttribute('aria-describedby')).toBe('draught-problem');
    await type('99');
    expect(problem()).toBe('Draught must lie within 0.05 to 10 m.');
    await key('Escape');
    expect([input().value, problem()]).toEqual(['0.62', '']);
    expect(fixture.componentInstance.changes).toEqual([]);
  });

  it('may be emptied where the schema allows it', async () => {
    await type('');
    expect(fixture.componentInstance.changes).toEqual([null]);
    expect((fixture.nativeElement as HTMLElement).querySelector('.is-missing')).not.toBeNull();
  });

  it('is nudged by the arrows, ten times as far with Shift, and stops at its bounds', async () => {
    await key('ArrowUp');
    await key('ArrowDown', true);
    expect(fixture.componentInstance.changes.map((value) => Number(value?.toFixed(2)))).toEqual([0.63, 0.53]);
    fixture.componentInstance.value.set(0.055);
    await fixture.whenStable();
    await key('ArrowDown', true);
    expect(fixture.componentInstance.changes.at(-1)).toBe(0.05);
  });

  it('counts every key, however fast they come', async () => {
    for (let i = 0; i < 5; i++)
      input().dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowUp', cancelable: true }));
    await fixture.whenStable();
    expect(fixture.componentInstance.value()).toBeCloseTo(0.67, 9);
  });
});
