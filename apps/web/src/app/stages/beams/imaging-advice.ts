import { ChangeDetectionStrategy, Component, computed, inject, output, signal } from '@angular/core';
import { imagingWorking, rankImaging, type ImagingKind, type ImagingPlace } from '@grey-keel/core';
import { Store } from '@ngrx/store';
import { ComputedNumber } from '../../shared/computed-number.ts';
import { FigurePipe } from '../../shared/figure-pipe.ts';
import { Wide } from '../../shared/wide.ts';
import { catalogueFeature } from '../../state/catalogue.ts';
import { openBoat } from '../open-boat.ts';
import { ChoiceWarnings } from './choice-warnings.ts';
import { CriterionPipe } from './criterion-words.ts';
import { PressButton } from '../../shared/press-button.ts';

/** Which imaging units, kind by kind: those first that the boat's ways of working look at. */
@Component({
  selector: 'gk-imaging-advice',
  imports: [ChoiceWarnings, ComputedNumber, CriterionPipe, FigurePipe, PressButton, Wide],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 id="imaging-advice-title">Imaging and looking ahead</h2>
    <p class="small faint">
      Each at the range its picture is set to in the working depth, by its finest beam that still shows the fish there;
      points of 100, by the same weights.
    </p>
    @for (one of rankings(); track one.kind) {
      <section [attr.aria-label]="one.kind">
        <h3>
          {{ one.kind }}, {{ one.rangeM | figure: 'length' : units() : { decimals: 0 } }}
          <span class="small faint">{{
            one.ways.length ? 'looked at when ' + one.ways.join(', ') : 'not looked at in this boat’s ways of working'
          }}</span>
        </h3>
        @if (one.places.length) {
          <div gkWide>
            <table class="figures" [attr.aria-label]="'Ranked ' + one.kind + ' units'">
              <thead>
                <tr>
                  <th scope="col">Unit</th>
                  <th scope="col">points</th>
                  <th scope="col">beam</th>
                  <th scope="col">shows the fish to</th>
                  <th scope="col">slice at that range</th>
                  <th scope="col">tells apart</th>
                  <th scope="col">power</th>
                  <th scope="col">hangs</th>
                  <td></td>
                </tr>
              </thead>
              <tbody>
                @for (place of one.places; track place.id; let i = $index) {
                  <tr>
                    <td>{{ place.name }}</td>
                    <td>
                      <button
                        type="button"
                        pButton
                        text
                        class="mono"
                        [id]="'imaging-' + one.kind.replace(' ', '-') + '-' + i"
                        [attr.aria-expanded]="openId() === place.id"
                        [attr.aria-label]="place.score.toFixed(1) + ' points, how they add up'"
                        (click)="openId.set(openId() === place.id ? '' : place.id)"
                      >
                        {{ place.score.toFixed(1) }}
                      </button>
                    </td>
                    <td class="mono">{{ place.frequencyHz | figure: 'frequency' : units() }}</td>
                    <td>
                      <gk-number
                        [of]="'Range of ' + place.name"
                        [value]="place.reachM"
                        quantity="length"
                        [decimals]="0"
                        [figures]="3"
                        [steps]="working('reach', place, one)"
                      />
                    </td>
                    <td>
                      <gk-number
                        [of]="'Slice of ' + place.name"
                        [value]="place.sliceM"
                        quantity="length"
                        [decimals]="1"
                        [steps]="working('bottom detail', place, one)"
                      />
                    </td>
                    <td>
                      <gk-number
                        [of]="'Separation of ' + place.name"
                        [value]="place.resolutionM"
                        quantity="length"
                        [decimals]="2"
                        [steps]="working('separation', place, one)"
                      />
                    </td>
                    <td class="mono">{{ place.powerW | figure: 'power' : units() }}</td>
                    <td>{{ place.mounting }}{{ place.byModule ? ', by a module' : '' }}</td>
                    <td>
                      <button type="button" pButton severity="secondary" (click)="placed.emit(place)">Choose</button>
                    </td>
                  </tr>
                  <tr class="warned">
                    <td colspan="9" class="parts"><gk-choice-warnings [candidates]="[place]" /></td>
                  </tr>
                  @if (openId() === place.id) {
                    <tr>
                      <td colspan="9" class="parts small">
                        @for (part of place.parts; track part.criterion) {
                          <span
                            >{{ part.criterion | criterion }}: {{ (100 * part.utility).toFixed(0) }} % of the highest
                            score, weight {{ part.weight }}, {{ part.adds.toFixed(1) }} points</span
                          >
                        }
                      </td>
                    </tr>
                  }
                }
              </tbody>
            </table>
          </div>
        } @else {
          <p class="small">{{ none[one.kind] }}</p>
        }
        @for (out of one.ruledOut; track out.id) {
          <p class="small faint">
            <strong>{{ out.name }}</strong>: {{ out.by }}.
          </p>
        }
      </section>
    }
  `,
  styles: `
    h3 {
      margin: 10px 0 2px;
    }
    p {
      margin: 2px 0;
    }
    th:first-child {
      width: 24%;
    }
    table {
      table-layout: fixed;
      min-width: 820px;
    }
    .parts span {
      display: inline-block;
      margin-right: 24px;
    }
    /* Nothing to warn of is no row. */
    .warned:has(gk-choice-warnings:empty) {
      display: none;
    }
    button.p-button {
      padding-inline: 6px;
    }
    button.p-button-text {
      min-height: var(--touch);
    }
  `,
})
export class ImagingAdvice {
  readonly placed = output<ImagingPlace>();

  private readonly open = openBoat();
  protected readonly units = this.open.units;
  private readonly catalogue = inject(Store).selectSignal(catalogueFeature.selectAll);
  protected readonly openId = signal('');
  protected readonly rankings = computed(() => rankImaging(this.open.plan(), this.catalogue()) ?? []);
  protected readonly working = imagingWorking;
  protected readonly none: Readonly<Record<ImagingKind, string>> = {
    'side-scan': 'Nothing of the catalogue shows it so far to a side. Look at a smaller range, or nearer the bottom.',
    'down fan': 'Nothing of the catalogue shows it down there.',
    'forward-facing': 'Nothing of the catalogue shows it so far ahead.',
    sector: 'Nothing of the catalogue shows it so far about the boat.',
  };
}
