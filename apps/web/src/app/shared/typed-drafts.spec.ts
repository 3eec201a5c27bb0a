import { Component, Injectable, provideZonelessChangeDetection, signal } from '@angular/core';
import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { provideState, provideStore, Store } from '@ngrx/store';
import * as z from 'zod';
import { viewEvents, viewFeature } from '../state/view.ts';
import { QuantityField } from './quantity-field.ts';
import { TextField } from './text-field.ts';
import { TypedDrafts } from './typed-drafts.ts';

let boat: string | null = 'sable-wren';
@Injectable()
class OnABoat extends TypedDrafts {
  protected override boat(): string | null {
    return boat;
  }
}

@Component({
  imports: [QuantityField, TextField],
  template: `
    <gk-quantity-field
      label="Draught"
      fieldId="draught"
      quantity="length"
      [value]="draughtM()"
      [schema]="draught"
      (changed)="draughtM.set($event)"
    />
    <gk-text-field label="Owner" fieldId="owner" [value]="owner()" [schema]="words" (changed)="owner.set($event)" />
  `,
})
class Host {
  readonly draughtM = signal<number | null>(0.62);
  readonly draught = z.number().min(0.05).max(10).nullable();
  readonly owner = signal('');
  readonly words = z.string().max(10);
}

describe('what is typed and not saved', () => {
  let fixture: ComponentFixture<Host>;
  const field = (id: string): HTMLInputElement =>
    (fixture.nativeElement as HTMLElement).querySelector<HTMLInputElement>(`#${id}`)!;
  const problem = (id: string): string | undefined =>
    (fixture.nativeElement as HTMLElement).querySelector(`#${id}-problem`)?.textContent;
  const type = (id: string, text: string): void => {
    field(id).value = text;
    field(id).dispatchEvent(new Event('input'));
  };
  const key = async (id: string, name: string): Promise<void> => {
    field(id).dispatchEvent(new KeyboardEvent('keydown', { key: name }));
    await fixture.whenStable();
  };
  /** The page as it is after a reload: drawn anew, with what the window remembers. */
  const load = async (draughtM = 0.62): Promise<void> => {
    TestBed.resetTestingModule();
    TestBed.configureTestingModule({
      providers: [
        provideZonelessChangeDetection(),
        provideStore(),
        provideState(viewFeature),
        { provide: TypedDrafts, useClass: OnABoat },
      ],
    });
    fixture = TestBed.createComponent(Host);
    fixture.componentInstance.draughtM.set(draughtM);
    await fixture.whenStable();
  };

  beforeEach(async () => {
    boat = 'sable-wren';
    sessionStorage.clear();
    await load();
  });
  afterAll(() => sessionStorage.clear());

  it('is there again after a reload, valid or not, and says that it is not saved', async () => {
    type('draught', '0.7');
    type('owner', 'half a na');
    await load();
    expect([field('draught').value, field('owner').value]).toEqual(['0.7', 'half a na']);
    expect(problem('draught')).toContain('not saved yet');
    expect(problem('owner')).toContain('not saved yet');
    type('draught', 'deep');
    await load();
    expect(field('draught').value).toBe('deep');
    await key('draught', 'Enter');
    expect(problem('draught')).toContain('Draught');
    expect(fixture.componentInstance.draughtM()).toBe(0.62);
  });

  it('is forgotten once it is saved, taken back, or put back as it was', async () => {
    type('draught', '0.7');
    await key('draught', 'Enter');
    expect(fixture.componentInstance.draughtM()).toBe(0.7);
    type('owner', 'nobody');
    await key('owner', 'Escape');
    await load();
    expect([field('draught').value, field('owner').value]).toEqual(['0.62', '']);
    type('draught', '0.7');
    type('draught', '0.62');
    await key('draught', 'Enter');
    await load();
    expect(problem('draught')).toBeUndefined();
  });

  it('is put back over what it was typed over alone: in another unit, or over another value, it would say another thing', async () => {
    type('draught', '0.7');
    await load(2.5);
    expect([field('draught').value, problem('draught')]).toEqual(['2.50', undefined]);
    await load();
    expect(field('draught').value).toBe('0.7');
    TestBed.inject(Store).dispatch(viewEvents.nextUnitsWanted());
    fixture = TestBed.createComponent(Host);
    await fixture.whenStable();
    expect([field('draught').value, problem('draught')]).toEqual(['2.03', undefined]);
  });

  it('is of one boat, and of none outside a boat', async () => {
    type('draught', '0.7');
    boat = 'old-marl';
    await load();
    expect(field('draught').value).toBe('0.62');
    boat = null;
    type('draught', '0.9');
    expect(sessionStorage.getItem('grey-keel-typed')).not.toContain('0.9');
    sessionStorage.setItem('grey-keel-typed', 'garbage');
    boat = 'sable-wren';
    await load();
    expect(field('draught').value).toBe('0.62');
  });
});
