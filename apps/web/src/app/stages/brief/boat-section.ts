import { ChangeDetectionStrategy, Component, computed } from '@angular/core';
import { inOrder } from '@grey-keel/core';
import {
  boatSchema,
  hullForms,
  hullMaterials,
  loadingSchema,
  propulsions,
  type Boat,
  type Loading,
} from '@grey-keel/model';
import { ChoiceField, choicesOf } from '../../shared/choice-field.ts';
import { QuantityField } from '../../shared/quantity-field.ts';
import { TextField } from '../../shared/text-field.ts';
import { TickField } from '../../shared/tick-field.ts';
import { newId } from '../../state/open-plan.ts';
import { focusField } from './focus-field.ts';
import { openBoat } from '../open-boat.ts';
import { PlanPlace } from '../../shared/plan-place.ts';

/** What the boat is, and how deep it floats when it is loaded. */
@Component({
  selector: 'gk-boat-section',
  imports: [PlanPlace, ChoiceField, QuantityField, TextField, TickField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let it = plan();
    <section class="sheet" aria-labelledby="boat-title">
      <h2 id="boat-title">Boat</h2>
      <div class="fields">
        <gk-text-field
          label="Name"
          fieldId="boat-name"
          [at]="['boat', 'name']"
          [value]="it.boat.name"
          [schema]="boat.name"
          (changed)="set({ name: $event })"
        />
        <gk-quantity-field
          label="Length"
          fieldId="boat-length"
          [at]="['boat', 'lengthM']"
          quantity="length"
          [value]="it.boat.lengthM"
          [schema]="boat.lengthM"
          (changed)="set({ lengthM: $event })"
        />
        <gk-quantity-field
          label="Beam"
          fieldId="boat-beam"
          [at]="['boat', 'beamM']"
          quantity="length"
          [value]="it.boat.beamM"
          [schema]="boat.beamM"
          (changed)="set({ beamM: $event })"
        />
        <gk-quantity-field
          label="Draught to the keel"
          fieldId="boat-draught"
          [at]="['boat', 'draughtM']"
          quantity="length"
          [value]="it.boat.draughtM"
          [schema]="boat.draughtM"
          (changed)="set({ draughtM: $event })"
        />
        <gk-choice-field
          label="Hull form"
          fieldId="boat-hull"
          [at]="['boat', 'hullForm']"
          [value]="it.boat.hullForm"
          [choices]="choices.hull"
          (changed)="set({ hullForm: $event })"
        />
        <gk-choice-field
          label="Material"
          fieldId="boat-material"
          [at]="['boat', 'hullMaterial']"
          [value]="it.boat.hullMaterial"
          [choices]="choices.material"
          (changed)="set({ hullMaterial: $event })"
        />
        <gk-choice-field
          label="Propulsion"
          fieldId="boat-propulsion"
          [at]="['boat', 'propulsion']"
          [value]="it.boat.propulsion"
          [choices]="choices.propulsion"
          (changed)="set({ propulsion: $event })"
        />
        <gk-tick-field
          class="works"
          label="electric bow motor"
          fieldId="boat-bow-motor"
          [at]="['boat', 'bowMotor']"
          [value]="it.boat.bowMotor === true"
          (changed)="set({ bowMotor: $event })"
        />
        <gk-quantity-field
          label="Cruise speed"
          fieldId="boat-cruise-speed"
          [at]="['boat', 'cruiseSpeedMps']"
          quantity="speed"
          [value]="it.boat.cruiseSpeedMps"
          [schema]="boat.cruiseSpeedMps"
          (changed)="set({ cruiseSpeedMps: $event })"
        />
        <gk-quantity-field
          label="Top speed"
          fieldId="boat-top-speed"
          [at]="['boat', 'topSpeedMps']"
          quantity="speed"
          [value]="it.boat.topSpeedMps"
          [schema]="boat.topSpeedMps"
          (changed)="set({ topSpeedMps: $event })"
        />
        <gk-quantity-field
          label="Electrical system"
          fieldId="boat-voltage"
          [at]="['boat', 'systemVoltageV']"
          quantity="voltage"
          [value]="it.boat.systemVoltageV"
          [schema]="boat.systemVoltageV"
          (changed)="set({ systemVoltageV: $event })"
        />
      </div>
      <h3>Loaded deeper</h3>
      <p class="small faint">
        The draught above is as the boat floats when it is calibrated. Grounding counts from the deepest of these.
      </p>
      @for (entry of loadings(); track entry[0]) {
        <div class="fields loading">
          <gk-text-field
            label="Loaded with"
            [fieldId]="'loading-name-' + entry[0]"
            [at]="['loadings', entry[0], 'name']"
            [value]="entry[1].name"
            [schema]="loading.name"
            (changed)="setLoading(entry, { name: $event })"
          />
          <gk-quantity-field
            label="Draught then"
            [fieldId]="'loading-draught-' + entry[0]"
            [at]="['loadings', entry[0], 'draughtM']"
            quantity="length"
            [value]="entry[1].draughtM"
            [schema]="loading.draughtM"
            (changed)="setLoading(entry, { draughtM: $event ?? entry[1].draughtM })"
          />
          <button
            type="button"
            class="plain"
            (click)="edits.edit('remove ' + entry[1].name, { type: 'putLoading', id: entry[0], loading: null })"
            [attr.aria-label]="'Remove loading ' + entry[1].name"
          >
            Remove
          </button>
        </div>
      }
      <button type="button" class="action" id="add-loading" [gkPlace]="['loadings']" (click)="addLoading()">
        Add a loading
      </button>
      @if (it.boat.hullMaterial === 'cored composite') {
        <p class="caution" role="note">
          Cored hull: haul out to drill, seal the hole to the core; structural work is for a yard.
        </p>
      }
    </section>
  `,
  styles: `
    :host {
      display: contents;
    }
    h2 {
      margin-bottom: 6px;
    }
    .loading {
      align-items: end;
      margin-bottom: 8px;
    }
    h3 {
      margin-top: 12px;
    }
    .works {
      align-self: end;
    }
    .caution {
      margin-top: 10px;
    }
  `,
})
export class BoatSection {
  private readonly open = openBoat();
  protected readonly plan = this.open.plan;
  protected readonly edits = this.open.edits;
  protected readonly boat = boatSchema.shape;
  protected readonly loading = loadingSchema.shape;
  protected readonly choices = {
    hull: choicesOf(hullForms),
    material: choicesOf(hullMaterials),
    propulsion: choicesOf(propulsions),
  };
  protected readonly loadings = computed(() => inOrder(this.plan().loadings));

  protected set(changes: Partial<Boat>): void {
    this.edits.edit('the boat', { type: 'describeBoat', changes });
  }

  protected setLoading([id, before]: readonly [string, Loading], changes: Partial<Loading>): void {
    this.edits.edit('a loading', { type: 'putLoading', id, loading: { ...before, ...changes } });
  }

  protected addLoading(): void {
    const id = newId();
    this.edits.edit('add a loading', {
      type: 'putLoading',
      id,
      loading: { name: 'people and fuel', draughtM: this.plan().boat.draughtM ?? 0.5 },
    });
    focusField(`loading-draught-${id}`);
  }
}
