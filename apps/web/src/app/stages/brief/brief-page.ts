import { ChangeDetectionStrategy, Component } from '@angular/core';
import { openBoat } from '../open-boat.ts';
import { AssumedList } from './assumed-list.ts';
import { BoatSection } from './boat-section.ts';
import { PhotographsSection } from './photographs-section.ts';
import { TargetSpeciesSection } from './target-species-section.ts';
import { WaterColumn } from './water-column.ts';
import { WatersSection } from './waters-section.ts';
import { WaysAndStations } from './ways-and-stations.ts';

@Component({
  selector: 'gk-brief-page',
  imports: [
    AssumedList,
    BoatSection,
    PhotographsSection,
    TargetSpeciesSection,
    WaterColumn,
    WatersSection,
    WaysAndStations,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section class="sheet" aria-label="The boat on its water">
      <gk-water-column [plan]="plan()" [units]="units()" />
    </section>
    <gk-assumed-list />
    <div class="two">
      <gk-boat-section />
      <gk-ways-and-stations />
    </div>
    <gk-waters-section />
    <gk-target-species-section />
    <gk-photographs-section />
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
}
