import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { type Path, type Place, placeSchema } from '@grey-keel/model';
import { PlanPlace } from '../../shared/plan-place.ts';
import { PressButton } from '../../shared/press-button.ts';
import { QuantityField } from '../../shared/quantity-field.ts';
import { openBoat } from '../open-boat.ts';
import { type FittedThing, placing } from './fitted-things.ts';

/** Where the thing that is looked at is, typed beside the drawing, in sight however tall that is. */
@Component({
  selector: 'gk-thing-place',
  imports: [PlanPlace, PressButton, QuantityField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let it = thing();
    <strong [title]="it.name">{{ it.name }}</strong>
    <div class="fields">
      @if (it.place; as at) {
        <gk-quantity-field
          [fieldId]="'place-' + it.id"
          [at]="placeOf(it)"
          [value]="at.forwardM"
          [schema]="place.forwardM"
          (changed)="type(it, { forwardM: $event ?? at.forwardM })"
        />
        <gk-quantity-field
          [fieldId]="'place-starboard-' + it.id"
          [value]="at.starboardM"
          [schema]="place.starboardM"
          (changed)="type(it, { starboardM: $event ?? at.starboardM })"
        />
        <gk-quantity-field
          [fieldId]="'place-above-' + it.id"
          [value]="at.aboveKeelM"
          [schema]="place.aboveKeelM"
          (changed)="type(it, { aboveKeelM: $event ?? at.aboveKeelM })"
        />
      } @else {
        <button type="button" pButton [id]="'place-' + it.id" [gkPlace]="placeOf(it)" (click)="putDown(it)">
          Add it to the boat
        </button>
      }
    </div>
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: minmax(80px, 200px) minmax(0, 1fr);
      gap: 14px;
      align-items: end;
      padding: 6px 0 8px;
      background: var(--sheet);
      border-top: var(--hairline) solid var(--rule);
    }
    strong {
      padding-bottom: 12px;
      overflow: hidden;
      text-overflow: ellipsis;
      white-space: nowrap;
    }
    @media (min-width: 761px) and (min-height: 600px) {
      :host {
        position: sticky;
        bottom: -1px;
        z-index: 2;
      }
    }
    @media (max-width: 760px) {
      :host {
        grid-template-columns: minmax(0, 1fr);
        gap: 0;
      }
      strong {
        padding-bottom: 2px;
      }
    }
  `,
})
export class ThingPlace {
  readonly thing = input.required<FittedThing>();

  private readonly open = openBoat();
  protected readonly place = placeSchema.shape;

  /** Where a thing stands, as a place of the plan. */
  protected placeOf({ id, of }: FittedThing): Path {
    if (of === 'station') return ['stations', id, 'place'];
    return [of === 'transducer' ? 'transducers' : 'equipment', id, 'forwardM'];
  }

  protected type(thing: FittedThing, changes: Partial<Place>): void {
    if (thing.place) this.open.edits.edit(`where ${thing.name} is`, placing(thing, { ...thing.place, ...changes }));
  }

  protected putDown(thing: FittedThing): void {
    const lengthM = this.open.plan().boat.lengthM ?? 6;
    this.open.edits.edit(
      `where ${thing.name} is`,
      placing(thing, { forwardM: Math.round(50 * lengthM) / 100, starboardM: 0, aboveKeelM: 1.5 }),
    );
  }
}
