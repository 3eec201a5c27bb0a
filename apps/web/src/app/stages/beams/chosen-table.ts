import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { lostToAbsorption, sectionAt, workingWater } from '@grey-keel/core';
import { ComputedNumber } from '../../shared/computed-number.ts';
import { FigurePipe } from '../../shared/figure-pipe.ts';
import { openBoat } from '../open-boat.ts';
import { seriesVariable } from '../../shared/series.ts';
import { Wide } from '../../shared/wide.ts';
import { PressButton } from '../../shared/press-button.ts';

/** The transducers that are chosen, with the cone, footprint and absorption of each. */
@Component({
  selector: 'gk-chosen-table',
  imports: [ComputedNumber, FigurePipe, PressButton, Wide],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section class="sheet" aria-labelledby="chosen-title">
      <h2 id="chosen-title">Chosen</h2>
      @if (rows().length) {
        <div gkWide>
          <table class="figures">
            <thead>
              <tr>
                <th scope="col">Transducer</th>
                <th scope="col">kHz</th>
                <th scope="col">cone -3 dB</th>
                <th scope="col">at {{ footprintM() | figure: 'depth' : units() : { decimals: 1 } }}</th>
                <th scope="col">absorbed</th>
                <th scope="col"><span class="hidden-label">Change</span></th>
              </tr>
            </thead>
            <tbody>
              @for (row of rows(); track row.id) {
                <tr [attr.data-transducer]="row.id">
                  <td class="named">
                    <span class="swatch" [style.background]="row.colour" aria-hidden="true"></span>{{ row.name }}
                  </td>
                  <td class="mono">{{ row.kHz }}</td>
                  <td>
                    <gk-number
                      [of]="'Cone of ' + row.name + ' at -3 dB'"
                      [value]="row.cone.acrossDeg"
                      quantity="angle"
                      [steps]="row.cone.working"
                    />
                  </td>
                  <td>
                    @if (row.footprint; as foot) {
                      <gk-number
                        [of]="'Footprint of ' + row.name"
                        [value]="foot.widthAcrossM"
                        quantity="length"
                        [decimals]="1"
                        [steps]="foot.working"
                      />
                    } @else {
                      <span class="faint small">{{ row.kind }}</span>
                    }
                  </td>
                  <td>
                    @if (row.lost; as lost) {
                      <gk-number
                        [of]="'Lost to absorption by ' + row.name"
                        [value]="lost.lostDb"
                        quantity="level"
                        [steps]="lost.working"
                      />
                    } @else {
                      <span class="is-missing mono">no water</span>
                    }
                  </td>
                  <td>
                    <button
                      type="button"
                      pButton
                      text
                      [id]="'change-' + row.id"
                      [attr.aria-expanded]="selected() === row.id"
                      (click)="chose.emit(row.id)"
                      [attr.aria-label]="'Change ' + row.name"
                    >
                      Change
                    </button>
                  </td>
                </tr>
              }
            </tbody>
          </table>
        </div>
        @if (ruled().length) {
          <p class="small faint">
            Depth times angle in radians, the usual rule, says less by
            @for (row of ruled(); track row.id; let last = $last) {
              <gk-number
                [of]="'Shortfall of the usual rule for ' + row.name"
                [value]="row.shortfall"
                quantity="fraction"
                [steps]="row.working"
              />{{ last ? '.' : ' and' }}
            }
          </p>
        }
      } @else {
        <p class="faint">None yet. Place one from the catalogue below, or add one from its data sheet.</p>
      }
    </section>
  `,
  styles: `
    :host {
      display: contents;
    }
    .swatch {
      display: inline-block;
      width: 11px;
      height: 11px;
      margin-right: 8px;
    }
  `,
})
export class ChosenTable {
  /** The depths the footprints and the absorption are for; they follow a drag turn by turn. */
  readonly footprintM = input.required<number>();
  readonly absorbedM = input.required<number>();
  /** The id of the one whose fields are open. */
  readonly selected = input.required<string | null>();
  readonly chose = output<string>();

  private readonly open = openBoat();
  protected readonly units = this.open.units;
  private readonly tabled = computed(() => sectionAt(this.open.plan(), this.footprintM()));

  protected readonly rows = computed(() => {
    const water = workingWater(this.open.plan());
    const depthM = this.absorbedM();
    return this.tabled().beams.map(({ id, transducer, beam, cone, footprint, kind }, i) => ({
      id,
      name: transducer.name,
      colour: seriesVariable(i),
      kHz: beam.frequencyHz / 1000,
      kind,
      cone,
      footprint,
      lost: water && lostToAbsorption(water, beam.frequencyHz, depthM),
    }));
  });

  /** How far the usual rule is off, for the sounders. */
  protected readonly ruled = computed(() =>
    this.tabled().beams.flatMap(({ id, kind, transducer: { name }, footprint }) =>
      kind === 'sounder' && footprint
        ? [{ id, name, shortfall: footprint.ruleShortfall, working: footprint.ruleWorking }]
        : [],
    ),
  );
}
