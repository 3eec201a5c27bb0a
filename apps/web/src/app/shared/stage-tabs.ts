import { ChangeDetectionStrategy, Component, effect, inject, input, model, untracked } from '@angular/core';
import { AddressParts } from './address-parts.ts';
import { Tab, TabList, TabPanel, TabPanels, Tabs } from 'primeng/tabs';

/** The ways of looking at a stage, as tabs. Whoever uses it draws the chosen one alone inside. */
@Component({
  selector: 'gk-stage-tabs',
  imports: [Tab, TabList, TabPanel, TabPanels, Tabs],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p-tabs [value]="slug(chosen())" (valueChange)="choose($event)" [selectOnFocus]="true" [showNavigators]="false">
      <p-tablist [pt]="{ tabList: { 'aria-label': label() } }">
        @for (view of views(); track view) {
          <p-tab [value]="slug(view)" [attr.data-tab]="view" [attr.data-begins]="begins()[view] ?? null">{{
            view
          }}</p-tab>
        }
      </p-tablist>
      <p-tabpanels>
        <p-tabpanel [value]="slug(chosen())"><ng-content /></p-tabpanel>
      </p-tabpanels>
    </p-tabs>
  `,
  // Tabs wrap where there is no room; the bar under the chosen one is then not the library's, which knows one line only.
  styles: `
    :host ::ng-deep .p-tablist-content {
      overflow: visible;
    }
    :host ::ng-deep .p-tablist-tab-list {
      flex-wrap: wrap;
    }
    :host ::ng-deep .p-tablist-active-bar {
      display: none;
    }
    :host ::ng-deep .p-tab[data-begins]::before {
      content: attr(data-begins) ':';
      margin-right: 8px;
      font-weight: 400;
      color: var(--faint);
    }
    :host ::ng-deep .p-tab[data-begins]:not(:first-child) {
      margin-left: 14px;
    }
    :host ::ng-deep .p-tab-active {
      box-shadow: inset 0 -3px 0 var(--water);
    }
  `,
})
export class StageTabs<T extends string> {
  private readonly address = inject(AddressParts);
  readonly label = input.required<string>();
  readonly views = input.required<readonly T[]>();
  /** Where tabs stand in groups: what each is for, by the tab it begins with. */
  readonly begins = input<Partial<Record<T, string>>>({});
  readonly chosen = model.required<T>();

  /** Ids of the tabs and the panel are made of it. */
  protected slug(view: T): string {
    return view.replaceAll(' ', '-');
  }

  constructor() {
    let opened: T | null = null;
    // Back and forward go through the tabs, too, to the one the stage opened on.
    effect(() => {
      const slug = this.address.part('tab');
      untracked(() => (slug === null && opened !== null ? this.chosen.set(opened) : this.choose(slug)));
    });
    // A tab that a fix has opened is there again after a reload; the one a stage opens on is no step to go back to.
    effect(() => {
      const chosen = this.chosen();
      if (opened === null) opened = chosen;
      else if (chosen !== opened || untracked(() => this.address.part('tab')) !== null)
        this.address.set('tab', this.slug(chosen));
    });
  }

  protected choose(slug: unknown): void {
    const chosen = this.views().find((one) => this.slug(one) === slug);
    if (chosen !== undefined) this.chosen.set(chosen);
  }
}
