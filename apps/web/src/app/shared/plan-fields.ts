import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { wordsOf, type Path } from '@grey-keel/model';
import { Store } from '@ngrx/store';
import * as z from 'zod';
import { selectAssumed } from '../state/plan.selectors.ts';
import { ChoiceField, choicesOf } from './choice-field.ts';
import { bare, optionsOf } from './schema-choices.ts';
import { QuantityField } from './quantity-field.ts';
import { TextField } from './text-field.ts';
import { TickField } from './tick-field.ts';

/** The unit a name of the plan ends with is no part of a field's id. */
const unitEnding = /(?:Mps|Ppt|Ohm|Deg|Ah|Cm|Db|Hz|Px|M|C|V|A|W|S)$/;
const idOf = (name: string): string =>
  name.replace(unitEnding, '').replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`);

const kindOf = (schema: z.core.$ZodType): 'quantity' | 'text' | 'choice' | 'tick' => {
  const inner = bare(schema);
  if (inner instanceof z.ZodNumber) return 'quantity';
  if (inner instanceof z.ZodEnum) return 'choice';
  return inner instanceof z.ZodBoolean ? 'tick' : 'text';
};

/**
 * Fields of one thing of the plan, in the order they are named: what each is called, measures and may be comes from its
 * schema. They stand as cells in whatever grid they are put into. One change is told at a time, by the field's name.
 */
@Component({
  selector: 'gk-plan-fields',
  imports: [ChoiceField, QuantityField, TextField, TickField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (field of fields(); track field.name) {
      @switch (field.kind) {
        @case ('quantity') {
          <gk-quantity-field
            [class.is-assumed]="field.assumed"
            [fieldId]="field.id"
            [at]="field.at"
            [schema]="field.schema"
            [value]="$any(of()[field.name]) ?? null"
            (changed)="tell(field.name, $event)"
          />
        }
        @case ('text') {
          <gk-text-field
            [class.is-assumed]="field.assumed"
            [fieldId]="field.id"
            [at]="field.at"
            [schema]="$any(field.schema)"
            [value]="$any(of()[field.name]) ?? ''"
            (changed)="tell(field.name, $event)"
          />
        }
        @case ('choice') {
          <gk-choice-field
            [class.is-assumed]="field.assumed"
            [label]="field.label"
            [fieldId]="field.id"
            [at]="field.at"
            [choices]="of()[field.name] === undefined ? field.unsaid : field.choices"
            [value]="$any(of()[field.name]) ?? ''"
            (changed)="$event !== '' && tell(field.name, $event)"
          />
        }
        @default {
          <gk-tick-field
            [class.is-assumed]="field.assumed"
            [label]="field.label"
            [fieldId]="field.id"
            [at]="field.at"
            [value]="$any(of()[field.name]) === true"
            (changed)="tell(field.name, $event)"
          />
        }
      }
    }
  `,
  styles: `
    :host {
      display: contents;
    }
    gk-tick-field {
      align-self: end;
    }
  `,
})
export class PlanFields<T extends object> {
  /** The thing as it is. */
  readonly of = input.required<T>();
  readonly shape = input.required<Readonly<Record<keyof T & string, z.ZodType>>>();
  readonly names = input.required<readonly (keyof T & string)[]>();
  /** Where it stands in the plan. */
  readonly at = input.required<Path>();
  /** What the ids of its fields begin with, and what they end with where there are several such things. */
  readonly ids = input.required<string>();
  readonly one = input('');
  readonly changed = output<Partial<T>>();
  private readonly assumed = inject(Store).selectSignal(selectAssumed);

  protected readonly fields = computed(() =>
    this.names().map((name) => {
      const schema = this.shape()[name];
      return {
        name,
        schema,
        kind: kindOf(schema),
        label: wordsOf(schema)?.label ?? name,
        choices: choicesOf(optionsOf(schema)),
        unsaid: [{ value: '', label: 'not said' }, ...choicesOf(optionsOf(schema))],
        at: [...this.at(), name],
        assumed: this.assumed()?.[[...this.at(), name].join('/')] === true,
        id: [this.ids(), idOf(name), this.one()].filter((part) => part !== '').join('-'),
      };
    }),
  );

  protected tell(name: keyof T & string, value: unknown): void {
    this.changed.emit({ [name]: value } as Partial<T>);
  }
}
