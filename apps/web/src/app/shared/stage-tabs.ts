import { ChangeDetectionStrategy, Component, input, model } from '@angular/core';
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
          <p-tab [value]="slug(view)" [attr.data-tab]="view">{{ view }}</p-tab>
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
    :host ::ng-deep .p-tab-active {
      box-shadow: inset 0 -3px 0 var(--water);
    }
  `,
})
export class StageTabs<T extends string> {
  readonly label = input.required<string>();
  readonly views = input.required<readonly T[]>();
  readonly chosen = model.required<T>();

  /** Ids of the tabs and the panel are made of it. */
  protected slug(view: T): string {
    return view.replaceAll(' ', '-');
  }

  protected choose(slug: unknown): void {
    const chosen = this.views().find((one) => this.slug(one) === slug);
    if (chosen !== undefined) this.chosen.set(chosen);
  }
}
