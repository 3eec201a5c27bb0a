import { ChangeDetectionStrategy, Component, model } from '@angular/core';
import { Dialog } from 'primeng/dialog';
import { stageRegister } from '../stages/stages.ts';

const shortcuts: readonly (readonly [keys: string, does: string])[] = [
  [
    stageRegister.map(({ number }) => number % 10).join(', '),
    `the stages: ${stageRegister.map(({ title }) => title).join(', ')}`,
  ],
  ['/', 'find anything'],
  ['arrows on a number of a page', 'move it; plus and minus size it, Delete removes it'],
  ['u', 'next units'],
  ['[ and ]', 'previous and next finding'],
  ['arrows', 'nudge the focused number by one step'],
  ['Shift + arrows', 'nudge it by ten'],
  ['Enter on a number', 'its working'],
  ['Ctrl or Cmd + Z', 'undo'],
  ['Shift + Ctrl or Cmd + Z', 'redo'],
  ['Escape', 'take back what was typed; close what is open'],
  ['?', 'this list'],
];

@Component({
  selector: 'gk-shortcuts',
  imports: [Dialog],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p-dialog
      header="Shortcuts"
      closeAriaLabel="Close"
      [modal]="true"
      [(visible)]="open"
      [style]="{ width: '460px' }"
      [dismissableMask]="true"
    >
      <dl>
        @for (row of rows; track row[0]) {
          <div>
            <dt class="mono">{{ row[0] }}</dt>
            <dd>{{ row[1] }}</dd>
          </div>
        }
      </dl>
    </p-dialog>
  `,
  styles: `
    dl div {
      display: grid;
      grid-template-columns: 190px 1fr;
      padding: 4px 0;
      border-bottom: var(--hairline) solid var(--rule);
    }
    dd {
      margin: 0;
    }
    dl {
      margin: 0;
    }
  `,
})
export class Shortcuts {
  readonly open = model(false);
  protected readonly rows = shortcuts;
}
