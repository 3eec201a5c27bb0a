import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal } from '@angular/core';
import type { Path } from '@grey-keel/model';
import { Store } from '@ngrx/store';
import { boatEvents } from '../state/plan.actions.ts';
import { pathInWords, valueInWords } from '../state/path-in-words.ts';
import { selectConflict, selectPlan } from '../state/plan.selectors.ts';
import { selectUnitChoice } from '../state/view.ts';
import { Wide } from '../shared/wide.ts';
import { OneOfField } from '../shared/one-of-field.ts';
import { PressButton } from '../shared/press-button.ts';

/** What two windows changed at once, side by side, to choose field by field. */
@Component({
  selector: 'gk-conflict-panel',
  imports: [OneOfField, PressButton, Wide],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (conflict()?.conflicts?.length) {
      <section role="alertdialog" aria-labelledby="conflict-title" class="sheet">
        <h2 id="conflict-title">Changed in two places</h2>
        <p>
          @if (fields().length) {
            Another window changed the same {{ fields().length === 1 ? 'field' : 'fields' }}. Choose what stands;
            nothing is lost until you do, nor if this page is closed before.
          } @else {
            Another window has come to the same values meanwhile: there is nothing left to choose.
          }
        </p>
        <div gkWide>
          <table>
            <thead>
              <tr>
                <th scope="col">Field</th>
                <th scope="col">Here</th>
                <th scope="col">In the other window</th>
              </tr>
            </thead>
            <tbody>
              @for (field of fields(); track field.key) {
                <tr>
                  <th scope="row">{{ field.name }}</th>
                  <td>
                    <gk-one-of-field
                      [label]="field.mine"
                      [name]="field.key"
                      [chosen]="mine()[field.key] === true"
                      (picked)="choose(field.key, true)"
                    />
                  </td>
                  <td>
                    <gk-one-of-field
                      [label]="field.theirs"
                      [name]="field.key"
                      [chosen]="!mine()[field.key]"
                      (picked)="choose(field.key, false)"
                    />
                  </td>
                </tr>
              }
            </tbody>
          </table>
        </div>
        <button type="button" pButton (click)="settle()">Save these values</button>
      </section>
    }
  `,
  styles: `
    section {
      margin: 8px 0;
      border: 2px solid var(--check);
    }
    table {
      margin: 8px 0;
      border-collapse: collapse;
    }
    th,
    td {
      text-align: left;
      padding: 2px 12px 2px 0;
      font-weight: 400;
    }
  `,
})
export class ConflictPanel {
  private readonly store = inject(Store);
  private readonly plan = this.store.selectSignal(selectPlan);
  private readonly units = this.store.selectSignal(selectUnitChoice);
  protected readonly conflict = this.store.selectSignal(selectConflict);
  protected readonly fields = computed(() =>
    (this.conflict()?.conflicts ?? []).map(({ path, mine, theirs }) => ({
      key: path.join('/'),
      path,
      name: this.named(path),
      mine: valueInWords(path, mine, this.units()),
      theirs: valueInWords(path, theirs, this.units()),
    })),
  );
  protected readonly mine = linkedSignal<Record<string, boolean>>(() =>
    Object.fromEntries(this.fields().map(({ key }) => [key, false])),
  );

  private named(path: Path): string {
    const plan = this.plan();
    return plan ? pathInWords(plan, path) : path.join(' ');
  }

  protected choose(key: string, mine: boolean): void {
    this.mine.update((chosen) => ({ ...chosen, [key]: mine }));
  }

  protected settle(): void {
    const mine: Path[] = this.fields()
      .filter(({ key }) => this.mine()[key])
      .map(({ path }) => path);
    const replaces = this.conflict()?.replaces ?? [];
    this.store.dispatch(boatEvents.conflictSettled({ revisionId: crypto.randomUUID(), mine, replaces }));
  }
}
