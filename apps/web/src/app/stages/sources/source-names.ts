import { ChangeDetectionStrategy, Component, computed } from '@angular/core';
import { nameAll } from '@grey-keel/core';
import { sourceSchema, temperatureSensors, type Source } from '@grey-keel/model';
import { ChoiceField, choicesOf } from '../../shared/choice-field.ts';
import { QuantityField } from '../../shared/quantity-field.ts';
import { TextField } from '../../shared/text-field.ts';
import { forgetting, keyingIn } from '../key-in.ts';
import { openBoat } from '../open-boat.ts';
import { namedSources } from './named-sources.ts';
import { PressButton } from '../../shared/press-button.ts';

type Named = Pick<ReturnType<typeof namedSources>[number], 'id' | 'unit' | 'deviceId'>;

/** Tags, types and names of everything a display can list. */
@Component({
  selector: 'gk-source-names',
  imports: [ChoiceField, PressButton, QuantityField, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (unnamed().length > 1) {
      <button type="button" pButton severity="secondary" id="name-all" (click)="nameThem()">
        Name the {{ unnamed().length }} that have no name
      </button>
    }
    @for (it of sources(); track it.id) {
      <article class="source" [attr.aria-label]="it.unit">
        <p>
          <span class="swatch" [style.background]="it.colour" aria-hidden="true"></span><strong>{{ it.unit }}</strong>
          <span class="small faint">{{ it.kind }}</span>
          @if (it.source.name !== it.suggested) {
            <button
              type="button"
              pButton
              text
              class="small"
              [id]="'name-by-rule-' + it.id"
              (click)="set(it.id, it.unit, { name: it.suggested })"
            >
              Call it "{{ it.suggested }}"
            </button>
          }
          @if (it.source.tag && !it.selected) {
            <button
              type="button"
              pButton
              text
              class="small"
              [id]="'as-on-tag-' + it.id"
              (click)="select(it, it.source.tag)"
            >
              Select "{{ it.source.tag }}"
            </button>
          }
        </p>
        <gk-text-field
          label="The tag on its cable says"
          [fieldId]="'source-tag-' + it.id"
          [at]="['sources', it.id, 'tag']"
          [value]="it.source.tag"
          [schema]="shape.tag"
          (changed)="set(it.id, it.unit, { tag: $event })"
        />
        <gk-text-field
          label="Type selected on the display"
          [fieldId]="'source-selected-' + it.id"
          [at]="['held', it.deviceId, 'type', it.id]"
          [value]="it.selected"
          [schema]="typeSchema"
          (changed)="select(it, $event)"
        />
        <gk-text-field
          label="Listed as"
          [fieldId]="'source-name-' + it.id"
          [at]="['sources', it.id, 'name']"
          [value]="it.source.name"
          [schema]="shape.name"
          (changed)="set(it.id, it.unit, { name: $event })"
        />
        @if (it.transducer) {
          <gk-choice-field
            label="Temperature"
            [fieldId]="'source-temperature-' + it.id"
            [at]="['sources', it.id, 'temperature']"
            [value]="it.source.temperature"
            [choices]="sensors"
            (changed)="set(it.id, it.unit, { temperature: $event })"
          />
        } @else {
          <span></span>
        }
        <gk-quantity-field
          [fieldId]="'source-after-' + it.id"
          [at]="['sources', it.id, 'appearsAfterS']"
          [value]="it.source.appearsAfterS"
          [schema]="shape.appearsAfterS"
          (changed)="set(it.id, it.unit, { appearsAfterS: $event })"
        />
      </article>
    } @empty {
      <p class="faint">Nothing to name yet: choose transducers on Beams, add sensors on Fit.</p>
    }
  `,
  styles: `
    .source {
      display: grid;
      --choice-least: 0;
      grid-template-columns: minmax(0, 3fr) minmax(0, 3fr) minmax(0, 2fr) minmax(0, 1.2fr) minmax(0, 1fr);
      gap: 2px 12px;
      align-items: end;
      padding: 8px 0;
      border-bottom: var(--hairline) solid var(--rule);
    }
    .source p {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 0 8px;
      grid-column: 1 / -1;
    }
    .swatch {
      width: 11px;
      height: 11px;
    }
    @media (max-width: 900px) {
      .source {
        grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
      }
    }
  `,
})
export class SourceNames {
  private readonly open = openBoat();
  private readonly keyIn = keyingIn();
  protected readonly shape = sourceSchema.shape;
  /** Empty while none is selected. */
  protected readonly typeSchema = sourceSchema.shape.tag;
  protected readonly sensors = choicesOf(temperatureSensors);
  protected readonly sources = computed(() => namedSources(this.open.plan()));

  protected readonly unnamed = computed(() => nameAll(this.open.plan()));

  protected nameThem(): void {
    this.open.edits.edit('name all sources', ...this.unnamed());
  }

  protected select({ id, unit, deviceId }: Named, type: string): void {
    this.open.edits.edit(unit, type === '' ? forgetting(deviceId, 'type', id) : this.keyIn(deviceId, 'type', type, id));
  }

  protected set(id: string, unit: string, changes: Partial<Source>): void {
    this.open.edits.edit(unit, { type: 'describeSource', id, changes });
  }
}
