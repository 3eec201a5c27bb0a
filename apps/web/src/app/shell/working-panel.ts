import { ChangeDetectionStrategy, Component, effect, ElementRef, inject, viewChild } from '@angular/core';
import { Working } from '../shared/working.ts';

/** How a number came about, step by step, as its calculation returned it. */
@Component({
  selector: 'gk-working-panel',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (working.shown(); as shown) {
      <section role="dialog" aria-labelledby="working-title" (keydown.escape)="working.close()">
        <header>
          <h2 id="working-title" tabindex="-1" #title>Working: {{ shown.of }}</h2>
          <button type="button" class="plain" (click)="working.close()">Close</button>
        </header>
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
      </section>
    }
  `,
  styles: `
    section {
      position: fixed;
      z-index: 20;
      top: 48px;
      right: 0;
      bottom: 0;
      width: min(420px, 100vw);
      overflow: auto;
      padding: 12px 18px;
      background: var(--sheet);
      border-left: 2px solid var(--water);
      box-shadow: -6px 0 18px rgb(0 0 0 / 18%);
    }
    header {
      display: flex;
      justify-content: space-between;
      align-items: center;
    }
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
  private readonly title = viewChild<ElementRef<HTMLElement>>('title');

  constructor() {
    effect(() => this.title()?.nativeElement.focus());
  }
}
