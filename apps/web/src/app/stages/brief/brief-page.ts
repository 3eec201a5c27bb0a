import { ChangeDetectionStrategy, Component, computed } from '@angular/core';
import { inOrder } from '@grey-keel/core';
import {
  boatSchema,
  bottoms,
  clarities,
  hullForms,
  hullMaterials,
  loadingSchema,
  postures,
  propulsions,
  soughtSchema,
  stationSchema,
  waterKinds,
  waterSchema,
  waysOfWorking,
  type Boat,
  type Loading,
  type Sought,
  type Station,
  type Water,
  type Way,
} from '@grey-keel/model';
import { ChoiceField, choicesOf } from '../../shared/choice-field.ts';
import { QuantityField } from '../../shared/quantity-field.ts';
import { TextField } from '../../shared/text-field.ts';
import { newId } from '../../state/open-plan.ts';
import { openBoat } from '../open-boat.ts';
import { WaterColumn } from './water-column.ts';
import { TickField } from '../../shared/tick-field.ts';

/** What a new water starts from, by kind: only the salt is known beforehand. */
const saltOf: Record<Water['kind'], number> = { fresh: 0, brackish: 10, salt: 35 };

@Component({
  selector: 'gk-brief-page',
  imports: [ChoiceField, QuantityField, TextField, TickField, WaterColumn],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let it = plan();
    <section class="sheet" aria-label="The boat on her water">
      <gk-water-column [plan]="it" [units]="units()" />
    </section>
    <div class="two">
      <section class="sheet" aria-labelledby="boat-title">
        <h2 id="boat-title">Boat</h2>
        <div class="fields">
          <gk-text-field
            label="Name"
            fieldId="boat-name"
            [value]="it.boat.name"
            [schema]="boat.name"
            (changed)="set({ name: $event })"
          />
          <gk-quantity-field
            label="Length"
            fieldId="boat-length"
            quantity="length"
            [value]="it.boat.lengthM"
            [schema]="boat.lengthM"
            (changed)="set({ lengthM: $event })"
          />
          <gk-quantity-field
            label="Beam"
            fieldId="boat-beam"
            quantity="length"
            [value]="it.boat.beamM"
            [schema]="boat.beamM"
            (changed)="set({ beamM: $event })"
          />
          <gk-quantity-field
            label="Draught to the keel"
            fieldId="boat-draught"
            quantity="length"
            [value]="it.boat.draughtM"
            [schema]="boat.draughtM"
            (changed)="set({ draughtM: $event })"
          />
          <gk-choice-field
            label="Hull form"
            fieldId="boat-hull"
            [value]="it.boat.hullForm"
            [choices]="choices.hull"
            (changed)="set({ hullForm: $event })"
          />
          <gk-choice-field
            label="Material"
            fieldId="boat-material"
            [value]="it.boat.hullMaterial"
            [choices]="choices.material"
            (changed)="set({ hullMaterial: $event })"
          />
          <gk-choice-field
            label="Propulsion"
            fieldId="boat-propulsion"
            [value]="it.boat.propulsion"
            [choices]="choices.propulsion"
            (changed)="set({ propulsion: $event })"
          />
          <gk-tick-field
            class="works"
            label="electric bow motor"
            fieldId="boat-bow-motor"
            [value]="it.boat.bowMotor === true"
            (changed)="set({ bowMotor: $event })"
          />
          <gk-quantity-field
            label="Cruise speed"
            fieldId="boat-cruise-speed"
            quantity="speed"
            [value]="it.boat.cruiseSpeedMps"
            [schema]="boat.cruiseSpeedMps"
            (changed)="set({ cruiseSpeedMps: $event })"
          />
          <gk-quantity-field
            label="Top speed"
            fieldId="boat-top-speed"
            quantity="speed"
            [value]="it.boat.topSpeedMps"
            [schema]="boat.topSpeedMps"
            (changed)="set({ topSpeedMps: $event })"
          />
          <gk-quantity-field
            label="Electrical system"
            fieldId="boat-voltage"
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
              [value]="entry[1].name"
              [schema]="loading.name"
              (changed)="setLoading(entry, { name: $event })"
            />
            <gk-quantity-field
              label="Draught then"
              [fieldId]="'loading-draught-' + entry[0]"
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
        <button type="button" class="action" id="add-loading" (click)="addLoading()">Add a loading</button>
        @if (it.boat.hullMaterial === 'cored composite') {
          <p class="caution" role="note">
            Cored hull: haul out to drill, seal the hole to the core; structural work is for a yard.
          </p>
        }
      </section>

      <section class="sheet" aria-labelledby="ways-title" id="ways">
        <h2 id="ways-title">Ways of working</h2>
        <div class="ways">
          @for (way of allWays; track way) {
            <gk-tick-field [label]="way" [value]="it.ways[way] === true" (changed)="useWay(way, $event)" />
          }
        </div>
        <h2>Stations</h2>
        @for (entry of stations(); track entry[0]) {
          <div class="fields item">
            <gk-text-field
              label="Station"
              [fieldId]="'station-name-' + entry[0]"
              [value]="entry[1].name"
              [schema]="station.name"
              (changed)="setStation(entry[0], { name: $event })"
            />
            <gk-quantity-field
              label="Eye to screen"
              [fieldId]="'station-distance-' + entry[0]"
              quantity="length"
              [value]="entry[1].viewingDistanceM"
              [schema]="station.viewingDistanceM"
              (changed)="setStation(entry[0], { viewingDistanceM: $event })"
            />
            <gk-choice-field
              label="Posture"
              [fieldId]="'station-posture-' + entry[0]"
              [value]="entry[1].posture"
              [choices]="choices.posture"
              (changed)="setStation(entry[0], { posture: $event })"
            />
            <button
              type="button"
              class="plain"
              (click)="edits.edit('remove ' + entry[1].name, { type: 'removeStation', id: entry[0] })"
              [attr.aria-label]="'Remove station ' + entry[1].name"
            >
              Remove
            </button>
          </div>
        }
        <button type="button" class="action" id="add-station" (click)="addStation()">Add a station</button>
      </section>
    </div>

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
            [value]="entry[1].name"
            [schema]="water.name"
            (changed)="setWater(entry[0], { name: $event })"
          />
          <gk-choice-field
            label="Kind"
            [fieldId]="'water-kind-' + entry[0]"
            [value]="entry[1].kind"
            [choices]="choices.kind"
            (changed)="setKind(entry[0], $event)"
          />
          <gk-quantity-field
            label="Salinity"
            [fieldId]="'water-salinity-' + entry[0]"
            quantity="salinity"
            [value]="entry[1].salinityPpt"
            [schema]="water.salinityPpt"
            (changed)="setWater(entry[0], { salinityPpt: $event ?? 0 })"
          />
          <gk-quantity-field
            label="Usual temperature"
            [fieldId]="'water-temperature-' + entry[0]"
            quantity="temperature"
            [value]="entry[1].temperatureC"
            [schema]="water.temperatureC"
            (changed)="setWater(entry[0], { temperatureC: $event ?? 10 })"
          />
          <gk-quantity-field
            label="Coldest"
            [fieldId]="'water-coldest-' + entry[0]"
            quantity="temperature"
            [value]="entry[1].coldestC"
            [schema]="water.coldestC"
            (changed)="setWater(entry[0], { coldestC: $event })"
          />
          <gk-quantity-field
            label="Warmest"
            [fieldId]="'water-warmest-' + entry[0]"
            quantity="temperature"
            [value]="entry[1].warmestC"
            [schema]="water.warmestC"
            (changed)="setWater(entry[0], { warmestC: $event })"
          />
          <gk-quantity-field
            label="Shallowest"
            [fieldId]="'water-shallowest-' + entry[0]"
            quantity="depth"
            [value]="entry[1].shallowestM"
            [schema]="water.shallowestM"
            (changed)="setWater(entry[0], { shallowestM: $event })"
          />
          <gk-quantity-field
            label="Usual deepest"
            [fieldId]="'water-deepest-' + entry[0]"
            quantity="depth"
            [value]="entry[1].usualDeepestM"
            [schema]="water.usualDeepestM"
            (changed)="setWater(entry[0], { usualDeepestM: $event })"
          />
          <gk-quantity-field
            label="Greatest depth"
            [fieldId]="'water-greatest-' + entry[0]"
            quantity="depth"
            [value]="entry[1].greatestM"
            [schema]="water.greatestM"
            (changed)="setWater(entry[0], { greatestM: $event })"
          />
          <gk-choice-field
            label="Clarity"
            [fieldId]="'water-clarity-' + entry[0]"
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
      <button type="button" class="action" id="add-water" (click)="addWater()">Add a water</button>
    </section>

    <section class="sheet" aria-labelledby="sought-title">
      <h2 id="sought-title">What is sought</h2>
      @for (entry of sought(); track entry[0]) {
        <div class="fields item">
          <gk-text-field
            label="Fish or thing"
            [fieldId]="'sought-name-' + entry[0]"
            [value]="entry[1].name"
            [schema]="thing.name"
            (changed)="setSought(entry[0], { name: $event })"
          />
          <gk-quantity-field
            label="Its length"
            [fieldId]="'sought-length-' + entry[0]"
            quantity="fishLength"
            [value]="entry[1].lengthCm"
            [schema]="thing.lengthCm"
            (changed)="setSought(entry[0], { lengthCm: $event })"
          />
          <gk-quantity-field
            label="Stands from"
            [fieldId]="'sought-shallowest-' + entry[0]"
            quantity="depth"
            [value]="entry[1].shallowestM"
            [schema]="thing.shallowestM"
            (changed)="setSought(entry[0], { shallowestM: $event })"
          />
          <gk-quantity-field
            label="down to"
            [fieldId]="'sought-deepest-' + entry[0]"
            quantity="depth"
            [value]="entry[1].deepestM"
            [schema]="thing.deepestM"
            (changed)="setSought(entry[0], { deepestM: $event })"
          />
          <gk-choice-field
            label="Over"
            [fieldId]="'sought-over-' + entry[0]"
            [value]="entry[1].over"
            [choices]="choices.over"
            (changed)="setSought(entry[0], { over: $event })"
          />
          <button
            type="button"
            class="plain"
            (click)="edits.edit('remove ' + entry[1].name, { type: 'removeSought', id: entry[0] })"
            [attr.aria-label]="'Remove ' + entry[1].name"
          >
            Remove
          </button>
        </div>
      }
      <button type="button" class="action" id="add-sought" (click)="addSought()">Add what is sought</button>
    </section>
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: minmax(0, 1fr);
      gap: 10px;
    }
    .two {
      display: grid;
      grid-template-columns: 3fr 2fr;
      gap: 10px;
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
    .loading {
      align-items: end;
      margin-bottom: 8px;
    }
    h3 {
      margin-top: 12px;
    }
    .ways {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(136px, 1fr));
      margin-bottom: 10px;
    }
    .works {
      align-self: end;
    }
    .caution {
      margin-top: 10px;
    }
    @media (max-width: 1100px) {
      .two {
        grid-template-columns: minmax(0, 1fr);
      }
    }
  `,
})
export class BriefPage {
  private readonly open = openBoat();
  protected readonly plan = this.open.plan;
  protected readonly units = this.open.units;
  protected readonly edits = this.open.edits;
  protected readonly boat = boatSchema.shape;
  protected readonly station = stationSchema.shape;
  protected readonly water = waterSchema.shape;
  protected readonly thing = soughtSchema.shape;
  protected readonly allWays = waysOfWorking;
  protected readonly choices = {
    hull: choicesOf(hullForms),
    material: choicesOf(hullMaterials),
    propulsion: choicesOf(propulsions),
    posture: choicesOf(postures),
    kind: choicesOf(waterKinds),
    clarity: choicesOf(clarities),
    over: choicesOf(bottoms),
  };
  protected readonly stations = computed(() => inOrder(this.plan().stations));
  protected readonly loading = loadingSchema.shape;
  protected readonly loadings = computed(() => inOrder(this.plan().loadings));
  protected readonly waters = computed(() => inOrder(this.plan().waters));
  protected readonly sought = computed(() => inOrder(this.plan().sought));

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
    this.focus(`loading-draught-${id}`);
  }

  protected setStation(id: string, changes: Partial<Station>): void {
    this.edits.edit('a station', { type: 'describeStation', id, changes });
  }

  protected setWater(id: string, changes: Partial<Water>): void {
    this.edits.edit('a water', { type: 'describeWater', id, changes });
  }

  /** A change of kind brings the salt that goes with it; it can be set closer afterwards. */
  protected setKind(id: string, kind: Water['kind']): void {
    this.setWater(id, { kind, salinityPpt: saltOf[kind] });
  }

  protected setSought(id: string, changes: Partial<Sought>): void {
    this.edits.edit('what is sought', { type: 'describeSought', id, changes });
  }

  protected useWay(way: Way, used: boolean): void {
    this.edits.edit(`${used ? 'use' : 'drop'} ${way}`, { type: 'useWay', way, used });
  }

  protected addStation(): void {
    const id = newId();
    this.edits.edit('add a station', {
      type: 'addStation',
      id,
      station: { name: `Station ${this.stations().length + 1}`, viewingDistanceM: 0.9, posture: 'standing' },
    });
    this.focus(`station-name-${id}`);
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
    this.focus(`water-name-${id}`);
  }

  protected addSought(): void {
    const id = newId();
    this.edits.edit('add what is sought', {
      type: 'addSought',
      id,
      sought: {
        name: `Sought ${this.sought().length + 1}`,
        lengthCm: null,
        shallowestM: null,
        deepestM: null,
        over: 'open water',
      },
    });
    this.focus(`sought-name-${id}`);
  }

  private focus(id: string): void {
    requestAnimationFrame(() => {
      const field = document.getElementById(id);
      field?.focus();
      if (field instanceof HTMLInputElement) field.select();
    });
  }
}
