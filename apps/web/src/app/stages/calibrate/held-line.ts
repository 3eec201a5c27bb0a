import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { lineOfProcedure, seeLine } from '@grey-keel/core';
import type { MeasuredEntry } from '@grey-keel/model';
import { PressButton } from '../../shared/press-button.ts';
import { StateSign } from '../../shared/state-sign.ts';
import { EnteredBy } from '../entered-by.ts';
import { lineSign } from '../line-sign.ts';
import { openBoat } from '../open-boat.ts';

/** The line of a device that a procedure’s result is keyed into: how it stands, and whether somebody looked again. */
@Component({
  selector: 'gk-held-line',
  imports: [DatePipe, PressButton, StateSign],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (line(); as it) {
      <p class="small" [attr.data-standing]="it.standing">
        <gk-state-sign [state]="sign(it.standing)" />
        On {{ it.deviceName }}: <strong>{{ it.standing }}</strong>{{
          it.because.length ? ', ' + it.because.join(', ') : ''
        }}.
      </p>
      @if (it.line?.asLeft; as left) {
        @if (it.seen && left.seenAgainAt) {
          <p class="small">Seen again after power off and on, {{ left.seenAgainAt | date: 'yyyy-MM-dd HH:mm' }}.</p>
        } @else {
          <p class="small">Switch the display off and on, and look whether it is still there.</p>
          <button type="button" pButton severity="secondary" id="seen-again" (click)="seenAgain()">
            It is still there
          </button>
        }
      }
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 8px;
    }
    gk-state-sign {
      margin-right: 6px;
      vertical-align: -2px;
    }
  `,
})
export class HeldLine {
  readonly of = input.required<MeasuredEntry['of']>();
  readonly sensorId = input.required<string>();

  private readonly open = openBoat();
  private readonly by = inject(EnteredBy).name;
  protected readonly sign = lineSign;
  /** Null for what no device takes. */
  protected readonly line = computed(() => lineOfProcedure(this.open.plan(), this.of(), this.sensorId()));

  protected seenAgain(): void {
    const line = this.line();
    if (!line) return;
    const done = { at: new Date().toISOString(), by: this.by() || null };
    this.open.edits.edit('seen again after power off', ...seeLine(line, done));
  }
}
