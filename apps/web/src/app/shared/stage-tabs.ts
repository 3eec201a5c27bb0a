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
