import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { fitDisplayEdits } from '@grey-keel/core';
import { Store } from '@ngrx/store';
import { ChoiceField } from './choice-field.ts';
import { screenInches } from './screen-inches.ts';
import { catalogueFeature, catalogueViewEvents } from '../state/catalogue.ts';
import { OpenPlan } from '../state/open-plan.ts';
import { selectPlan } from '../state/plan.selectors.ts';
import { PressButton } from './press-button.ts';

/** Which display stands at a station, from the shop's catalogue; choosing one fits it. */
@Component({
  selector: 'gk-display-picker',
  imports: [ChoiceField, PressButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (status() === 'failed') {
      <p role="alert">{{ problem() }} <button type="button" pButton text (click)="load()">Try again</button></p>
    } @else {
      <gk-choice-field
        [label]="label()"
        [fieldId]="'display-' + stationId()"
        [at]="['displays', stationId()]"
        [value]="current()"
        [choices]="choices()"
        (changed)="take($event)"
      />
    }
  `,
})
export class DisplayPicker {
  readonly stationId = input.required<string>();
  readonly label = input.required<string>();

  private readonly store = inject(Store);
  private readonly edits = inject(OpenPlan);
  private readonly plan = this.store.selectSignal(selectPlan);
  private readonly entries = this.store.selectSignal(catalogueFeature.selectAll);
  protected readonly status = this.store.selectSignal(catalogueFeature.selectStatus);
  protected readonly problem = this.store.selectSignal(catalogueFeature.selectProblem);
  protected readonly current = computed(() => this.plan()?.displays[this.stationId()]?.catalogue?.entryId ?? '');
  protected readonly choices = computed(() => [
    { value: '', label: this.status() === 'ready' ? 'none' : 'fetching the catalogue' },
    ...this.entries().flatMap(({ id, item }) =>
      item.type === 'display'
        ? [
            {
              value: id,
              label: `${item.name}, ${screenInches(item.screenDiagonalM)}, ${item.pixelsWide} x ${item.pixelsHigh}`,
            },
          ]
        : [],
    ),
  ]);

  constructor() {
    this.load();
  }

  protected load(): void {
    this.store.dispatch(catalogueViewEvents.wanted());
  }

  protected take(id: string): void {
    const [plan, stationId] = [this.plan(), this.stationId()];
    if (!plan) return;
    if (id === '') return this.edits.edit('remove the display', { type: 'removeDisplay', stationId });
    const entry = this.entries().find((one) => one.id === id);
    if (entry) this.edits.edit('fit a display', ...fitDisplayEdits(plan, stationId, entry));
  }
}
