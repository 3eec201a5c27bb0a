import { ChangeDetectionStrategy, Component, computed, effect, inject, signal, untracked } from '@angular/core';
import { fitToDo } from '@grey-keel/core';
import { openBoat } from '../open-boat.ts';
import { GoTo } from '../../shared/go-to.ts';
import { ToDoList } from '../../shared/to-do-list.ts';
import { StageTabs } from '../../shared/stage-tabs.ts';
import { HullView } from './hull-view.ts';
import { NetworkView } from './network-view.ts';
import { PowerView } from './power-view.ts';
import { SheetsView } from './sheets-view.ts';
import { TransmitView } from './transmit-view.ts';

const fitViews = ['hull', 'power', 'network', 'who transmits', 'sheets'] as const;
type FitView = (typeof fitViews)[number];

/** The view a way out leads to, by how its targets are named. */
const viewOf = (target: string): FitView => {
  if (/^(battery|circuit|load|hours)-/.test(target)) return 'power';
  if (/^(link|device|backbone)-/.test(target)) return 'network';
  return target.startsWith('sends-') ? 'who transmits' : 'hull';
};

@Component({
  selector: 'gk-fit-page',
  imports: [HullView, NetworkView, PowerView, SheetsView, StageTabs, ToDoList, TransmitView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <gk-to-do-list [items]="toDo()" />
    <gk-stage-tabs label="Ways of looking at the fit" [views]="views" [(chosen)]="view" />
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
        <gk-hull-view [lookedFor]="lookedFor()" />
      }
    }
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
  private readonly plan = openBoat().plan;
  protected readonly toDo = computed(() => fitToDo(this.plan()));
  protected readonly views = fitViews;
  protected readonly view = signal<FitView>('hull');
  /** An object, so that the same way out taken again is taken again. */
  protected readonly lookedFor = signal({ target: '' });

  constructor() {
    // What is looked for stands on the hull, but for batteries and circuits.
    effect(() => {
      const target = this.goTo.target();
      if (target === null) return;
      untracked(() => {
        this.view.set(viewOf(target));
        this.lookedFor.set({ target });
        this.goTo.target.set(null);
      });
    });
  }
}
