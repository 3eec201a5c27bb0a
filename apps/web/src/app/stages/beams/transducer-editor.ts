import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { halfPowerCone } from '@grey-keel/core';
import {
  beamSchema,
  elementSchema,
  mountings,
  transducerSchema,
  waysOfWorking,
  type Beam,
  type Transducer,
  type Way,
} from '@grey-keel/model';
import { Store } from '@ngrx/store';
import { ChoiceField, choicesOf, type Choice } from '../../shared/choice-field.ts';
import { ComputedNumber } from '../../shared/computed-number.ts';
import { QuantityField } from '../../shared/quantity-field.ts';
import { TextField } from '../../shared/text-field.ts';
import { OpenPlan } from '../../state/open-plan.ts';
import { selectPlan } from '../../state/plan.selectors.ts';
import { TickField } from '../../shared/tick-field.ts';
import { PlanPlace } from '../../shared/plan-place.ts';
import { OneOfField } from '../../shared/one-of-field.ts';
import { PressButton } from '../../shared/press-button.ts';

const usualLevels: readonly Choice[] = [
  { value: '-3', label: '-3 dB (half power)' },
  { value: '-6', label: '-6 dB' },
  { value: '-10', label: '-10 dB' },
];

/** One transducer of the boat: what it is, where its face lies, when it transmits. */
@Component({
  selector: 'gk-transducer-editor',
  imports: [ChoiceField, ComputedNumber, OneOfField, PlanPlace, PressButton, QuantityField, TextField, TickField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let it = transducer();
    <div class="fields" [id]="'transducer-' + id()" [gkPlace]="['transducers', id()]">
      <gk-text-field
        [fieldId]="'transducer-name-' + id()"
        [at]="['transducers', id(), 'name']"
        [value]="it.name"
        [schema]="shape.name"
        (changed)="set({ name: $event })"
      />
      <gk-choice-field
        label="Mounting"
        [fieldId]="'transducer-mounting-' + id()"
        [at]="['transducers', id(), 'mounting']"
        [value]="it.mounting"
        [choices]="mountings"
        (changed)="set({ mounting: $event })"
      />
      <gk-quantity-field
        [fieldId]="'transducer-above-keel-' + id()"
        [at]="['transducers', id(), 'aboveKeelM']"
        [value]="it.aboveKeelM"
        [schema]="shape.aboveKeelM"
        (changed)="place('aboveKeelM', $event)"
      />
      <gk-quantity-field
        [fieldId]="'transducer-forward-' + id()"
        [at]="['transducers', id(), 'forwardM']"
        [value]="it.forwardM"
        [schema]="shape.forwardM"
        (changed)="place('forwardM', $event)"
      />
      <gk-quantity-field
        [fieldId]="'transducer-starboard-' + id()"
        [at]="['transducers', id(), 'starboardM']"
        [value]="it.starboardM"
        [schema]="shape.starboardM"
        (changed)="place('starboardM', $event)"
      />
      <gk-quantity-field
        [fieldId]="'transducer-face-' + id()"
        [at]="['transducers', id(), 'apertureM']"
        [value]="it.apertureM"
        [schema]="shape.apertureM"
        (changed)="set({ apertureM: $event })"
      />
    </div>
    @for (beam of it.beams; track $index) {
      <div class="fields beam">
        @if (it.beams.length > 1) {
          <gk-one-of-field
            label="drawn"
            [name]="'working-' + id()"
            [chosen]="it.workingBeam === $index"
            (picked)="set({ workingBeam: $index })"
          />
        }
        <gk-quantity-field
          [fieldId]="'beam-frequency-' + id() + '-' + $index"
          [value]="beam.frequencyHz"
          [schema]="beamShape.frequencyHz"
          (changed)="setBeam($index, { frequencyHz: $event ?? beam.frequencyHz })"
        />
        <gk-quantity-field
          [fieldId]="'beam-width-' + id() + '-' + $index"
          [value]="beam.beamwidthDeg"
          [schema]="beamShape.beamwidthDeg"
          (changed)="setBeam($index, { beamwidthDeg: $event ?? beam.beamwidthDeg })"
        />
        <gk-choice-field
          label="quoted at"
          [fieldId]="'beam-level-' + id() + '-' + $index"
          [value]="'' + beam.levelDb"
          [choices]="levels()"
          (changed)="setBeam($index, { levelDb: +$event })"
        />
        <div class="at3">
          <span class="small faint">at -3 dB</span>
          <gk-number
            of="Cone at -3 dB"
            [value]="cones()[$index]!.acrossDeg"
            quantity="angle"
            [steps]="cones()[$index]!.working"
          />
        </div>
        <gk-quantity-field
          [fieldId]="'beam-bandwidth-' + id() + '-' + $index"
          [value]="beam.bandwidthHz"
          [schema]="beamShape.bandwidthHz"
          (changed)="setBeam($index, { bandwidthHz: $event })"
        />
      </div>
    }
    <fieldset [id]="'transmits-' + id()" [gkPlace]="['transducers', id(), 'transmitsIn']">
      <legend class="small faint">Transmits while</legend>
      @for (way of ways(); track way) {
        <gk-tick-field [label]="way" [value]="it.transmitsIn[way] === true" (changed)="transmits(way, $event)" />
      } @empty {
        <span class="faint small">The brief names no way of working yet.</span>
      }
    </fieldset>
    <div class="row">
      <button type="button" pButton severity="danger" outlined (click)="remove()">Delete {{ it.name }}</button>
      <button type="button" pButton text (click)="closed.emit()">Done</button>
    </div>
  `,
  styles: `
    :host {
      display: grid;
      gap: 10px;
    }
    .beam {
      padding-top: 8px;
      border-top: var(--hairline) solid var(--rule);
    }
    .at3 {
      display: flex;
      flex-direction: column;
    }
    fieldset {
      border: 0;
      padding: 0;
      margin: 0;
      display: flex;
      flex-wrap: wrap;
      gap: 0 16px;
    }
  `,
})
export class TransducerEditor {
  readonly id = input.required<string>();
  readonly transducer = input.required<Transducer>();
  readonly closed = output();
  private readonly edits = inject(OpenPlan);
  private readonly plan = inject(Store).selectSignal(selectPlan);
  protected readonly shape = { ...transducerSchema.shape, apertureM: elementSchema.shape.apertureM };
  protected readonly beamShape = beamSchema.shape;
  protected readonly mountings = choicesOf(mountings);
  protected readonly ways = computed(() => waysOfWorking.filter((way) => this.plan()?.ways[way]));
  protected readonly cones = computed(() => this.transducer().beams.map((beam) => halfPowerCone(beam)));
  protected readonly levels = computed(() => {
    const own = this.transducer().beams.map(({ levelDb }) => String(levelDb));
    const others = own.filter((level) => !usualLevels.some(({ value }) => value === level));
    return [...usualLevels, ...[...new Set(others)].map((value) => ({ value, label: `${value} dB` }))];
  });

  protected set(changes: Partial<Transducer>): void {
    this.edits.edit(this.transducer().name, { type: 'describeTransducer', id: this.id(), changes });
  }

  protected place(field: 'aboveKeelM' | 'forwardM' | 'starboardM', value: number | null): void {
    if (value !== null) this.set({ [field]: value });
  }

  protected setBeam(index: number, changes: Partial<Beam>): void {
    this.set({ beams: this.transducer().beams.map((beam, i) => (i === index ? { ...beam, ...changes } : beam)) });
  }

  protected transmits(way: Way, transmits: boolean): void {
    this.edits.edit(`${this.transducer().name} while ${way}`, { type: 'transmitIn', id: this.id(), way, transmits });
  }

  protected remove(): void {
    this.edits.edit(`delete ${this.transducer().name}`, { type: 'removeTransducer', id: this.id() });
    this.closed.emit();
  }
}
