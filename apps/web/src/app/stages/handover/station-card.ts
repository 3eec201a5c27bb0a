import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import {
  alarmsInWords,
  cardCautions,
  soundInWords,
  type Card,
  type CardStation,
  type UnitChoice,
} from '@grey-keel/core';
import type { Sentence } from '@grey-keel/model';
import { FigurePipe, SentencePipe } from '../../shared/figure-pipe.ts';
import { PageDrawing } from '../../shared/page-drawing.ts';
import { Wide } from '../../shared/wide.ts';

/** The card for one station's dash: what keeps the boat off the ground, the pages, the keys. */
@Component({
  selector: 'gk-station-card',
  imports: [FigurePipe, PageDrawing, SentencePipe, Wide],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let it = station();
    <article class="sheet station-card" [attr.aria-labelledby]="'station-' + it.id">
      <header>
        <h2 [id]="'station-' + it.id">{{ card().boat.name }}, {{ it.name }}</h2>
        <p class="faint">{{ it.display }}</p>
      </header>
      @for (line of aground(); track line.name) {
        <p>
          <strong>{{ line.name }}: {{ line.words | sentence: units() }}</strong>
        </p>
      }
      @if (alarms(); as words) {
        <p>{{ words | sentence: units() }}</p>
      }
      @if (sound(); as words) {
        <p>{{ words | sentence: units() }}</p>
      }
      <div class="screens">
        <ol class="pages">
          @for (page of it.pages; track page.place) {
            <li>
              <gk-page-drawing [layout]="page.layout" [wide]="it.screen.pixelsWide" [high]="it.screen.pixelsHigh" />
              <strong>{{ page.place }} {{ page.name }}</strong>
              <span class="faint">{{ page.ways.join(', ') || 'not used' }}</span>
            </li>
          } @empty {
            <li class="is-missing">no page yet</li>
          }
        </ol>

        @if (it.keys.length) {
          <div gkWide>
            <table class="keys">
              <thead>
                <tr>
                  <th scope="col">Key</th>
                  <th scope="col">short</th>
                  <th scope="col">long</th>
                </tr>
              </thead>
              <tbody>
                @for (key of it.keys; track key.key) {
                  <tr>
                    <th scope="row">{{ key.key }}</th>
                    <td>{{ key.short || '-' }}</td>
                    <td>{{ key.long || '-' }}</td>
                  </tr>
                }
              </tbody>
            </table>
          </div>
        } @else {
          <p class="faint">no programmable keys</p>
        }
      </div>
      <p>
        @for (one of card().transducers; track one.id) {
          {{ one.name }}: {{ one.coneDeg | figure: 'angle' : units() }} at -3 dB{{
            one.footprintM === null
              ? ''
              : ', covers ' +
                (one.footprintM | figure: 'length' : units()) +
                ' at ' +
                (card().depthM | figure: 'depth' : units() : { decimals: 1 })
          }}{{ $last ? '.' : '; ' }}
        }
        @if (card().ring; as ring) {
          A mark in {{ ring.wide }} only lies {{ ring.nearestM | figure: 'length' : units() }} to
          {{ ring.farthestM | figure: 'length' : units() }} from {{ ring.narrow }}.
        }
      </p>
      @if (unsettled(); as count) {
        <p class="open">{{ count }} {{ count === 1 ? 'point is' : 'points are' }} not settled: see the report.</p>
      }
      <ul class="small caution">
        @for (line of cautions; track line) {
          <li>{{ line }}</li>
        }
      </ul>
    </article>
  `,
  styles: `
    article {
      display: grid;
      gap: 8px;
      max-width: 900px;
      padding: 14px 22px;
    }
    h2 {
      font-size: 20px;
      font-stretch: 115%;
    }
    .screens {
      display: grid;
      grid-template-columns: minmax(0, 1fr) 250px;
      gap: 4px 16px;
    }
    .pages {
      margin: 0;
      padding: 0;
      list-style: none;
      display: flex;
      flex-wrap: wrap;
      gap: 10px;
    }
    .pages li {
      width: 118px;
      display: grid;
      align-content: start;
      font-size: var(--small);
    }
    .keys {
      border-collapse: collapse;
      font-size: var(--small);
      align-self: start;
    }
    .keys th,
    .keys td {
      text-align: left;
      padding: 2px 8px;
      border-bottom: var(--hairline) solid var(--rule);
    }
    .keys thead th {
      font-weight: 400;
      color: var(--faint);
    }
    .open {
      color: var(--check);
      font-weight: 700;
    }
    ul.caution {
      margin: 0;
      padding-left: 26px;
    }
    @media (max-width: 760px) {
      .screens {
        grid-template-columns: minmax(0, 1fr);
      }
    }
    @media print {
      article {
        break-before: page;
        max-width: none;
        padding: 0;
      }
    }
  `,
})
export class StationCard {
  readonly card = input.required<Card>();
  readonly station = input.required<CardStation>();
  readonly units = input.required<UnitChoice>();
  readonly aground = input.required<readonly { readonly name: string; readonly words: Sentence }[]>();
  readonly unsettled = input.required<number>();
  protected readonly cautions = cardCautions;
  protected readonly sound = computed(() => soundInWords(this.station().sound, this.card().depthM));
  protected readonly alarms = computed(() => alarmsInWords(this.station().alarms, this.station().shallowShown));
}
