import { ChangeDetectionStrategy, Component, effect, inject, signal, untracked } from '@angular/core';
import type { Target } from '@grey-keel/model';
import { GoTo } from '../../shared/go-to.ts';
import { StageTabs } from '../../shared/stage-tabs.ts';
import { HullView } from './hull-view.ts';
import { NetworkView } from './network-view.ts';
import { PowerView } from './power-view.ts';
import { SheetsView } from './sheets-view.ts';
import { TransmitView } from './transmit-view.ts';
import { fitTabs, type FitTab } from './views.ts';

/** The view in which a place of the plan is changed. */
const viewOf = (target: Target): FitTab => {
  const part = 'path' in target ? target.path[0] : null;
  return part === 'power' || part === 'network' ? part : 'hull';
};

@Component({
  selector: 'gk-fit-page',
  imports: [HullView, NetworkView, PowerView, SheetsView, StageTabs, TransmitView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <gk-stage-tabs label="Ways of looking at the fit" [views]="views" [(chosen)]="view">
      @switch (view()) {
        @case ('power') {
          <gk-power-view />
        }
        @case ('network') {
          <gk-network-view />
        }
        @case ('sheets') {
          <gk-sheets-view />
        }
        @case ('who transmits') {
          <gk-transmit-view />
        }
        @default {
          <gk-hull-view [wanted]="wanted()" />
        }
      }
    </gk-stage-tabs>
    <p class="caution" role="note">
      Engine off and propeller clear before anyone leans over the transom. Haul out to drill; seal a cored hull to the
      core; bond metal fittings as the yard says. Fuse at the positive post; ignition-protected parts where petrol is;
      lithium by its maker's rules; shore power by a licensed marine electrician. Makers' instructions and local codes
      come before this tool.
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
export class FitPage {
  private readonly goTo = inject(GoTo);
  protected readonly views = fitTabs;
  protected readonly view = signal<FitTab>('hull');
  protected readonly wanted = this.goTo.wanted;

  constructor() {
    effect(() => {
      const target = this.wanted();
      if (target) untracked(() => this.view.set(viewOf(target)));
    });
  }
}
