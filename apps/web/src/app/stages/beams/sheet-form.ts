import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  output,
  signal,
  untracked,
} from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { NonNullableFormBuilder, ReactiveFormsModule } from '@angular/forms';
import { formatFigure } from '@grey-keel/core';
import {
  beamSchema,
  elementSchema,
  mountings,
  sonarKinds,
  type Element,
  type Mounting,
  type TransducerEntry,
} from '@grey-keel/model';
import { Store } from '@ngrx/store';
import { map, startWith } from 'rxjs';
import { ChoiceField, choicesOf, type Choice } from '../../shared/choice-field.ts';
import { PressButton } from '../../shared/press-button.ts';
import { QuantityField } from '../../shared/quantity-field.ts';
import { TextField } from '../../shared/text-field.ts';
import { TickField } from '../../shared/tick-field.ts';
import { zodProblem, zodValidator } from '../../shared/zod-validator.ts';
import { selectUnitChoice } from '../../state/view.ts';
import type { CatalogueTransducer } from './catalogue-table.ts';
import {
  elementFrom,
  emptySheet,
  isFan,
  sheetOf,
  sheetSchema,
  type Sheet,
  type SheetFigures,
} from './sheet-figures.ts';

export interface FromSheet {
  readonly element: Element;
  readonly mounting: Mounting;
}

const levels: readonly Choice<Sheet['level'] | ''>[] = [
  { value: '', label: 'the sheet says which?' },
  { value: '-3', label: '-3 dB (half power)' },
  { value: '-6', label: '-6 dB' },
  { value: '-10', label: '-10 dB' },
];

/** A transducer by hand from its data sheet, put in anew or changed in the shop's catalogue. The level of the cone is asked for: sheets quote -3 and -10 dB alike. */
@Component({
  selector: 'gk-sheet-form',
  imports: [ChoiceField, PressButton, QuantityField, ReactiveFormsModule, TextField, TickField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let now = value();
    <form class="fields" [formGroup]="form" (ngSubmit)="send()" aria-label="Transducer from a data sheet">
      <gk-text-field
        fieldId="sheet-name"
        [value]="now.name"
        [schema]="element.name"
        (changed)="form.patchValue({ name: $event })"
      />
      <gk-choice-field
        label="Kind"
        fieldId="sheet-kind"
        [value]="now.kind"
        [choices]="kinds"
        (changed)="form.patchValue({ kind: $event })"
      />
      <gk-choice-field
        label="Mounting"
        fieldId="sheet-mounting"
        [value]="now.mounting"
        [choices]="mountings"
        (changed)="form.patchValue({ mounting: $event })"
      />
      <gk-quantity-field
        fieldId="sheet-frequency"
        [value]="now.frequencyHz"
        [schema]="unfilled.frequencyHz"
        (changed)="form.patchValue({ frequencyHz: $event })"
      />
      <gk-quantity-field
        fieldId="sheet-beamwidth"
        [value]="now.beamwidthDeg"
        [schema]="unfilled.beamwidthDeg"
        (changed)="form.patchValue({ beamwidthDeg: $event })"
      />
      <gk-choice-field
        label="quoted at"
        fieldId="sheet-level"
        [value]="now.level"
        [choices]="levels"
        (changed)="form.patchValue({ level: $event })"
      />
      @if (fan()) {
        <gk-quantity-field
          fieldId="sheet-along"
          [value]="now.alongDeg"
          [schema]="beam.alongDeg"
          (changed)="form.patchValue({ alongDeg: $event })"
        />
      }
      <gk-quantity-field
        label="Chirp bandwidth, if any"
        fieldId="sheet-bandwidth"
        [value]="now.bandwidthHz"
        [schema]="beam.bandwidthHz"
        (changed)="form.patchValue({ bandwidthHz: $event })"
      />
      <gk-quantity-field
        label="Face diameter, if known"
        fieldId="sheet-face"
        [value]="now.apertureM"
        [schema]="element.apertureM"
        (changed)="form.patchValue({ apertureM: $event })"
      />
      <gk-tick-field
        class="constant"
        label="same cone over its band"
        fieldId="sheet-constant"
        [value]="now.constantBeamwidth"
        (changed)="form.patchValue({ constantBeamwidth: $event })"
      />
      <gk-quantity-field
        label="Source level, if given"
        fieldId="sheet-source-level"
        [value]="now.sourceLevelDb"
        [schema]="beam.sourceLevelDb"
        (changed)="form.patchValue({ sourceLevelDb: $event })"
      />
      <gk-quantity-field
        label="Electrical power, if given"
        fieldId="sheet-power"
        [value]="now.electricalPowerW"
        [schema]="element.electricalPowerW"
        (changed)="form.patchValue({ electricalPowerW: $event })"
      />
      <gk-quantity-field
        label="Efficiency, if given"
        fieldId="sheet-efficiency"
        [value]="now.efficiency"
        [schema]="element.efficiency"
        (changed)="form.patchValue({ efficiency: $event })"
      />
      <gk-quantity-field
        label="Shortest pulse, if given"
        fieldId="sheet-shortest"
        [value]="now.shortestPulseS"
        [schema]="element.shortestPulseS"
        (changed)="form.patchValue({ shortestPulseS: $event })"
      />
      <gk-quantity-field
        label="Longest pulse, if given"
        fieldId="sheet-longest"
        [value]="now.longestPulseS"
        [schema]="element.longestPulseS"
        (changed)="form.patchValue({ longestPulseS: $event })"
      />
      @if (entry(); as it) {
        @if (it.item.element.beams.length > 1) {
          <gk-choice-field
            label="Beam of it"
            fieldId="sheet-beam"
            [value]="'' + beamIndex()"
            [choices]="beamsOf(it.item.element)"
            (changed)="turnTo(+$event)"
          />
        }
        <button type="submit" pButton>Save in the catalogue</button>
        <button type="button" pButton severity="secondary" (click)="closed.emit()">Cancel</button>
      } @else {
        <button type="submit" pButton>Place it on the boat</button>
      }
      <p class="small faint wide">
        What the sheet does not give is derived from physics, or assumed in round figures, and marked as derived.
      </p>
      @if (problem(); as words) {
        <p class="problem" role="alert">{{ words }}</p>
      }
    </form>
  `,
  styles: `
    .wide,
    .problem {
      grid-column: 1 / -1;
    }
    .problem {
      color: var(--stop);
    }
    .constant,
    .p-button {
      align-self: end;
    }
  `,
})
export class SheetForm {
  readonly placed = output<FromSheet>();
  /** An entry of the shop's own to change; none while one is put in anew. */
  readonly entry = input<CatalogueTransducer | null>(null);
  readonly kept = output<{ readonly id: string; readonly item: TransducerEntry }>();
  readonly closed = output();
  protected readonly units = inject(Store).selectSignal(selectUnitChoice);
  protected readonly beam = beamSchema.shape;
  protected readonly element = elementSchema.shape;
  /** What is not filled in yet is nothing wrong: only sending it needs it. */
  protected readonly unfilled = {
    frequencyHz: beamSchema.shape.frequencyHz.nullable(),
    beamwidthDeg: beamSchema.shape.beamwidthDeg.nullable(),
  };
  protected readonly levels = levels;
  protected readonly kinds = choicesOf(sonarKinds);
  protected readonly mountings = choicesOf(mountings);

  protected readonly form = inject(NonNullableFormBuilder).group<SheetFigures>(emptySheet, {
    validators: zodValidator(sheetSchema),
  });
  private readonly changes = this.form.valueChanges.pipe(startWith(null));
  protected readonly value = toSignal(this.changes.pipe(map(() => this.form.getRawValue())), { requireSync: true });
  private readonly wrong = toSignal(this.changes.pipe(map(() => zodProblem(this.form))), { requireSync: true });
  /** What is wrong is said from the first try on. */
  private readonly tried = signal(false);
  protected readonly problem = computed(() => (this.tried() ? this.wrong() : null));
  protected readonly beamIndex = signal(0);
  protected readonly fan = computed(() => isFan(this.value().kind));

  constructor() {
    effect(() => {
      const entry = this.entry();
      untracked(() => this.fill(entry, 0));
    });
  }

  protected beamsOf({ beams }: Element): Choice[] {
    return beams.map(({ frequencyHz }, i) => ({
      value: String(i),
      label: formatFigure({ value: frequencyHz, quantity: 'frequency' }, this.units(), { decimals: 0 }),
    }));
  }

  protected turnTo(beamIndex: number): void {
    this.fill(this.entry(), beamIndex);
  }

  /** Shows an entry's own figures; for one that is put in anew, kind and mounting stay as they were chosen. */
  private fill(entry: CatalogueTransducer | null, beamIndex: number): void {
    const { kind, mounting } = this.form.getRawValue();
    this.tried.set(false);
    this.beamIndex.set(beamIndex);
    this.form.setValue(entry ? sheetOf(entry.item, beamIndex) : { ...emptySheet, kind, mounting });
  }

  protected send(): void {
    this.tried.set(true);
    const sheet = sheetSchema.safeParse(this.form.getRawValue());
    if (!sheet.success) return;
    const entry = this.entry();
    const { mounting } = sheet.data;
    const element = elementFrom(sheet.data, entry?.item.element ?? null, this.beamIndex());
    if (entry) {
      // The mounting that is named first is the one a boat is given.
      const mountings = [mounting, ...entry.item.mountings.filter((one) => one !== mounting)];
      return this.kept.emit({ id: entry.entry.id, item: { ...entry.item, element, mountings } });
    }
    this.placed.emit({ element, mounting });
    this.fill(null, 0);
  }
}
