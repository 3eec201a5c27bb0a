import { ChangeDetectionStrategy, Component, computed } from '@angular/core';
import { FigurePipe } from '../../shared/figure-pipe.ts';
import { openBoat } from '../open-boat.ts';
import { ActInTime } from './act-in-time.ts';
import { DisplayAlarms } from './display-alarms.ts';
import { DisplaySettings } from './display-settings.ts';
import { FeedsTable } from './feeds-table.ts';
import { namedSources } from './named-sources.ts';
import { SourceNames } from './source-names.ts';
import { TravelView } from './travel-view.ts';

/** The first power-up, in the order it is done: on, tags and types, names, feeds, settings, housekeeping. */
@Component({
  selector: 'gk-sources-page',
  imports: [ActInTime, DisplayAlarms, DisplaySettings, FeedsTable, FigurePipe, SourceNames, TravelView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section class="sheet" aria-labelledby="on-title">
      <h2 id="on-title">1 Everything on, and wait</h2>
      @if (slowest(); as it) {
        <p>
          Wait <strong class="mono">{{ it.afterS | figure: 'wait' : units() : { decimals: 0 } }}</strong> before looking
          for faults: {{ it.name }} takes that long to appear.
        </p>
      } @else {
        <p class="faint">Say below how long each unit takes to appear; look for faults only after the longest.</p>
      }
    </section>

    <section class="sheet" aria-labelledby="tags-title">
      <h2 id="tags-title">2 Tags, types and names</h2>
      <p class="small faint">
        Read the tag on the cable and select just that type. A name says where, at what frequency, what kind, and which
        socket.
      </p>
      <gk-source-names />
    </section>

    <section class="sheet" aria-labelledby="feeds-title">
      <h2 id="feeds-title">3 What each screen listens to</h2>
      <gk-feeds-table />
    </section>

    <section class="sheet" aria-labelledby="units-title">
      <h2 id="units-title">4 Settings of each display</h2>
      <!-- Below what is seen at first, and more lists than all above: drawn in the next idle moment. -->
      @defer (on idle) {
        <gk-display-settings />
        <gk-display-alarms />
        <gk-act-in-time />
      } @placeholder {
        <div class="to-come"></div>
      }
      <p class="small faint">
        Shallow is as the display shows it. An alarm that calls all day is switched off: turn off the nuisance ones, so
        that these are heeded.
      </p>
    </section>
    @defer (on idle) {
      <section class="sheet" aria-labelledby="travels-title">
        <gk-travel-view />
      </section>
    } @placeholder {
      <div class="sheet to-come"></div>
    }
    <p class="caution" role="note">
      Depth from the wrong unit grounds a boat. Sonar alone is no aid to navigation, and an alarm is no look-out. Never
      transmit out of the water.
    </p>
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: minmax(0, 1fr);
      gap: 10px;
    }
  `,
})
export class SourcesPage {
  private readonly open = openBoat();
  protected readonly units = this.open.units;
  protected readonly slowest = computed(() => {
    const timed = namedSources(this.open.plan()).flatMap(({ unit, source: { appearsAfterS } }) =>
      appearsAfterS === null ? [] : [{ name: unit, afterS: appearsAfterS }],
    );
    return timed.length ? timed.reduce((a, b) => (b.afterS > a.afterS ? b : a)) : null;
  });
}
