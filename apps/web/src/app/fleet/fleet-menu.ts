import { ChangeDetectionStrategy, Component, computed, effect, input, output, viewChild } from '@angular/core';
import type { FleetEntry } from '@grey-keel/model';
import type { MenuItem } from 'primeng/api';
import { Menu } from 'primeng/menu';

const acts = ['Duplicate', 'Practice copy', 'Export', 'Delete'] as const;
export type BoatAct = (typeof acts)[number];

/** A boat whose menu is asked for, and the button it opens at. */
export interface Acting {
  readonly boat: FleetEntry;
  readonly at: HTMLElement;
}

/** What can be done with a boat of the list. Loaded when it is first asked for: the list is seen sooner. */
@Component({
  selector: 'gk-fleet-menu',
  imports: [Menu],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<p-menu appendTo="body" [popup]="true" [model]="items()" />`,
})
export class FleetMenu {
  readonly acting = input.required<Acting | null>();
  readonly chosen = output<{ does: BoatAct; boat: FleetEntry }>();
  private readonly menu = viewChild.required(Menu);
  protected readonly items = computed((): MenuItem[] => {
    const boat = this.acting()?.boat;
    return boat ? acts.map((does) => ({ label: does, command: () => this.chosen.emit({ does, boat }) })) : [];
  });

  constructor() {
    effect(() => {
      const acting = this.acting();
      if (acting) this.menu().toggle({ currentTarget: acting.at, target: acting.at } as unknown as Event);
    });
  }
}
