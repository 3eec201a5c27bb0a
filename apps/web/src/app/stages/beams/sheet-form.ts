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
import { fieldErrors, formatFigure } from '@grey-keel/core';
import {
  beamSchema,
  elementSchema,
  mountings,
  sonarKinds,
  type Element,
  type SonarKind,
  type Mounting,
  type TransducerEntry,
} from '@grey-keel/model';
import { Store } from '@ngrx/store';
import { ChoiceField, choicesOf, type Choice } from '../../shared/choice-field.ts';
import { QuantityField } from '../../shared/quantity-field.ts';
import { TextField } from '../../shared/text-field.ts';
import { selectUnitChoice } from '../../state/view.ts';
import type { CatalogueTransducer } from './catalogue-table.ts';
import { TickField } from '../../shared/tick-field.ts';
import { PressButton } from '../../shared/press-button.ts';

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

/** A transducer by hand from its data sheet, put in anew or changed in the shop's catalogue. The level of the cone is asked for: sheets quote -3 and -10 dB alike. */
@Component({
  selector: 'gk-sheet-form',
  imports: [ChoiceField, PressButton, QuantityField, TextField, TickField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form class="fields" (submit)="add($event)" aria-label="Transducer from a data sheet">
      <gk-text-field fieldId="sheet-name" [value]="name()" [schema]="element.name" (changed)="name.set($event)" />
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
        fieldId="sheet-frequency"
        [value]="frequencyHz()"
        [schema]="optional(beam.frequencyHz)"
        (changed)="frequencyHz.set($event)"
      />
      <gk-quantity-field
        fieldId="sheet-beamwidth"
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
          fieldId="sheet-along"
          [value]="alongDeg()"
          [schema]="beam.alongDeg"
          (changed)="alongDeg.set($event)"
        />
      }
      <gk-quantity-field
        label="Chirp bandwidth, if any"
        fieldId="sheet-bandwidth"
        [value]="bandwidthHz()"
        [schema]="beam.bandwidthHz"
        (changed)="bandwidthHz.set($event)"
      />
      <gk-quantity-field
        label="Face diameter, if known"
        fieldId="sheet-face"
        [value]="apertureM()"
        [schema]="element.apertureM"
        (changed)="apertureM.set($event)"
      />
      <gk-tick-field
        class="constant"
        label="same cone over its band"
        fieldId="sheet-constant"
        [value]="constant()"
        (changed)="constant.set($event)"
      />
      <gk-quantity-field
        label="Source level, if given"
        fieldId="sheet-source-level"
        [value]="sourceLevelDb()"
        [schema]="given.sourceLevelDb"
        (changed)="sourceLevelDb.set($event)"
      />
      <gk-quantity-field
        label="Electrical power, if given"
        fieldId="sheet-power"
        [value]="powerW()"
        [schema]="element.electricalPowerW"
        (changed)="powerW.set($event)"
      />
      <gk-quantity-field
        label="Efficiency, if given"
        fieldId="sheet-efficiency"
        [value]="efficiency()"
        [schema]="given.efficiency"
        (changed)="efficiency.set($event)"
      />
      <gk-quantity-field
        label="Shortest pulse, if given"
        fieldId="sheet-shortest"
        [value]="shortestS()"
        [schema]="given.shortestPulseS"
        (changed)="shortestS.set($event)"
      />
      <gk-quantity-field
        label="Longest pulse, if given"
        fieldId="sheet-longest"
        [value]="longestS()"
        [schema]="given.longestPulseS"
        (changed)="longestS.set($event)"
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
  protected readonly sourceLevelDb = signal<number | null>(null);
  protected readonly powerW = signal<number | null>(null);
  protected readonly efficiency = signal<number | null>(null);
  protected readonly shortestS = signal<number | null>(null);
  protected readonly longestS = signal<number | null>(null);
  protected readonly beamIndex = signal(0);
  protected readonly given = {
    sourceLevelDb: beamSchema.shape.sourceLevelDb,
    efficiency: elementSchema.shape.efficiency,
    shortestPulseS: elementSchema.shape.shortestPulseS,
    longestPulseS: elementSchema.shape.longestPulseS,
  };
  protected readonly problem = signal('');
  protected readonly fan = computed(() => isFan(this.kind()));

  private readonly nullable = new Map(
    [beamSchema.shape.frequencyHz, beamSchema.shape.beamwidthDeg].map((schema) => [schema, schema.nullable()] as const),
  );

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

  /** Shows an entry's own figures; empty for one that is put in anew. */
  private fill(entry: CatalogueTransducer | null, beamIndex: number): void {
    const element = entry?.item.element;
    const beam = element?.beams[beamIndex];
    this.problem.set('');
    this.beamIndex.set(beamIndex);
    this.name.set(element?.name ?? '');
    if (element) this.kind.set(element.kind);
    if (entry?.item.mountings[0]) this.mounting.set(entry.item.mountings[0]);
    this.frequencyHz.set(beam?.frequencyHz ?? null);
    this.beamwidthDeg.set(beam?.beamwidthDeg ?? null);
    this.level.set(beam ? String(beam.levelDb) : '');
    this.alongDeg.set(beam?.alongDeg ?? null);
    this.bandwidthHz.set(beam?.bandwidthHz ?? null);
    this.apertureM.set(element?.apertureM ?? null);
    this.constant.set(element?.constantBeamwidth ?? false);
    this.sourceLevelDb.set(beam?.sourceLevelDb ?? null);
    this.powerW.set(element?.electricalPowerW ?? null);
    this.efficiency.set(element?.efficiency ?? null);
    this.shortestS.set(element?.shortestPulseS ?? null);
    this.longestS.set(element?.longestPulseS ?? null);
  }

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
    const entry = this.entry();
    const beam = {
      frequencyHz: this.frequencyHz() ?? undefined,
      bandwidthHz: this.bandwidthHz(),
      beamwidthDeg: this.beamwidthDeg() ?? undefined,
      levelDb: Number(this.level()),
      alongDeg: this.fan() ? this.alongDeg() : null,
      sourceLevelDb: this.sourceLevelDb(),
    };
    const parsed = elementSchema.safeParse({
      name: this.name(),
      kind: this.kind(),
      beams: entry?.item.element.beams.map((before, i) => (i === this.beamIndex() ? beam : before)) ?? [beam],
      apertureM: this.apertureM(),
      constantBeamwidth: this.constant(),
      electricalPowerW: this.powerW(),
      efficiency: this.efficiency(),
      shortestPulseS: this.shortestS(),
      longestPulseS: this.longestS(),
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
    const [shortest, longest] = [parsed.data.shortestPulseS, parsed.data.longestPulseS];
    if (shortest && longest && shortest > longest)
      return this.problem.set(
        'Shortest pulse: it is longer than the longest pulse; take one of the two from the sheet again.',
      );
    if (entry) {
      // The mounting that is named first is the one a boat is given.
      const mountings = [this.mounting(), ...entry.item.mountings.filter((one) => one !== this.mounting())];
      return this.kept.emit({ id: entry.entry.id, item: { ...entry.item, element: parsed.data, mountings } });
    }
    this.placed.emit({ element: parsed.data, mounting: this.mounting() });
    this.fill(null, 0);
  }
}
