import { ChangeDetectionStrategy, Component, input, output, signal } from '@angular/core';
import { usualPropellers } from '@grey-keel/core';
import { type EquipmentKind, equipmentKinds } from '@grey-keel/model';
import { ChoiceField, choicesOf } from '../../shared/choice-field.ts';
import { FigurePipe } from '../../shared/figure-pipe.ts';
import { PlanPlace } from '../../shared/plan-place.ts';
import { Wide } from '../../shared/wide.ts';
import { newId } from '../../state/open-plan.ts';
import { openBoat } from '../open-boat.ts';
import type { FittedThing } from './fitted-things.ts';
import { PressButton } from '../../shared/press-button.ts';

/** Where a new piece of equipment usually stands, as shares of length and beam, and above the keel. */
const usual: Readonly<Record<EquipmentKind, readonly [along: number, across: number, aboveKeelM: number]>> = {
  propeller: [-0.08, 0, 0],
  'bow motor': [0.98, 0.1, 0],
  'position antenna': [0.4, 0, 2.4],
  'heading sensor': [0.5, 0, 0.9],
  'speed and temperature sensor': [0.3, 0.1, 0.1],
  'temperature sensor': [0, 0.2, 0.2],
  'engine gateway': [0.1, 0, 0.7],
  'sounder module': [0.5, 0.15, 1],
  'battery box': [0.15, 0, 0.5],
  'strake or fitting': [0.3, 0.2, 0.1],
  'cable run': [0.1, 0.3, 0.8],
};

/** Everything that has a place, in the order of its number in the drawing, and the next thing that is put aboard. */
@Component({
  selector: 'gk-things-list',
  imports: [ChoiceField, FigurePipe, PlanPlace, PressButton, Wide],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section class="sheet" aria-labelledby="things-title">
      <h2 id="things-title">What is aboard</h2>
      <div gkWide>
        <table class="figures" aria-label="What is aboard and where">
          <thead>
            <tr>
              <th scope="col">No.</th>
              <th scope="col" class="left">Thing</th>
              <th scope="col" class="left">what it is</th>
              <th scope="col">forward</th>
              <th scope="col">starboard</th>
              <th scope="col">above keel</th>
            </tr>
          </thead>
          <tbody>
            @for (thing of things(); track thing.key; let i = $index) {
              <tr [class.chosen]="thing.key === chosen()">
                <td class="mono">{{ i + 1 }}</td>
                <td class="left named">
                  <button
                    type="button"
                    pButton
                    text
                    [id]="'thing-' + thing.key"
                    [attr.aria-pressed]="thing.key === chosen()"
                    (click)="chose.emit(thing.key)"
                  >
                    {{ thing.name }}
                  </button>
                </td>
                <td class="left small faint">{{ thing.kind }}</td>
                @if (thing.place; as place) {
                  <td class="mono">{{ place.forwardM | figure: 'length' : units() }}</td>
                  <td class="mono">{{ place.starboardM | figure: 'length' : units() }}</td>
                  <td class="mono">{{ place.aboveKeelM | figure: 'length' : units() }}</td>
                } @else {
                  <td colspan="3" class="is-missing">not placed yet</td>
                }
              </tr>
            } @empty {
              <tr>
                <td colspan="5">
                  Nothing yet. Choose transducers on Beams, name the stations in the brief, add the rest here.
                </td>
              </tr>
            }
          </tbody>
        </table>
      </div>
      <div class="row add">
        <gk-choice-field
          label="Another"
          fieldId="new-equipment-kind"
          [value]="newKind()"
          [choices]="kinds"
          (changed)="newKind.set($event)"
        />
        <button type="button" pButton severity="secondary" id="add-equipment" [gkPlace]="['equipment']" (click)="add()">
          Add it
        </button>
      </div>
    </section>
  `,
  styles: `
    :host {
      display: block;
    }
    .left {
      text-align: left !important;
    }
    tr.chosen {
      background: var(--water-wash);
    }
    td .p-button {
      padding: 0;
      min-width: 0;
      margin-right: 8px;
      text-align: left;
    }
    @media (pointer: coarse) {
      td .p-button {
        min-width: var(--touch);
      }
    }
    .add {
      margin-top: 10px;
    }
  `,
})
export class ThingsList {
  readonly things = input.required<readonly FittedThing[]>();
  /** By its key. */
  readonly chosen = input.required<string | null>();
  readonly chose = output<string>();

  private readonly open = openBoat();
  protected readonly units = this.open.units;
  protected readonly kinds = choicesOf(equipmentKinds);
  protected readonly newKind = signal<EquipmentKind>('propeller');

  protected add(): void {
    const plan = this.open.plan();
    const { lengthM, beamM } = plan.boat;
    const kind = this.newKind();
    const [along, across, aboveKeelM] = usual[kind];
    const id = newId();
    const round = (value: number): number => Math.round(100 * value) / 100;
    const already = Object.values(plan.equipment).filter((one) => one.kind === kind).length;
    // The next of a kind goes to the other side, the one after that a little further on.
    const side = already % 2 === 0 ? 1 : -1;
    const propeller = kind === 'propeller' ? usualPropellers(plan)[already] : undefined;
    const turns = kind === 'propeller' || kind === 'bow motor';
    this.open.edits.edit(`add a ${kind}`, {
      type: 'placeEquipment',
      id,
      equipment: {
        name: `${kind[0]?.toUpperCase() ?? ''}${kind.slice(1)}`,
        kind,
        forwardM: round((along - 0.03 * Math.floor(already / 2)) * (lengthM ?? 6)),
        starboardM: round(side * (already > 0 ? Math.max(0.1, across) : across) * (beamM ?? 2)),
        aboveKeelM,
        propellerDiameterM: propeller?.diameterM ?? (turns ? 0.35 : null),
        ...propeller?.place,
      },
    });
    this.chose.emit(`equipment-${id}`);
  }
}
