import { ChangeDetectionStrategy, Component, input, model } from '@angular/core';

/**
 * The ways of looking at a stage, as tabs by the pattern of the accessibility guide: arrows move between them, one is
 * in the tab order.
 */
@Component({
  selector: 'gk-stage-tabs',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div role="tablist" [attr.aria-label]="label()">
      @for (view of views(); track view; let i = $index) {
        <button
          type="button"
          role="tab"
          [id]="idOf(view)"
          [attr.aria-selected]="chosen() === view"
          [attr.tabindex]="chosen() === view ? 0 : -1"
          (click)="chosen.set(view)"
          (keydown.arrowright)="step(i, 1, $event)"
          (keydown.arrowleft)="step(i, -1, $event)"
        >
          {{ view }}
        </button>
      }
    </div>
  `,
  styles: `
    div {
      display: flex;
      flex-wrap: wrap;
      border-bottom: 2px solid var(--rule);
    }
    button {
      min-height: var(--touch);
      padding: 0 16px;
      border: 0;
      background: none;
      color: var(--ink);
      font-weight: 600;
      cursor: pointer;
    }
    button[aria-selected='true'] {
      color: var(--water);
      box-shadow: inset 0 -3px 0 var(--water);
    }
  `,
})
export class StageTabs<T extends string> {
  readonly label = input.required<string>();
  readonly views = input.required<readonly T[]>();
  readonly chosen = model.required<T>();

  protected idOf(view: T): string {
    return `tab-${view.replaceAll(' ', '-')}`;
  }

  protected step(from: number, by: number, event: Event): void {
    event.preventDefault();
    event.stopPropagation();
    const views = this.views();
    const to = views[(from + by + views.length) % views.length];
    if (to === undefined) return;
    this.chosen.set(to);
    document.getElementById(this.idOf(to))?.focus();
  }
}
