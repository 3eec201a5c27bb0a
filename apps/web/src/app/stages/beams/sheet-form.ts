import { ChangeDetectionStrategy, Component, computed, inject, output, signal } from '@angular/core';
import { fieldErrors } from '@grey-keel/core';
import {
  beamSchema,
  elementSchema,
  mountings,
  sonarKinds,
  type Element,
  type SonarKind,
  type Transducer,
} from '@grey-keel/model';
import { Store } from '@ngrx/store';
import { ChoiceField, choicesOf, type Choice } from '../../shared/choice-field.ts';
import { QuantityField } from '../../shared/quantity-field.ts';
import { TextField } from '../../shared/text-field.ts';
import { selectUnitChoice } from '../../state/view.ts';

type Mounting = Transducer['mounting'];

export interface FromSheet {
  readonly element: Element;
  readonly mounting: Mounting;
}

const levels: readonly Choice[] = [
  { value: '', label: 'the sheet says which?' },
  { value: '-3', label: '-3 dB (half power)' },
  { value: '-6', label: '-6 dB' },
  { value: '-10', label: '-10 dB' },
];

const isFan = (kind: SonarKind): boolean => kind !== 'sounder' && kind !== 'sector';

/** A transducer by hand from its data sheet. The level of the cone is asked for: sheets quote -3 and -10 dB alike. */
@Component({
  selector: 'gk-sheet-form',
  imports: [ChoiceField, QuantityField, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form class="fields" (submit)="add($event)" aria-label="Transducer from a data sheet">
      <gk-text-field
        label="Name"
        fieldId="sheet-name"
        [value]="name()"
        [schema]="element.name"
        (changed)="name.set($event)"
      />
      <gk-choice-field
        label="Kind"
        fieldId="sheet-kind"
        [value]="kind()"
        [choices]="kinds"
        (changed)="kind.set($event)"
      />
      <gk-choice-field
        label="Mounting"
        fieldId="sheet-mounting"
        [value]="mounting()"
        [choices]="mountings"
        (changed)="mounting.set($event)"
      />
      <gk-quantity-field
        label="Frequency"
        fieldId="sheet-frequency"
        quantity="frequency"
        [value]="frequencyHz()"
        [schema]="optional(beam.frequencyHz)"
        (changed)="frequencyHz.set($event)"
      />
      <gk-quantity-field
        label="Beamwidth, full"
        fieldId="sheet-beamwidth"
        quantity="angle"
        [value]="beamwidthDeg()"
        [schema]="optional(beam.beamwidthDeg)"
        (changed)="beamwidthDeg.set($event)"
      />
      <gk-choice-field
        label="quoted at"
        fieldId="sheet-level"
        [value]="level()"
        [choices]="levels"
        (changed)="level.set($event)"
      />
      @if (fan()) {
        <gk-quantity-field
          label="Width along the boat"
          fieldId="sheet-along"
          quantity="angle"
          [value]="alongDeg()"
          [schema]="beam.alongDeg"
          (changed)="alongDeg.set($event)"
        />
      }
      <gk-quantity-field
        label="Chirp bandwidth, if any"
        fieldId="sheet-bandwidth"
        quantity="frequency"
        [value]="bandwidthHz()"
        [schema]="beam.bandwidthHz"
        (changed)="bandwidthHz.set($event)"
      />
      <gk-quantity-field
        label="Face diameter, if known"
        fieldId="sheet-face"
        quantity="length"
        [decimals]="3"
        [value]="apertureM()"
        [schema]="element.apertureM"
        (changed)="apertureM.set($event)"
      />
      <label class="constant"
        ><input
          type="checkbox"
          id="sheet-constant"
          [checked]="constant()"
          (change)="constant.set($any($event.target).checked)"
        />
        same cone over its band</label
      >
      <button type="submit" class="action chief">Place it on the boat</button>
      @if (problem(); as words) {
        <p class="problem" role="alert">{{ words }}</p>
      }
    </form>
  `,
  styles: `
    .problem {
      grid-column: 1 / -1;
      color: var(--stop);
    }
    .constant {
      display: flex;
      gap: 8px;
      align-items: center;
      min-height: var(--touch);
      align-self: end;
    }
    .constant input {
      width: 22px;
      height: 22px;
    }
    .action {
      align-self: end;
    }
  `,
})
export class SheetForm {
  readonly placed = output<FromSheet>();
  protected readonly units = inject(Store).selectSignal(selectUnitChoice);
  protected readonly beam = beamSchema.shape;
  protected readonly element = elementSchema.shape;
  protected readonly levels = levels;
  protected readonly kinds = choicesOf(sonarKinds);
  protected readonly mountings = choicesOf(mountings);

  protected readonly name = signal('');
  protected readonly kind = signal<SonarKind>('sounder');
  protected readonly mounting = signal<Mounting>('transom');
  protected readonly frequencyHz = signal<number | null>(null);
  protected readonly beamwidthDeg = signal<number | null>(null);
  protected readonly level = signal('');
  protected readonly alongDeg = signal<number | null>(null);
  protected readonly bandwidthHz = signal<number | null>(null);
  protected readonly apertureM = signal<number | null>(null);
  protected readonly constant = signal(false);
  protected readonly problem = signal('');
  protected readonly fan = computed(() => isFan(this.kind()));

  private readonly nullable = new Map(
    [beamSchema.shape.frequencyHz, beamSchema.shape.beamwidthDeg].map((schema) => [schema, schema.nullable()] as const),
  );

  /** A figure of the form that is not filled in yet: only placing it needs it. */
  protected optional(schema: (typeof beamSchema.shape)['frequencyHz']) {
    return this.nullable.get(schema) ?? schema;
  }

  protected add(event: Event): void {
    event.preventDefault();
    if (this.level() === '')
      return this.problem.set(
        'quoted at: say at which level the sheet quotes the cone. 28° at -10 dB is 16.4° at -3 dB; if the sheet is silent, give the face and the findings will name the likely one.',
      );
    const parsed = elementSchema.safeParse({
      name: this.name(),
      kind: this.kind(),
      beams: [
        {
          frequencyHz: this.frequencyHz() ?? undefined,
          bandwidthHz: this.bandwidthHz(),
          beamwidthDeg: this.beamwidthDeg() ?? undefined,
          levelDb: Number(this.level()),
          alongDeg: this.fan() ? this.alongDeg() : null,
        },
      ],
      apertureM: this.apertureM(),
      constantBeamwidth: this.constant(),
      electricalPowerW: null,
    });
    if (!parsed.success) {
      const [first] = fieldErrors(parsed.error, elementSchema);
      const named: Record<string, string> = {
        name: 'Name',
        'beams[0].frequencyHz': 'Frequency',
        'beams[0].beamwidthDeg': 'Beamwidth, full',
      };
      return this.problem.set(`${named[first?.field ?? ''] ?? first?.field ?? ''} is wanted before it can be placed.`);
    }
    this.problem.set('');
    this.placed.emit({ element: parsed.data, mounting: this.mounting() });
    this.name.set('');
    this.frequencyHz.set(null);
    this.beamwidthDeg.set(null);
    this.bandwidthHz.set(null);
    this.apertureM.set(null);
    this.level.set('');
  }
}
