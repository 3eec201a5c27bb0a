import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { loweredWays, markingAntennas, markShift, skegOf, stationSight } from '@grey-keel/core';
import {
  displayMounts,
  type Equipment,
  equipmentKinds,
  equipmentSchema,
  type Plan,
  type Station,
  stationSchema,
  transducerSchema,
  type WaySet,
} from '@grey-keel/model';
import { ChoiceField, choicesOf } from '../../shared/choice-field.ts';
import { ComputedNumber } from '../../shared/computed-number.ts';
import { FigurePipe } from '../../shared/figure-pipe.ts';
import { LoweredIn } from '../../shared/lowered-in.ts';
import { QuantityField } from '../../shared/quantity-field.ts';
import { TextField } from '../../shared/text-field.ts';
import { openBoat } from '../open-boat.ts';
import type { FittedThing } from './fitted-things.ts';
import { PressButton } from '../../shared/press-button.ts';

/** What is known of one thing on the boat, typed: what it is, when it is down. */
@Component({
  selector: 'gk-thing-form',
  imports: [ChoiceField, ComputedNumber, FigurePipe, LoweredIn, PressButton, QuantityField, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (thing(); as it) {
      <h2 id="chosen-thing">{{ it.name }}</h2>
      <div class="fields">
        @if (piece(); as own) {
          <gk-text-field
            [fieldId]="'equipment-name-' + it.id"
            [at]="['equipment', it.id, 'name']"
            [value]="own.name"
            [schema]="equipment.name"
            (changed)="describe({ name: $event })"
          />
          <gk-choice-field
            label="Kind"
            [fieldId]="'equipment-kind-' + it.id"
            [at]="['equipment', it.id, 'kind']"
            [value]="own.kind"
            [choices]="kinds"
            (changed)="describe({ kind: $event })"
          />
        }
        @if (piece(); as own) {
          @if (own.kind === 'strake or fitting' || own.kind === 'cable run') {
            <gk-quantity-field
              [fieldId]="'runs-' + it.id"
              [at]="['equipment', it.id, 'runsForwardM']"
              [value]="own.runsForwardM ?? null"
              [schema]="equipment.runsForwardM"
              (changed)="describe({ runsForwardM: $event })"
            />
          }
          @if (own.kind === 'propeller' || own.kind === 'bow motor') {
            <gk-quantity-field
              [fieldId]="'propeller-' + it.id"
              [at]="['equipment', it.id, 'propellerDiameterM']"
              [value]="own.propellerDiameterM"
              [schema]="equipment.propellerDiameterM"
              (changed)="describe({ propellerDiameterM: $event })"
            />
          }
          @if (own.kind === 'propeller') {
            <gk-quantity-field
              [class.is-assumed]="skeg()?.assumed"
              [fieldId]="'skeg-' + it.id"
              [at]="['equipment', it.id, 'skegBelowBladesM']"
              [value]="own.skegBelowBladesM ?? skeg()?.belowBladesM ?? null"
              [schema]="equipment.skegBelowBladesM"
              (changed)="describe({ skegBelowBladesM: $event })"
            />
            @if (skeg()?.assumed) {
              <button
                type="button"
                pButton
                severity="secondary"
                [id]="'skeg-measured-' + it.id"
                (click)="describe({ skegBelowBladesM: skeg()?.belowBladesM ?? null })"
              >
                Measured, it is so
              </button>
            }
          }
        }
        @if (inHull(); as own) {
          <gk-quantity-field
            label="Levelled by a fairing"
            [fieldId]="'fairing-' + it.id"
            [at]="['transducers', it.id, 'fairingDeg']"
            quantity="angle"
            [value]="own.fairingDeg ?? null"
            [schema]="fairing"
            (changed)="fair(it.id, $event)"
          />
        }
      </div>
      @if (raised(); as ways) {
        <gk-lowered-in [fieldId]="'lowered-' + it.id" [plan]="plan()" [lowered]="ways" (changed)="lower(it, $event)" />
      }
      @if (station(); as own) {
        <div class="fields">
          <gk-quantity-field
            [fieldId]="'eye-' + it.id"
            [at]="['stations', it.id, 'eyeAboveKeelM']"
            [value]="own.eyeAboveKeelM ?? null"
            [schema]="stationShape.eyeAboveKeelM"
            (changed)="setStation(it, { eyeAboveKeelM: $event })"
          />
          <gk-choice-field
            label="The screen is"
            [fieldId]="'mount-' + it.id"
            [at]="['stations', it.id, 'mount']"
            [value]="own.mount ?? 'fixed'"
            [choices]="mounts"
            (changed)="setStation(it, { mount: $event })"
          />
        </div>
      }
      @if (sight(); as seen) {
        <p>
          @if (seen.seenFromM !== null) {
            Running, the water is seen over the {{ seen.hiddenBy }} from
            <gk-number
              of="Where the water is first seen"
              [value]="seen.seenFromM"
              quantity="length"
              [decimals]="1"
              [steps]="seen.working"
            />
            on; the most is {{ seen.limitM | figure: 'length' : units() : { decimals: 1 } }}.
          } @else {
            Running, the {{ seen.hiddenBy }} hides all the water ahead.
          }
        </p>
      }
      @for (shift of shifts(); track shift.name) {
        <p>
          At {{ shift.at }}, from {{ shift.name }}:
          <gk-number
            [of]="'From ' + shift.name"
            [value]="shift.byM"
            quantity="length"
            [decimals]="1"
            [steps]="[shift.working]"
          />
          off each mark, unless the display is told.
        </p>
      }
      @if (piece()) {
        <button type="button" pButton severity="danger" outlined (click)="removed.emit(it)">
          Delete {{ it.name }}
        </button>
      }
    } @else {
      <h2 id="chosen-thing">Nothing chosen</h2>
      <p class="faint">Choose a thing in the drawing or the list to type where it is and what it is.</p>
    }
  `,
  styles: `
    :host {
      display: block;
    }
    .fields + .fields,
    .p-button-danger {
      margin-top: 10px;
    }
  `,
})
export class ThingForm {
  readonly thing = input.required<FittedThing | null>();
  /** As it is while something is moved. */
  readonly plan = input.required<Plan>();
  readonly removed = output<FittedThing>();

  private readonly open = openBoat();
  protected readonly units = this.open.units;
  protected readonly equipment = equipmentSchema.shape;
  protected readonly fairing = transducerSchema.shape.fairingDeg;
  protected readonly stationShape = stationSchema.shape;
  protected readonly mounts = choicesOf(displayMounts);
  protected readonly kinds = choicesOf(equipmentKinds);

  /** Under its blades, as measured or assumed. */
  protected readonly skeg = computed(() => {
    const own = this.piece();
    return own ? skegOf(this.plan(), own) : null;
  });
  protected readonly piece = computed((): Equipment | null => {
    const it = this.thing();
    return it?.of === 'equipment' ? (this.plan().equipment[it.id] ?? null) : null;
  });
  protected readonly inHull = computed(() => {
    const it = this.thing();
    const own = it?.of === 'transducer' ? this.plan().transducers[it.id] : undefined;
    return own && ['through-hull', 'shoot-through-hull'].includes(own.mounting) ? own : null;
  });
  /** Of what can be raised out of the water, the ways of working it is down in; null for what always is. */
  protected readonly raised = computed(() => {
    const it = this.thing();
    const kind = it?.of === 'equipment' ? this.plan().equipment[it.id]?.kind : undefined;
    const mounting = it?.of === 'transducer' ? this.plan().transducers[it.id]?.mounting : undefined;
    const lifts = kind === 'propeller' || kind === 'bow motor' || mounting === 'bow motor' || mounting === 'pole';
    return it && lifts ? loweredWays(this.plan(), it.id) : null;
  });
  protected readonly station = computed((): Station | null => {
    const it = this.thing();
    return it?.of === 'station' ? (this.plan().stations[it.id] ?? null) : null;
  });
  protected readonly sight = computed(() => {
    const it = this.thing();
    return it?.of === 'station' ? stationSight(this.plan(), it.id) : null;
  });
  protected readonly shifts = computed(() => {
    const it = this.thing();
    const at = it?.of === 'transducer' ? it.place : null;
    return at
      ? markingAntennas(this.plan()).map(({ antenna, stationIds }) => ({
          name: antenna.name,
          at: stationIds.map((id) => this.plan().stations[id]?.name ?? id).join(' and '),
          ...markShift(antenna, at),
        }))
      : [];
  });

  protected describe(changes: Partial<Equipment>): void {
    const it = this.thing();
    if (it) this.open.edits.edit(it.name, { type: 'describeEquipment', id: it.id, changes });
  }

  protected fair(id: string, fairingDeg: number | null): void {
    this.open.edits.edit('the fairing', { type: 'describeTransducer', id, changes: { fairingDeg } });
  }

  protected lower({ of, id, name }: FittedThing, loweredIn: WaySet): void {
    this.open.edits.edit(
      `when ${name} is down`,
      of === 'equipment'
        ? { type: 'describeEquipment', id, changes: { loweredIn } }
        : { type: 'describeTransducer', id, changes: { loweredIn } },
    );
  }

  protected setStation({ id, name }: FittedThing, changes: Partial<Station>): void {
    this.open.edits.edit(name, { type: 'describeStation', id, changes });
  }
}
