import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { type Candidate, entriesOf, warnedOf } from '@grey-keel/core';
import { Store } from '@ngrx/store';
import { SentencePipe } from '../../shared/figure-pipe.ts';
import { catalogueFeature } from '../../state/catalogue.ts';
import { openBoat } from '../open-boat.ts';

/** What the boat would be told of at once if these entries of the catalogue were chosen; nothing where it is nothing. */
@Component({
  selector: 'gk-choice-warnings',
  imports: [SentencePipe],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (warning of warnings(); track warning.id) {
      <p class="small" [attr.data-warning]="warning.id">
        <strong class="word">{{ warning.severity }}</strong> <strong>{{ warning.title }}.</strong>
        {{ warning.reason | sentence: units() }}
      </p>
    }
  `,
  styles: `
    p {
      margin: 6px 0;
      text-align: left;
    }
    .word {
      color: var(--check);
    }
  `,
})
export class ChoiceWarnings {
  readonly candidates = input.required<readonly Pick<Candidate, 'id' | 'mounting'>[]>();
  private readonly open = openBoat();
  private readonly catalogue = inject(Store).selectSignal(catalogueFeature.selectAll);
  protected readonly units = this.open.units;
  protected readonly warnings = computed(() =>
    warnedOf(
      this.open.plan(),
      entriesOf(this.candidates(), this.catalogue(), (at) => `chosen-${at}`),
    ),
  );
}
