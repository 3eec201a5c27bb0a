import { ChangeDetectionStrategy, Component, computed } from '@angular/core';
import { circuitStanding, inOrder } from '@grey-keel/core';
import { type Circuit, circuitSchema, conductors, gauges, insulationRatingsC, type Load } from '@grey-keel/model';
import { ChoiceField, choicesOf } from '../../shared/choice-field.ts';
import { ComputedNumber } from '../../shared/computed-number.ts';
import { FigurePipe } from '../../shared/figure-pipe.ts';
import { QuantityField } from '../../shared/quantity-field.ts';
import { TextField } from '../../shared/text-field.ts';
import { newId } from '../../state/open-plan.ts';
import { openBoat } from '../open-boat.ts';
import { PlanPlace } from '../../shared/plan-place.ts';
import { LoadFields, usualLoad } from './load-fields.ts';
import { PressButton } from '../../shared/press-button.ts';

/** The circuits of the boat: wire, fuse, what they lose, and what hangs on them. */
@Component({
  selector: 'gk-circuit-list',
  imports: [ChoiceField, ComputedNumber, FigurePipe, LoadFields, PlanPlace, PressButton, QuantityField, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section class="sheet" aria-labelledby="circuits-title">
      <h2 id="circuits-title">Circuits</h2>
      @for (it of circuits(); track it.id) {
        <article class="item" [attr.aria-label]="it.circuit.name">
          <div class="fields">
            <gk-text-field
              label="Circuit"
              [fieldId]="'circuit-name-' + it.id"
              [at]="['power', 'circuits', it.id, 'name']"
              [value]="it.circuit.name"
              [schema]="circuit.name"
              (changed)="setCircuit(it.id, { name: $event })"
            />
            <gk-choice-field
              label="Battery"
              [fieldId]="'circuit-battery-' + it.id"
              [at]="['power', 'circuits', it.id, 'batteryId']"
              [value]="it.circuit.batteryId ?? ''"
              [choices]="batteryChoices()"
              (changed)="setCircuit(it.id, { batteryId: $event || null })"
            />
            <gk-choice-field
              label="Wire"
              [fieldId]="'circuit-gauge-' + it.id"
              [at]="['power', 'circuits', it.id, 'gauge']"
              [value]="it.circuit.gauge"
              [choices]="gaugeChoices"
              (changed)="setCircuit(it.id, { gauge: $event })"
            />
            <gk-choice-field
              label="Conductor"
              [fieldId]="'circuit-conductor-' + it.id"
              [at]="['power', 'circuits', it.id, 'conductor']"
              [value]="it.circuit.conductor"
              [choices]="conductorChoices"
              (changed)="setCircuit(it.id, { conductor: $event })"
            />
            <gk-quantity-field
              [fieldId]="'circuit-length-' + it.id"
              [at]="['power', 'circuits', it.id, 'oneWayLengthM']"
              [value]="it.circuit.oneWayLengthM"
              [schema]="circuit.oneWayLengthM"
              (changed)="setCircuit(it.id, { oneWayLengthM: $event ?? it.circuit.oneWayLengthM })"
            />
            <gk-quantity-field
              label="Around the wire"
              [fieldId]="'circuit-temperature-' + it.id"
              [at]="['power', 'circuits', it.id, 'temperatureC']"
              [value]="it.circuit.temperatureC"
              [schema]="circuit.temperatureC"
              (changed)="setCircuit(it.id, { temperatureC: $event ?? 20 })"
            />
            <gk-choice-field
              label="Insulation, as printed"
              [fieldId]="'circuit-insulation-' + it.id"
              [at]="['power', 'circuits', it.id, 'insulationC']"
              [value]="insulationOf(it.circuit)"
              [choices]="insulations"
              (changed)="setInsulation(it.id, $event)"
            />
            <gk-quantity-field
              [fieldId]="'circuit-fuse-' + it.id"
              [at]="['power', 'circuits', it.id, 'fuseA']"
              [value]="it.circuit.fuseA"
              [schema]="circuit.fuseA"
              (changed)="setCircuit(it.id, { fuseA: $event })"
            />
            <gk-quantity-field
              [fieldId]="'circuit-fuse-place-' + it.id"
              [at]="['power', 'circuits', it.id, 'fuseFromPostM']"
              [value]="it.circuit.fuseFromPostM"
              [schema]="circuit.fuseFromPostM"
              (changed)="setCircuit(it.id, { fuseFromPostM: $event ?? 0 })"
            />
          </div>
          @if (it.standing; as standing) {
            <ul class="told">
              <li>draws {{ standing.currentA | figure: 'current' : units() }} at the most</li>
              <li>
                lost in its wires
                <gk-number
                  [of]="'Lost on ' + it.circuit.name"
                  [value]="standing.drop.dropPercent / 100"
                  quantity="fraction"
                  [steps]="standing.drop.working"
                />
              </li>
              <li>
                its wire bears
                <gk-number
                  [of]="'What the wire of ' + it.circuit.name + ' bears'"
                  [value]="standing.bears.ampacityA"
                  quantity="current"
                  [decimals]="0"
                  [steps]="standing.bears.working"
                />
              </li>
              @for (one of standing.dips; track one.loadId) {
                <li>
                  {{ it.circuit.loads[one.loadId]?.name }}, while the engine is cranked
                  <gk-number
                    [of]="'Voltage at ' + it.circuit.loads[one.loadId]?.name + ' while the engine is cranked'"
                    [value]="one.dip.dipV"
                    quantity="voltage"
                    [steps]="one.dip.working"
                  />
                </li>
              }
            </ul>
          }
          @for (load of it.loads; track load[0]) {
            <gk-load-fields [circuitId]="it.id" [circuitName]="it.circuit.name" [loadId]="load[0]" [load]="load[1]" />
          }
          <div class="row">
            <button type="button" pButton severity="secondary" (click)="addLoad(it.id)">Add a load</button>
            <button type="button" pButton text (click)="removeCircuit(it.id, it.circuit.name)">
              Delete {{ it.circuit.name }}
            </button>
          </div>
        </article>
      } @empty {
        <p class="faint">None yet. A circuit is one pair of wires from a battery, with its fuse.</p>
      }
      <button
        type="button"
        pButton
        severity="secondary"
        id="circuit-add"
        [gkPlace]="['power', 'circuits']"
        (click)="addCircuit()"
      >
        Add a circuit
      </button>
      <p class="small faint">
        A fuse opens on too much current. It stops neither a dip nor a spike of voltage, and a lithium battery does not
        sharpen a picture: it holds its voltage longer, which only counts where a device runs out of it.
      </p>
    </section>
  `,
  styles: `
    .item {
      padding: 10px 0;
      border-bottom: var(--hairline) solid var(--rule);
      margin-bottom: 10px;
    }
    .told {
      display: flex;
      flex-wrap: wrap;
      gap: 0 28px;
      margin: 8px 0;
      padding: 0;
      list-style: none;
    }
  `,
})
export class CircuitList {
  private readonly open = openBoat();
  protected readonly plan = this.open.plan;
  protected readonly units = this.open.units;
  protected readonly circuit = circuitSchema.shape;
  protected readonly insulations = [
    { value: '' as const, label: 'not looked at' },
    ...Array.from(insulationRatingsC, (rated) => ({ value: `${rated}` as const, label: `for ${rated} °C` })),
  ];
  protected readonly gaugeChoices = choicesOf(gauges);
  protected readonly conductorChoices = choicesOf(conductors);

  protected insulationOf({ insulationC }: Circuit): `${(typeof insulationRatingsC)[number]}` | '' {
    return insulationC == null ? '' : `${insulationC}`;
  }

  protected setInsulation(id: string, text: string): void {
    this.setCircuit(id, { insulationC: insulationRatingsC.find((rated) => `${rated}` === text) ?? null });
  }
  protected readonly batteryChoices = computed(() => [
    { value: '', label: 'nothing yet' },
    ...inOrder(this.plan().power.batteries).map(([id, { name }]) => ({ value: id, label: name })),
  ]);
  protected readonly circuits = computed(() =>
    inOrder(this.plan().power.circuits).map(([id, circuit]) => ({
      id,
      circuit,
      loads: inOrder(circuit.loads),
      standing: circuitStanding(this.plan(), circuit),
    })),
  );

  protected setCircuit(id: string, changes: Partial<Omit<Circuit, 'loads'>>): void {
    this.open.edits.edit(this.plan().power.circuits[id]?.name ?? 'a circuit', { type: 'describeCircuit', id, changes });
  }

  protected putLoad(circuitId: string, id: string, load: Load | null, what: string): void {
    this.open.edits.edit(what, { type: 'putLoad', circuitId, id, load });
  }

  protected addCircuit(): void {
    const [first] = inOrder(this.plan().power.batteries);
    this.open.edits.edit('add a circuit', {
      type: 'addCircuit',
      id: newId(),
      circuit: {
        name: 'Circuit',
        batteryId: first?.[0] ?? null,
        oneWayLengthM: 3,
        gauge: '6 mm2',
        conductor: 'stranded-tinned',
        temperatureC: 30,
        fuseA: 10,
        fuseFromPostM: 0.1,
        loads: { [newId()]: { ...usualLoad, runsIn: this.awake() } },
      },
    });
  }

  protected removeCircuit(id: string, name: string): void {
    this.open.edits.edit(`delete ${name}`, { type: 'removeCircuit', id });
  }

  protected addLoad(circuitId: string): void {
    this.putLoad(circuitId, newId(), { ...usualLoad, runsIn: this.awake() }, 'add a load');
  }

  private awake(): Load['runsIn'] {
    const { trailer: _never, ...wet } = this.plan().ways;
    return wet;
  }
}
