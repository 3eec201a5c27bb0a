import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import type { DisplayEntry, FittedDisplay, NamedSocket } from '@grey-keel/model';
import { Store } from '@ngrx/store';
import { ChoiceField } from '../../shared/choice-field.ts';
import { screenInches } from '../../shared/screen-inches.ts';
import { catalogueFeature, catalogueViewEvents } from '../../state/catalogue.ts';
import { PressButton } from '../../shared/press-button.ts';

/** A display as its catalogue entry has it, and the sockets it comes with. */
export interface ChosenDisplay {
  readonly display: FittedDisplay;
  readonly sockets: readonly NamedSocket[];
}

const fitted = (item: DisplayEntry, entryId: string, version: number): ChosenDisplay => {
  const { type: _type, sockets, travellingSettings: travels, ...screen } = item;
  const catalogue = { entryId, version };
  return { display: { ...screen, catalogue, seatedDistanceM: null, readAtNight: false, travels }, sockets };
};

/** Which display stands at a station, from the shop's catalogue. */
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
  readonly display = input<FittedDisplay | null>(null);
  readonly chosen = output<ChosenDisplay | null>();

  private readonly store = inject(Store);
  private readonly entries = this.store.selectSignal(catalogueFeature.selectAll);
  protected readonly status = this.store.selectSignal(catalogueFeature.selectStatus);
  protected readonly problem = this.store.selectSignal(catalogueFeature.selectProblem);
  protected readonly current = computed(() => this.display()?.catalogue?.entryId ?? '');
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
    const entry = this.entries().find((one) => one.id === id);
    if (id === '') this.chosen.emit(null);
    else if (entry?.item.type === 'display') this.chosen.emit(fitted(entry.item, entry.id, entry.version));
  }
}
