import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, output, signal } from '@angular/core';
import { type RestorePoint, restorePointSchema } from '@grey-keel/model';
import { Store } from '@ngrx/store';
import { InputText } from 'primeng/inputtext';
import { PressButton } from '../shared/press-button.ts';
import { selectPlan } from '../state/plan.selectors.ts';
import { RestorePoints } from '../state/restore-points.ts';

/** States of the boat by their names, the newest first: one is named here, and gone back to. */
@Component({
  selector: 'gk-named-states',
  imports: [DatePipe, InputText, PressButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form (submit)="$event.preventDefault(); name()">
      <label for="point-name" class="small">Give this state a name, to go back to it later</label>
      <input
        pInputText
        id="point-name"
        autocomplete="off"
        [value]="typed()"
        (input)="typed.set($any($event.target).value)"
        [attr.aria-invalid]="problem() ? 'true' : null"
        [attr.aria-describedby]="problem() ? 'point-problem' : null"
      />
      <button type="submit" pButton severity="secondary" id="name-point">Name it</button>
      @if (problem(); as words) {
        <p class="problem" id="point-problem" role="alert">{{ words }}</p>
      }
    </form>
    @if (points().length) {
      <p class="small">Go back to:</p>
      <ul>
        @for (one of points(); track one.id) {
          <li>
            <button
              type="button"
              pButton
              text
              class="small"
              [attr.data-point]="one.point.name"
              (click)="back(one.point)"
            >
              {{ one.point.name }}, {{ one.point.at | date: 'yyyy-MM-dd HH:mm' }}
            </button>
            <button
              type="button"
              pButton
              text
              class="small"
              [attr.aria-label]="'Delete the name ' + one.point.name"
              (click)="restore.forget(one.id)"
            >
              Delete
            </button>
          </li>
        }
      </ul>
    }
  `,
  styles: `
    form {
      display: grid;
      grid-template-columns: minmax(140px, 1fr) auto;
      gap: 4px 8px;
      margin: 8px 0;
    }
    label,
    .problem {
      grid-column: 1 / -1;
    }
    .problem {
      color: var(--stop);
    }
    ul {
      margin: 4px 0 0;
      padding: 0;
      list-style: none;
      max-height: 40vh;
      overflow-y: auto;
    }
    li {
      display: grid;
      grid-template-columns: minmax(0, 1fr) auto;
    }
    li button:first-child {
      justify-content: flex-start;
      text-align: left;
      overflow-wrap: anywhere;
    }
  `,
})
export class NamedStates {
  /** It went back to one. */
  readonly gone = output();
  protected readonly restore = inject(RestorePoints);
  private readonly plan = inject(Store).selectSignal(selectPlan);
  protected readonly points = computed(() =>
    Object.entries(this.plan()?.restorePoints ?? {})
      .map(([id, point]) => ({ id, point }))
      .sort((a, b) => b.point.number - a.point.number || (a.point.at < b.point.at ? 1 : -1)),
  );
  protected readonly typed = signal('');
  private readonly wrong = signal('');
  protected readonly problem = computed(() => this.wrong() || this.restore.message());

  protected async name(): Promise<void> {
    const valid = restorePointSchema.shape.name.safeParse(this.typed().trim());
    this.wrong.set(valid.success ? '' : `Name of this state: ${valid.error.issues[0]?.message ?? 'not a name.'}`);
    if (valid.success && (await this.restore.name(valid.data))) this.typed.set('');
  }

  protected async back(point: RestorePoint): Promise<void> {
    this.wrong.set('');
    if (await this.restore.goBack(point)) this.gone.emit();
  }
}
