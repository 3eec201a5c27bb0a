import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { Drawer } from 'primeng/drawer';
import { Working } from '../shared/working.ts';

/** How a number came about, step by step, as its calculation returned it. */
@Component({
  selector: 'gk-working-panel',
  imports: [Drawer],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p-drawer
      position="right"
      appendTo="self"
      ariaCloseLabel="Close"
      [modal]="false"
      [dismissible]="false"
      [header]="title()"
      [pt]="part()"
      [style]="{ width: 'min(420px, 100vw)' }"
      [visible]="working.shown() !== null"
      (visibleChange)="$event || working.close()"
    >
      @if (working.shown(); as shown) {
        <p class="mono result">{{ shown.result }}</p>
        @for (step of shown.steps; track $index) {
          <div
            class="step"
            [attr.data-symbol]="step.symbol"
            [attr.data-expression]="step.expression"
            [attr.data-value]="step.value"
          >
            <h3>{{ step.says }}</h3>
            <p class="mono formula">{{ step.symbol }} = {{ step.expression ?? step.method }}</p>
            <p class="mono">= {{ step.value.toPrecision(6) }} {{ step.unit }}</p>
            <dl>
              @for (given of step.inputs; track given.symbol) {
                <div [attr.data-symbol]="given.symbol" [attr.data-value]="given.value">
                  <dt class="mono">{{ given.symbol }}</dt>
                  <dd>
                    <span class="mono">{{ given.value.toPrecision(6) }} {{ given.unit }}</span> {{ given.meaning }}
                  </dd>
                </div>
              }
            </dl>
            <p class="faint small">Source: {{ step.source }}</p>
          </div>
        } @empty {
          <p>{{ shown.without }}</p>
        }
      }
    </p-drawer>
  `,
  styles: `
    .result {
      font-size: 24px;
      font-weight: 700;
    }
    .step {
      border-top: var(--hairline) solid var(--rule);
      padding: 8px 0;
    }
    .formula {
      overflow-wrap: anywhere;
    }
    dl {
      margin: 4px 0;
      font-size: var(--small);
    }
    dl div {
      display: flex;
      gap: 8px;
    }
    dt {
      min-width: 48px;
      color: var(--faint);
    }
    dd {
      margin: 0;
    }
  `,
})
export class WorkingPanel {
  protected readonly working = inject(Working);
  protected readonly title = computed(() => `Working: ${this.working.shown()?.of ?? ''}`);
  protected readonly part = computed(() => ({ root: { role: 'dialog', 'aria-label': this.title() } }));
}
