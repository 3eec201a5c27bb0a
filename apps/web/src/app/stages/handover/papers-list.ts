import { ChangeDetectionStrategy, Component, inject, input, output } from '@angular/core';
import { PressButton } from '../../shared/press-button.ts';
import { type Paper, type PrintedSheet, Printing } from '../printing.ts';

interface Listed {
  readonly sheet: PrintedSheet;
  readonly name: string;
  readonly about: string;
}

/** Every paper there is of a boat: looked at in a tab of its own, or saved. */
@Component({
  selector: 'gk-papers-list',
  imports: [PressButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 id="papers-title">Papers</h2>
    <ul aria-labelledby="papers-title">
      @for (one of papers; track one.sheet) {
        <li>
          <span
            ><strong>{{ one.name }}</strong> <span class="small faint">{{ one.about }}</span></span
          >
          <button
            type="button"
            pButton
            severity="secondary"
            [id]="'look-' + one.sheet"
            [disabled]="printing.busy()"
            [attr.aria-label]="'Look at ' + one.name"
            (click)="printing.look(one.sheet, paper())"
          >
            Look at
          </button>
          <button
            type="button"
            pButton
            severity="secondary"
            [id]="'print-' + (one.sheet === 'card' ? 'cards' : one.sheet)"
            [disabled]="printing.busy()"
            [attr.aria-label]="'Save PDF of ' + one.name"
            (click)="save(one)"
          >
            Save PDF
          </button>
        </li>
      }
    </ul>
  `,
  styles: `
    ul {
      margin: 4px 0 0;
      padding: 0;
      list-style: none;
    }
    li {
      display: grid;
      grid-template-columns: minmax(0, 1fr) auto auto;
      gap: 8px;
      align-items: center;
      padding: 4px 0;
      border-top: var(--hairline) solid var(--rule);
    }
    strong {
      margin-right: 8px;
    }
    @media (max-width: 760px) {
      li {
        grid-template-columns: auto 1fr;
      }
      li > span {
        grid-column: 1 / -1;
      }
      button {
        justify-self: start;
      }
    }
  `,
})
export class PapersList {
  readonly paper = input.required<Paper>();
  /** The cards are noted as printed, which is for the page to do. */
  readonly card = output();
  protected readonly printing = inject(Printing);
  protected readonly papers: readonly Listed[] = [
    { sheet: 'card', name: 'Dash cards', about: 'one sheet a station: pages, keys, offsets, cautions' },
    { sheet: 'report', name: 'Report', about: 'the boat on one sheet, and what is entered on its instruments' },
    {
      sheet: 'aboard',
      name: 'To read aboard',
      about: 'tags, settings and measures to fill in, a blank lead-line form',
    },
    { sheet: 'wiring', name: 'Wiring', about: 'circuits, cables, sources and the diagram' },
    { sheet: 'shopping', name: 'Transducers', about: 'what was chosen, why, and what it was compared with' },
    { sheet: 'photographs', name: 'Photographs', about: 'the boat and the work, each with what it shows' },
  ];

  protected save({ sheet }: Listed): void {
    if (sheet === 'card') this.card.emit();
    else void this.printing.sheet(sheet, this.paper());
  }
}
