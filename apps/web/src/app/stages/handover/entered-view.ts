import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal } from '@angular/core';
import {
  devicesWithSettings,
  type EnteredLine,
  enterLine,
  isDone,
  keepAsItIs,
  linesOf,
  seeLine,
  takeBackLine,
} from '@grey-keel/core';
import { type Edit, resetReasons } from '@grey-keel/model';
import { ChoiceButtons } from '../../shared/choice-buttons.ts';
import { SentencePipe } from '../../shared/figure-pipe.ts';
import { Fold } from '../../shared/fold.ts';
import { PlanPlace } from '../../shared/plan-place.ts';
import { PressButton } from '../../shared/press-button.ts';
import { TickField } from '../../shared/tick-field.ts';
import { Wide } from '../../shared/wide.ts';
import { StateSign } from '../../shared/state-sign.ts';
import { newId } from '../../state/open-plan.ts';
import { EnteredBy } from '../entered-by.ts';
import { EnteredByField } from '../entered-by-field.ts';
import { lineMarks, lineSign } from '../line-sign.ts';
import { openBoat } from '../open-boat.ts';

/** What each device should hold, in the order it is keyed in, and how every line of it stands. */
@Component({
  selector: 'gk-entered-view',
  imports: [
    ChoiceButtons,
    DatePipe,
    EnteredByField,
    Fold,
    PlanPlace,
    PressButton,
    SentencePipe,
    StateSign,
    TickField,
    Wide,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (device(); as it) {
      <div class="row bar">
        <gk-choice-buttons
          label="How many lines are done, by device"
          fieldId="entered-device"
          [value]="it.id"
          [choices]="choices()"
          (changed)="chosen.set($event)"
        />
      </div>
      <div class="row bar">
        <gk-entered-by-field />
        <gk-fold heading="It was reset, updated or replaced">
          <p class="small">Every line has to be looked at again then.</p>
          <div class="row">
            @for (why of reasons; track why.value) {
              <button
                type="button"
                pButton
                severity="secondary"
                [id]="'device-' + why.value"
                (click)="reset(it.id, it.name, why.value)"
              >
                {{ why.label }}
              </button>
            }
          </div>
        </gk-fold>
        <p class="caution" role="note">
          A display can lose what was keyed into it with its power. Switch it off and on, and look at each line again;
          under way trust none that was not seen.
        </p>
      </div>
      <div gkWide class="sheet">
        <table class="lines" [attr.aria-label]="'What ' + it.name + ' should hold'">
          @for (group of groups(); track group.name) {
            <tbody>
              <tr>
                <th colspan="6" scope="rowgroup" class="group small faint">{{ group.name }}</th>
              </tr>
              @for (one of group.lines; track one.line.kind + one.line.ofId) {
                <tr
                  [class]="mark(one.line)"
                  [attr.data-line]="one.line.kind + ' ' + one.line.ofId"
                  [attr.data-standing]="one.line.standing"
                  [gkPlace]="['held', it.id, one.line.kind, one.line.ofId]"
                  tabindex="-1"
                >
                  <td class="mono faint place">{{ one.place }}</td>
                  <th scope="row">
                    {{ one.line.word }}
                    @if (one.line.name; as name) {
                      <span class="small faint">{{ name }}</span>
                    }
                  </th>
                  <td class="mono wanted">
                    @if (one.line.wantedInWords; as words) {
                      {{ words | sentence: units() }}
                    } @else {
                      <span class="small faint reason">{{ reason(one.line) }}</span>
                    }
                  </td>
                  <td class="small stands">
                    <gk-state-sign class="standing" [state]="sign(one.line.standing)" />
                    <strong class="standing">{{ one.line.standing }}</strong>
                    @if (one.line.because.length) {
                      : {{ one.line.because.join(', ') }}
                    }
                    @if (one.line.heldInWords; as held) {
                      @if (holdsOther(one.line)) {
                        : it holds {{ held | sentence: units() }}
                      }
                    }
                    @if (one.line.line?.asLeft; as left) {
                      <span class="faint said">
                        @if (left.at) {
                          entered {{ left.at | date: 'yyyy-MM-dd' }}{{ left.by ? ' by ' + left.by : '' }}
                        } @else {
                          entered, nobody noted when
                        }
                        @if (left.seenAgainAt) {
                          , seen after power off {{ left.seenAgainAt | date: 'yyyy-MM-dd' }}
                        }
                      </span>
                    }
                    @if (one.keep; as asItIs) {
                      <button
                        type="button"
                        pButton
                        [text]="true"
                        [id]="'keep-' + one.line.kind + '-' + one.line.ofId"
                        (click)="keep(one.line, asItIs)"
                      >
                        Keep it so
                      </button>
                    }
                    @if (one.line.line?.asFound; as found) {
                      @if (found.at || found.by) {
                        <span class="faint said">
                          as found{{ found.at ? ' ' + (found.at | date: 'yyyy-MM-dd') : ''
                          }}{{ found.by ? ' by ' + found.by : '' }}
                        </span>
                      }
                    }
                  </td>
                  <td>
                    <gk-tick-field
                      label="entered"
                      [fieldId]="'entered-' + one.line.kind + '-' + one.line.ofId"
                      [disabled]="!one.line.wantedInWords && !one.line.line?.asLeft"
                      [value]="isEntered(one.line)"
                      (changed)="enter(one.line, $event)"
                    />
                  </td>
                  <td>
                    <gk-tick-field
                      label="seen again"
                      [fieldId]="'seen-' + one.line.kind + '-' + one.line.ofId"
                      [disabled]="one.line.line === null || one.line.seen"
                      [value]="one.line.seen"
                      (changed)="seenAgain(one.line)"
                    />
                  </td>
                </tr>
              }
            </tbody>
          }
        </table>
      </div>
    } @else {
      <p class="sheet is-missing">No display is fitted and no sensor is aboard yet: there is nothing to key into.</p>
    }
  `,
  styleUrl: './entered-view.css',
})
export class EnteredView {
  private readonly open = openBoat();
  private readonly plan = this.open.plan;
  private readonly by = inject(EnteredBy).name;
  protected readonly units = this.open.units;
  protected readonly sign = lineSign;
  protected readonly reasons = resetReasons.map((value) => ({
    value,
    label: value === 'replaced' ? 'It was replaced' : value === 'update' ? 'It was updated' : 'It was reset',
  }));

  private readonly devices = computed(() =>
    devicesWithSettings(this.plan()).map((device) => ({ ...device, lines: linesOf(this.plan(), device.id) })),
  );
  /** Stays where it is while that device is there. */
  protected readonly chosen = linkedSignal<string[], string>({
    source: () => this.devices().map(({ id }) => id),
    computation: (ids, before) => (before && ids.includes(before.value) ? before.value : (ids[0] ?? '')),
  });
  protected readonly device = computed(() => this.devices().find(({ id }) => id === this.chosen()) ?? null);
  protected readonly choices = computed(() =>
    this.devices().map(({ id, name, lines }) => ({
      value: id,
      label: `${lines.filter(({ standing }) => isDone(standing)).length}\u00a0of\u00a0${lines.length}, ${name}`,
    })),
  );
  /** With the place of each line in the whole list. */
  protected readonly groups = computed(() => {
    const placed = (this.device()?.lines ?? []).map((line, i) => ({
      line,
      place: i + 1,
      keep: this.holdsOther(line) ? keepAsItIs(this.plan(), line) : null,
    }));
    return [...new Set(placed.map(({ line }) => line.group))].map((name) => ({
      name,
      lines: placed.filter(({ line }) => line.group === name),
    }));
  });

  protected mark({ standing }: EnteredLine): string {
    return lineMarks[standing];
  }

  /** What is held is said where it is not what is wanted. */
  protected holdsOther({ standing, wanted }: EnteredLine): boolean {
    return standing === 'differs' || standing === 'to enter' || !('value' in wanted);
  }

  protected keep({ word }: EnteredLine, edit: Edit): void {
    this.open.edits.edit(`${word.toLowerCase()} as it is`, edit);
  }

  protected reason({ wanted }: EnteredLine): string {
    return 'reason' in wanted ? wanted.reason : '';
  }

  protected isEntered({ line, standing }: EnteredLine): boolean {
    return line?.asLeft != null && (standing === 'entered' || standing === 'seen');
  }

  protected enter(line: EnteredLine, entered: boolean): void {
    const edits = entered ? enterLine(this.plan(), line, this.now()) : takeBackLine(line);
    this.open.edits.edit(line.word.toLowerCase(), ...edits);
  }

  protected seenAgain(line: EnteredLine): void {
    this.open.edits.edit(`${line.word.toLowerCase()}, seen again`, ...seeLine(line, this.now()));
  }

  private now(): { at: string; by: string | null } {
    return { at: new Date().toISOString(), by: this.by() || null };
  }

  protected reset(deviceId: string, name: string, why: (typeof resetReasons)[number]): void {
    this.open.edits.edit(`${name} was ${why === 'update' ? 'updated' : why}`, {
      type: 'resetDevice',
      deviceId,
      id: newId(),
      reset: { ...this.now(), why },
    });
  }
}
