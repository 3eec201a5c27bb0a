import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { actionInWords, bindingsAt, pagesAt, slotsOf } from '@grey-keel/core';
import { keyActionSchema, marks, plainActions, type KeyAction, type Plan } from '@grey-keel/model';
import { OpenPlan } from '../state/open-plan.ts';
import { ChoiceField } from './choice-field.ts';
import { keyCap } from './key-cap.ts';

/** An action as the entry of a list names it, and back. */
const codeOf = (action: KeyAction): string =>
  action.does === 'page' ? `page ${action.pageId}` : action.does === 'mark' ? `mark ${action.mark}` : action.does;

/** The programmable keys of one display, each with what a short and a long press do. */
@Component({
  selector: 'gk-key-list',
  imports: [ChoiceField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (keys().length === 0) {
      <p class="small faint">This display has no programmable keys: pages are found by touch, in its list.</p>
    }
    @for (key of keys(); track key.number) {
      <div class="key">
        <span class="cap" aria-hidden="true">{{ key.cap }}</span>
        <div>
          @for (slot of key.slots; track slot.slot) {
            <span class="press" aria-hidden="true">{{ slot.press }}</span>
            <gk-choice-field
              [label]="'Key ' + key.number + ', ' + slot.press + ' press'"
              [labelHidden]="true"
              [fieldId]="slot.id"
              [at]="['keys', stationId(), slot.slot]"
              [value]="slot.code"
              [choices]="slot.choices"
              (changed)="bind(slot.slot, $event)"
            />
          }
        </div>
      </div>
    }
  `,
  styles: `
    p {
      grid-column: 1 / -1;
    }
    .key {
      display: grid;
      grid-template-columns: 34px minmax(0, 1fr);
      margin-bottom: 6px;
      border: 1px solid var(--rule);
    }
    .cap {
      display: grid;
      place-items: center;
      background: var(--hull);
      color: var(--on-hull);
      font-weight: 700;
      font-stretch: 115%;
    }
    /* What a key does is read whole: a word cut short may be the one that matters. */
    gk-choice-field {
      --choice-least: 0;
      --choice-size: var(--small);
    }
    .key > div {
      position: relative;
      display: grid;
      grid-template-columns: 38px minmax(0, 1fr);
      align-items: center;
    }
    .press {
      padding-left: 6px;
      color: var(--faint);
      font-size: 12px;
    }
  `,
})
export class KeyList {
  readonly plan = input.required<Plan>();
  readonly stationId = input.required<string>();
  private readonly edits = inject(OpenPlan);

  private readonly display = computed(() => this.plan().displays[this.stationId()]);
  protected readonly choices = computed(() => {
    const plan = this.plan();
    const bindsToPlace = this.display()?.keysBindTo === 'place';
    const actions: KeyAction[] = [
      ...pagesAt(plan, this.stationId()).map(({ id, page }) => ({
        does: 'page' as const,
        pageId: id,
        place: bindsToPlace ? page.place : null,
      })),
      ...marks.map((mark) => ({ does: 'mark' as const, mark })),
      ...plainActions.map((does) => ({ does })),
    ];
    return actions.map((action) => ({
      action,
      code: codeOf(action),
      words: action.does === 'page' ? `page: ${actionInWords(plan, action)}` : actionInWords(plan, action),
    }));
  });

  protected readonly keys = computed(() => {
    const display = this.display();
    if (!display) return [];
    const bound = bindingsAt(this.plan(), this.stationId());
    const known = new Set(this.choices().map(({ code }) => code));
    return Array.from({ length: display.keys }, (_, i) => ({
      number: i + 1,
      cap: keyCap(i + 1),
      slots: slotsOf(display)
        .filter(({ key }) => key === i + 1)
        .map(({ slot, press }) => {
          const action = bound.find((one) => one.slot === slot)?.action;
          const code = action ? codeOf(action) : '';
          return {
            slot,
            press,
            code,
            choices: [
              { value: '', label: 'nothing' },
              // What it does leads nowhere any more, and is still what it does.
              ...(action && !known.has(code) ? [{ value: code, label: actionInWords(this.plan(), action) }] : []),
              ...this.choices().map((choice) => ({ value: choice.code, label: choice.words })),
            ],
            id: `key-${this.stationId()}-${slot}`,
          };
        }),
    }));
  });

  protected bind(slot: string, code: string): void {
    const choice = this.choices().find((one) => one.code === code);
    if (code !== '' && !choice) return;
    this.edits.edit(`key ${slot.replace('-', ', ')}`, {
      type: 'bindKey',
      stationId: this.stationId(),
      slot,
      action: choice ? keyActionSchema.parse(choice.action) : null,
    });
  }
}
