import { ChangeDetectionStrategy, Component, computed } from '@angular/core';
import { inOrder } from '@grey-keel/core';
import { bottoms, targetSpeciesSchema, type TargetSpecies } from '@grey-keel/model';
import { choicesOf } from '../../shared/choice-field.ts';
import { ChoicesField } from '../../shared/choices-field.ts';
import { QuantityField } from '../../shared/quantity-field.ts';
import { TextField } from '../../shared/text-field.ts';
import { newId } from '../../state/open-plan.ts';
import { focusField } from './focus-field.ts';
import { openBoat } from '../open-boat.ts';
import { PlanPlace } from '../../shared/plan-place.ts';
import { PressButton } from '../../shared/press-button.ts';

/** The fish or things that are sought, and where they stand. */
@Component({
  selector: 'gk-target-species-section',
  imports: [ChoicesField, PlanPlace, PressButton, QuantityField, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section class="sheet" aria-labelledby="sought-title">
      <h2 id="sought-title">Target species</h2>
      @for (entry of sought(); track entry[0]) {
        <div class="fields item">
          <gk-text-field
            [fieldId]="'sought-name-' + entry[0]"
            [at]="['sought', entry[0], 'name']"
            [value]="entry[1].name"
            [schema]="thing.name"
            (changed)="change(entry[0], { name: $event })"
          />
          <gk-quantity-field
            [fieldId]="'sought-length-' + entry[0]"
            [at]="['sought', entry[0], 'lengthCm']"
            [value]="entry[1].lengthCm"
            [schema]="thing.lengthCm"
            (changed)="change(entry[0], { lengthCm: $event })"
          />
          <gk-quantity-field
            [fieldId]="'sought-shallowest-' + entry[0]"
            [at]="['sought', entry[0], 'shallowestM']"
            [value]="entry[1].shallowestM"
            [schema]="thing.shallowestM"
            (changed)="change(entry[0], { shallowestM: $event })"
          />
          <gk-quantity-field
            [fieldId]="'sought-deepest-' + entry[0]"
            [at]="['sought', entry[0], 'deepestM']"
            [value]="entry[1].deepestM"
            [schema]="thing.deepestM"
            (changed)="change(entry[0], { deepestM: $event })"
          />
          <gk-choices-field
            label="Over"
            [fieldId]="'sought-over-' + entry[0]"
            [at]="['sought', entry[0], 'over']"
            [value]="entry[1].over"
            [choices]="choices.over"
            (changed)="change(entry[0], { over: $event })"
          />
          <button
            type="button"
            pButton
            text
            (click)="edits.edit('delete ' + entry[1].name, { type: 'removeSought', id: entry[0] })"
            [attr.aria-label]="'Delete ' + entry[1].name"
          >
            Delete
          </button>
        </div>
      }
      <button type="button" pButton severity="secondary" id="add-sought" [gkPlace]="['sought']" (click)="addSought()">
        Add a target species
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
  `,
})
export class TargetSpeciesSection {
  private readonly open = openBoat();
  protected readonly plan = this.open.plan;
  protected readonly edits = this.open.edits;
  protected readonly thing = targetSpeciesSchema.shape;
  protected readonly choices = { over: choicesOf(bottoms) };
  protected readonly sought = computed(() => inOrder(this.plan().sought));

  protected change(id: string, changes: Partial<TargetSpecies>): void {
    this.edits.edit('target species', { type: 'describeSought', id, changes });
  }

  protected addSought(): void {
    const id = newId();
    this.edits.edit('add a target species', {
      type: 'addSought',
      id,
      sought: {
        name: `Species ${this.sought().length + 1}`,
        lengthCm: null,
        shallowestM: null,
        deepestM: null,
        over: ['open water'],
      },
    });
    focusField(`sought-name-${id}`);
  }
}
