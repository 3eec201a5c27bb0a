import { ChangeDetectionStrategy, Component, computed } from '@angular/core';
import { inOrder } from '@grey-keel/core';
import { clarities, waterKinds, waterSchema, type Water } from '@grey-keel/model';
import { ChoiceField, choicesOf } from '../../shared/choice-field.ts';
import { QuantityField } from '../../shared/quantity-field.ts';
import { TextField } from '../../shared/text-field.ts';
import { newId } from '../../state/open-plan.ts';
import { focusField } from './focus-field.ts';
import { openBoat } from '../open-boat.ts';
import { PlanPlace } from '../../shared/plan-place.ts';

/** What a new water starts from, by kind: only the salt is known beforehand. */
const saltOf: Record<Water['kind'], number> = { fresh: 0, brackish: 10, salt: 35 };

/** The waters the boat works in: their salt, temperatures and depths. */
@Component({
  selector: 'gk-waters-section',
  imports: [PlanPlace, ChoiceField, QuantityField, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let it = plan();
    <section class="sheet" aria-labelledby="waters-title">
      <h2 id="waters-title">Waters</h2>
      @for (entry of waters(); track entry[0]) {
        <div class="fields item">
          <label class="works"
            ><input
              type="radio"
              name="working-water"
              [checked]="it.working.waterId === entry[0]"
              (change)="edits.edit('work in ' + entry[1].name, { type: 'workIn', waterId: entry[0] })"
            />
            works here</label
          >
          <gk-text-field
            label="Water"
            [fieldId]="'water-name-' + entry[0]"
            [at]="['waters', entry[0], 'name']"
            [value]="entry[1].name"
            [schema]="water.name"
            (changed)="setWater(entry[0], { name: $event })"
          />
          <gk-choice-field
            label="Kind"
            [fieldId]="'water-kind-' + entry[0]"
            [at]="['waters', entry[0], 'kind']"
            [value]="entry[1].kind"
            [choices]="choices.kind"
            (changed)="setKind(entry[0], $event)"
          />
          <gk-quantity-field
            label="Salinity"
            [fieldId]="'water-salinity-' + entry[0]"
            [at]="['waters', entry[0], 'salinityPpt']"
            quantity="salinity"
            [value]="entry[1].salinityPpt"
            [schema]="water.salinityPpt"
            (changed)="setWater(entry[0], { salinityPpt: $event ?? 0 })"
          />
          <gk-quantity-field
            label="Usual temperature"
            [fieldId]="'water-temperature-' + entry[0]"
            [at]="['waters', entry[0], 'temperatureC']"
            quantity="temperature"
            [value]="entry[1].temperatureC"
            [schema]="water.temperatureC"
            (changed)="setWater(entry[0], { temperatureC: $event ?? 10 })"
          />
          <gk-quantity-field
            label="Coldest"
            [fieldId]="'water-coldest-' + entry[0]"
            [at]="['waters', entry[0], 'coldestC']"
            quantity="temperature"
            [value]="entry[1].coldestC"
            [schema]="water.coldestC"
            (changed)="setWater(entry[0], { coldestC: $event })"
          />
          <gk-quantity-field
            label="Warmest"
            [fieldId]="'water-warmest-' + entry[0]"
            [at]="['waters', entry[0], 'warmestC']"
            quantity="temperature"
            [value]="entry[1].warmestC"
            [schema]="water.warmestC"
            (changed)="setWater(entry[0], { warmestC: $event })"
          />
          <gk-quantity-field
            label="Shallowest"
            [fieldId]="'water-shallowest-' + entry[0]"
            [at]="['waters', entry[0], 'shallowestM']"
            quantity="depth"
            [value]="entry[1].shallowestM"
            [schema]="water.shallowestM"
            (changed)="setWater(entry[0], { shallowestM: $event })"
          />
          <gk-quantity-field
            label="Usual deepest"
            [fieldId]="'water-deepest-' + entry[0]"
            [at]="['waters', entry[0], 'usualDeepestM']"
            quantity="depth"
            [value]="entry[1].usualDeepestM"
            [schema]="water.usualDeepestM"
            (changed)="setWater(entry[0], { usualDeepestM: $event })"
          />
          <gk-quantity-field
            label="Greatest depth"
            [fieldId]="'water-greatest-' + entry[0]"
            [at]="['waters', entry[0], 'greatestM']"
            quantity="depth"
            [value]="entry[1].greatestM"
            [schema]="water.greatestM"
            (changed)="setWater(entry[0], { greatestM: $event })"
          />
          <gk-choice-field
            label="Clarity"
            [fieldId]="'water-clarity-' + entry[0]"
            [at]="['waters', entry[0], 'clarity']"
            [value]="entry[1].clarity"
            [choices]="choices.clarity"
            (changed)="setWater(entry[0], { clarity: $event })"
          />
          <button
            type="button"
            class="plain"
            (click)="edits.edit('remove ' + entry[1].name, { type: 'removeWater', id: entry[0] })"
            [attr.aria-label]="'Remove water ' + entry[1].name"
          >
            Remove
          </button>
        </div>
      } @empty {
        <p class="faint">
          No water yet. Its salt and temperature set the speed of sound, its depths what the sonar must reach.
        </p>
      }
      <button type="button" class="action" id="add-water" [gkPlace]="['waters']" (click)="addWater()">
        Add a water
      </button>
    </section>
  `,
  styles: `
    :host {
      display: contents;
    }
    h2 {
      margin-bottom: 6px;
    }
    .item {
      padding-bottom: 10px;
      margin-bottom: 10px;
      border-bottom: var(--hairline) solid var(--rule);
      align-items: end;
    }
    .works {
      display: flex;
      gap: 8px;
      align-items: center;
      align-self: end;
      min-height: var(--touch);
    }
  `,
})
export class WatersSection {
  private readonly open = openBoat();
  protected readonly plan = this.open.plan;
  protected readonly edits = this.open.edits;
  protected readonly water = waterSchema.shape;
  protected readonly choices = { kind: choicesOf(waterKinds), clarity: choicesOf(clarities) };
  protected readonly waters = computed(() => inOrder(this.plan().waters));

  protected setWater(id: string, changes: Partial<Water>): void {
    this.edits.edit('a water', { type: 'describeWater', id, changes });
  }

  /** A change of kind brings the salt that goes with it; it can be set closer afterwards. */
  protected setKind(id: string, kind: Water['kind']): void {
    this.setWater(id, { kind, salinityPpt: saltOf[kind] });
  }

  protected addWater(): void {
    const id = newId();
    this.edits.edit('add a water', {
      type: 'addWater',
      id,
      water: {
        name: `Water ${this.waters().length + 1}`,
        kind: 'fresh',
        salinityPpt: 0,
        temperatureC: 10,
        coldestC: null,
        warmestC: null,
        shallowestM: null,
        usualDeepestM: null,
        greatestM: null,
        clarity: 'mixed',
      },
    });
    focusField(`water-name-${id}`);
  }
}
