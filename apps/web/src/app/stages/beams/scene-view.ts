import { ChangeDetectionStrategy, Component, computed, linkedSignal } from '@angular/core';
import { sounderLimits, sceneAt, thermoclineError, type FishSeen } from '@grey-keel/core';
import { sceneSchema, type PlacedFish, type Scene } from '@grey-keel/model';
import { ComputedNumber } from '../../shared/computed-number.ts';
import { FigurePipe } from '../../shared/figure-pipe.ts';
import { QuantityField } from '../../shared/quantity-field.ts';
import { TurnByTurn } from '../../shared/turn-by-turn.ts';
import { Wide } from '../../shared/wide.ts';
import { newId } from '../../state/open-plan.ts';
import { openBoat } from '../open-boat.ts';
import { FansTable } from './fans-table.ts';
import { fishInWords } from './fish-in-words.ts';
import { FishSection, type FishMoved } from './fish-section.ts';
import { ForwardSection, type FishMovedAhead } from './forward-section.ts';
import { PressButton } from '../../shared/press-button.ts';

const stateWords: Record<FishSeen['state'], string> = {
  seen: 'seen',
  faint: 'too faint',
  hidden: "in the bottom's echo",
};

/** Fish put into the section over a sloping bottom: which beam shows each, how strong, and at what depth. */
@Component({
  selector: 'gk-scene-view',
  imports: [ComputedNumber, FansTable, FigurePipe, FishSection, ForwardSection, PressButton, QuantityField, Wide],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (tabled(); as it) {
      <section class="sheet" aria-label="Fish and slope, from astern">
        <gk-fish-section
          [plan]="plan()"
          [depthM]="depthM()"
          [units]="units()"
          [fish]="fish()"
          [scene]="made() ?? it"
          (moved)="move($event)"
          (settled)="settle($event)"
          (removed)="remove($event)"
        />
        <div class="row">
          <button type="button" pButton id="put-fish" (click)="add()">Add a fish</button>
          <p class="small faint">
            Drag a fish, or choose it and use the arrows; hatched water is hidden in the echo of the bottom.
          </p>
        </div>
        @if (it.fish.length) {
          <div gkWide>
            <table class="figures" aria-label="What each beam makes of each fish">
              <thead>
                <tr>
                  <th scope="col">Fish</th>
                  <th scope="col">beam</th>
                  <th scope="col">shows it</th>
                  <th scope="col">off its axis</th>
                  <th scope="col">over noise</th>
                  <th scope="col">drawn at</th>
                  <th scope="col">too deep by</th>
                </tr>
              </thead>
              <tbody>
                @for (one of it.fish; track one.id; let i = $index) {
                  @for (seen of one.seen; track seen.beamId; let first = $first) {
                    <tr [class.first]="first">
                      <td>
                        @if (first) {
                          <strong>{{ i + 1 }}</strong> {{ inWords(one.fish) }}
                          <button type="button" pButton text class="small" (click)="remove(one.id)">delete</button>
                        }
                      </td>
                      <td>{{ seen.beam }}</td>
                      <td [class.lost]="seen.state !== 'seen'">
                        {{ one.aground ? 'under the bottom' : states[seen.state]
                        }}{{ seen.state === 'seen' && !seen.insideCone ? ', beside the cone' : '' }}
                      </td>
                      <td class="mono">{{ seen.offAxisDeg | figure: 'angle' : units() }}</td>
                      <td>
                        <gk-number
                          [of]="'Fish ' + (i + 1) + ' over noise by ' + seen.beam"
                          [value]="seen.snrDb"
                          quantity="level"
                          [steps]="seen.working.slice(0, 2)"
                        />
                      </td>
                      <td>
                        <gk-number
                          [of]="'Depth at which ' + seen.beam + ' draws fish ' + (i + 1)"
                          [value]="seen.displayedM"
                          quantity="depth"
                          [steps]="drawnSteps(seen)"
                        />
                      </td>
                      <td class="mono">{{ seen.tooDeepM | figure: 'length' : units() }}</td>
                    </tr>
                  }
                }
              </tbody>
            </table>
          </div>
          <gk-fans-table [plan]="plan()" [depthM]="depthM()" [units]="units()" [fish]="fannedFish()" />
        }
      </section>
      <gk-forward-section
        [fish]="aheadFish()"
        (moved)="move($event)"
        (settled)="settle($event)"
        (wanted)="add((plan().boat.lengthM ?? 6) + depthM() / 2, 0)"
      />
      <section class="sheet" aria-labelledby="lie-title">
        <h2 id="lie-title">Bottom, boat and water</h2>
        <div class="fields">
          <gk-quantity-field
            fieldId="scene-slope"
            [value]="scene().slopeDeg"
            [schema]="schema.slopeDeg"
            (changed)="set({ slopeDeg: $event ?? 0 })"
          />
          <gk-quantity-field
            fieldId="scene-roll"
            [value]="scene().rollDeg"
            [schema]="schema.rollDeg"
            (changed)="set({ rollDeg: $event ?? 0 })"
          />
          <gk-quantity-field
            label="Pitch, bow up"
            fieldId="scene-pitch"
            quantity="angle"
            [value]="scene().pitchDeg ?? 0"
            [schema]="pitch"
            (changed)="set({ pitchDeg: $event ?? 0 })"
          />
          <gk-quantity-field
            fieldId="scene-wind"
            [value]="scene().windMps"
            [schema]="schema.windMps"
            (changed)="set({ windMps: $event ?? 0 })"
          />
          <gk-quantity-field
            label="Colder layer from (empty: none)"
            fieldId="scene-layer"
            quantity="depth"
            [value]="scene().thermocline?.depthM ?? null"
            [schema]="layerDepth"
            (changed)="layer({ depthM: $event })"
          />
          @if (scene().thermocline; as cold) {
            <gk-quantity-field
              label="Colder by"
              fieldId="scene-colder"
              quantity="temperatureDifference"
              [value]="cold.colderByC"
              [schema]="colder"
              (changed)="layer({ colderByC: $event ?? cold.colderByC })"
            />
          }
        </div>
        <ul class="small">
          @for (beam of it.beams; track beam.id) {
            <li>
              {{ beam.name }} reads {{ beam.readsM | figure: 'depth' : units() }} where it is
              {{ beam.belowM | figure: 'depth' : units() }} straight below: the first echo is the nearest point of the
              bottom in the cone.
            </li>
          }
          @for (beam of limits(); track beam.id) {
            <li>
              {{ beam.name }} shows nothing above
              <gk-number
                [of]="'Depth from which ' + beam.name + ' sees'"
                [value]="beam.seesFromM"
                quantity="depth"
                [steps]="beam.blankWorking"
              />, while it still sends and rings.
              @if (beam.echoes.length) {
                It draws the bottom again, since sound goes up and down once more:
                @for (echo of beam.echoes.slice(0, 2); track echo.order; let last = $last) {
                  at
                  <gk-number
                    [of]="'Bottom number ' + echo.order + ' of ' + beam.name"
                    [value]="echo.drawnM"
                    quantity="depth"
                    [decimals]="1"
                    [steps]="beam.echoWorking"
                  />
                  {{ echo.snrDb | figure: 'level' : units() }} over noise{{ last ? '.' : ',' }}
                }
              }
            </li>
          }
          @if (layered(); as error) {
            <li>
              The colder layer makes a display that works with the upper water read
              <gk-number
                of="Depth read through a colder layer"
                [value]="error.readsM"
                quantity="depth"
                [steps]="error.working"
              />
              where there is {{ depthM() | figure: 'depth' : units() }}.
            </li>
          }
        </ul>
      </section>
    } @else {
      <p class="sheet">The water is not described: give its salt and temperature in the brief.</p>
    }
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: minmax(0, 1fr);
      gap: 10px;
    }
    .row {
      align-items: center;
      margin: 6px 0;
    }
    tr.first td {
      border-top: 2px solid var(--rule);
    }
    .lost {
      color: var(--check);
      font-weight: 700;
    }
    ul {
      margin: 10px 0 0;
      padding-left: 18px;
    }
  `,
})
export class SceneView {
  private readonly open = openBoat();
  protected readonly plan = this.open.plan;
  protected readonly units = this.open.units;
  protected readonly states = stateWords;
  protected readonly schema = sceneSchema.shape;
  protected readonly layerDepth = sceneSchema.shape.thermocline.unwrap().shape.depthM.nullable();
  protected readonly pitch = sceneSchema.shape.pitchDeg.unwrap();
  protected readonly limits = computed(() => sounderLimits(this.plan(), this.depthM()));
  protected readonly colder = sceneSchema.shape.thermocline.unwrap().shape.colderByC;
  protected readonly scene = computed<Scene>(() => this.plan().scene);
  protected readonly depthM = computed(() => this.plan().working.depthM);
  /** Where the fish are while one is moved; the plan's own otherwise. */
  protected readonly fish = linkedSignal(() => this.plan().fish);
  protected readonly made = computed(() => sceneAt(this.plan(), this.depthM(), this.fish()));
  /** The tables and the view ahead are more than one frame holds with the section: they follow in turn. */
  private readonly tabledFish = linkedSignal(() => this.plan().fish);
  protected readonly fannedFish = linkedSignal(() => this.plan().fish);
  protected readonly aheadFish = linkedSignal(() => this.plan().fish);
  private readonly others = new TurnByTurn([this.tabledFish, this.fannedFish, this.aheadFish]);
  protected readonly tabled = computed(() => sceneAt(this.plan(), this.depthM(), this.tabledFish()));
  protected readonly layered = computed(() => thermoclineError(this.plan(), this.depthM()));

  protected inWords(fish: PlacedFish): string {
    return fishInWords(fish, this.units());
  }

  protected drawnSteps({ working }: FishSeen) {
    return [...working.slice(0, 1), ...working.slice(2)];
  }

  protected set(changes: Partial<Scene>): void {
    this.open.edits.edit('the bottom, boat and water', { type: 'setScene', changes });
  }

  protected layer(changes: { depthM?: number | null; colderByC?: number }): void {
    if (changes.depthM === null) return this.set({ thermocline: null });
    const before = this.scene().thermocline ?? { depthM: 10, colderByC: 4 };
    this.set({
      thermocline: { depthM: changes.depthM ?? before.depthM, colderByC: changes.colderByC ?? before.colderByC },
    });
  }

  /** A fish at the transom, to the side that is free; or where it is wanted. */
  protected add(forwardM = 0, starboardM?: number): void {
    const sought = Object.values(this.plan().sought)[0];
    // The next one goes to the other side and further out, clear of those that are there.
    const count = Object.keys(this.plan().fish).length;
    const aside = (count % 2 ? -1 : 1) * (0.1 + 0.08 * Math.floor(count / 2));
    this.open.edits.edit('put a fish', {
      type: 'placeFish',
      id: newId(),
      fish: {
        lengthCm: sought?.lengthCm ?? 40,
        forwardM: Math.round(10 * forwardM) / 10,
        starboardM: starboardM ?? Math.round(10 * this.depthM() * aside) / 10,
        depthM: Math.round(this.depthM() * 6) / 10,
      },
    });
  }

  protected remove(id: string): void {
    this.open.edits.edit('delete a fish', { type: 'removeFish', id });
  }

  protected move({ id, ...to }: FishMoved | FishMovedAhead): void {
    this.fish.update((all) => (all[id] ? { ...all, [id]: { ...all[id], ...to } } : all));
    this.others.follow(this.fish());
    // What is under the finger does not wait for its turn.
    if ('forwardM' in to) this.aheadFish.set(this.fish());
  }

  /** One move is one edit, made when the fish is let go. */
  protected settle(id: string): void {
    this.others.catchUp(this.fish());
    const [moved, before] = [this.fish()[id], this.plan().fish[id]];
    if (!moved || !before) return;
    const { forwardM, starboardM, depthM } = moved;
    if (forwardM === before.forwardM && starboardM === before.starboardM && depthM === before.depthM) return;
    this.open.edits.edit('move a fish', { type: 'describeFish', id, changes: { forwardM, starboardM, depthM } });
  }
}
