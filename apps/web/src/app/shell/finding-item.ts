import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import type { Finding } from '@grey-keel/model';
import { Store } from '@ngrx/store';
import { SentencePipe } from '../shared/figure-pipe.ts';
import { GoTo } from '../shared/go-to.ts';
import { ComputedNumber } from '../shared/computed-number.ts';
import { OpenPlan } from '../state/open-plan.ts';
import { selectUnitChoice } from '../state/view.ts';
import { PressButton } from '../shared/press-button.ts';

/** One finding, the same everywhere: shape, colour and word, the reason with its number, the fix. */
@Component({
  selector: 'gk-finding',
  imports: [ComputedNumber, PressButton, SentencePipe],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let it = finding();
    <article [attr.data-finding]="it.id">
      <svg viewBox="0 0 14 14" width="14" height="14" aria-hidden="true" class="{{ it.severity }}">
        @switch (it.severity) {
          @case ('stop') {
            <rect x="1" y="1" width="12" height="12" />
          }
          @case ('check') {
            <path d="M7 0.5 L14 13 L0 13 Z" />
          }
          @default {
            <circle cx="7" cy="7" r="6" />
          }
        }
      </svg>
      <div>
        <h3>
          <span class="word {{ it.severity }}">{{ it.severity }}</span> {{ it.title }}
        </h3>
        <p>{{ it.reason | sentence: units() }}</p>
        <div class="out">
          @if (it.fix.edits; as edits) {
            <button type="button" pButton text class="fix" (click)="plan.edit(it.fix.label, ...edits)">
              {{ it.fix.label }}
            </button>
          } @else {
            <button type="button" pButton text class="fix" (click)="goTo.stage(boatId(), it.fix.stage, it.fix.target)">
              {{ it.fix.label }}
            </button>
          }
          @if (it.working.length) {
            <gk-number [of]="it.title" [value]="it.figure.value" [quantity]="it.figure.quantity" [steps]="it.working" />
          }
        </div>
      </div>
    </article>
  `,
  styles: `
    article {
      display: flex;
      gap: 8px;
      padding: 8px 0 0;
      border-bottom: var(--hairline) solid var(--rule);
    }
    svg {
      flex: none;
      margin-top: 4px;
    }
    .stop {
      color: var(--stop);
      fill: var(--stop);
    }
    .check {
      color: var(--check);
      fill: var(--check);
    }
    .note {
      color: var(--note);
      fill: var(--note);
    }
    h3 {
      font-size: var(--small);
    }
    p {
      font-size: var(--small);
    }
    .out {
      display: flex;
      flex-wrap: wrap;
      gap: 0 14px;
      align-items: center;
      justify-content: space-between;
      font-size: var(--small);
    }
    .p-button {
      padding: 0;
      text-align: left;
      font-size: var(--small);
    }
  `,
})
export class FindingItem {
  readonly finding = input.required<Finding>();
  readonly boatId = input.required<string>();
  protected readonly plan = inject(OpenPlan);
  protected readonly goTo = inject(GoTo);
  protected readonly units = inject(Store).selectSignal(selectUnitChoice);
}
