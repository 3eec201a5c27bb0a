import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { wiringSheets, type SheetTable } from '@grey-keel/core';
import { fileNameOf, saveFile } from '../../shared/save-file.ts';
import { Wide } from '../../shared/wide.ts';
import { openBoat } from '../open-boat.ts';
import { Printing } from '../printing.ts';
import { PressButton } from '../../shared/press-button.ts';

/** What is longer than this is read in lines; shorter ones are a figure, or a word. */
const longestWord = 20;

/** What an installer takes along: circuits, cables and parts, sources; on the screen, as PDF and as CSV. */
@Component({
  selector: 'gk-sheets-view',
  imports: [PressButton, Wide],
  providers: [Printing],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section class="sheet row" aria-label="Printing">
      <button
        type="button"
        pButton
        id="wiring-a4"
        [disabled]="printing.busy()"
        (click)="printing.sheet('wiring', 'A4')"
      >
        Wiring sheet as PDF, A4
      </button>
      <button
        type="button"
        pButton
        severity="secondary"
        id="wiring-letter"
        [disabled]="printing.busy()"
        (click)="printing.sheet('wiring', 'LETTER')"
      >
        PDF, Letter
      </button>
      @if (printing.message()) {
        <p role="alert">{{ printing.message() }}</p>
      }
    </section>
    @for (table of tables(); track table.id) {
      <section class="sheet" [attr.aria-labelledby]="'sheet-' + table.id">
        <h2 [id]="'sheet-' + table.id">{{ table.title }}</h2>
        @if (table.rows.length) {
          <div gkWide>
            <table class="figures" [attr.aria-labelledby]="'sheet-' + table.id">
              <thead>
                <tr>
                  @for (column of table.columns; track column) {
                    <th scope="col">{{ column }}</th>
                  }
                </tr>
              </thead>
              <tbody>
                @for (row of table.rows; track $index) {
                  <tr>
                    @for (cell of row; track $index) {
                      <td [class.named]="cell.length > longestWord">{{ cell }}</td>
                    }
                  </tr>
                }
              </tbody>
            </table>
          </div>
          <button type="button" pButton text [id]="'csv-' + table.id" (click)="csv(table)">
            {{ table.title }} as CSV
          </button>
        } @else {
          <p class="faint">{{ none[table.id] }}</p>
        }
      </section>
    }
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: minmax(0, 1fr);
      gap: 10px;
    }
    th,
    td {
      text-align: left !important;
    }
    td {
      min-height: 32px;
      padding: 5px 6px !important;
    }
  `,
})
export class SheetsView {
  private readonly open = openBoat();
  protected readonly printing = inject(Printing);
  protected readonly longestWord = longestWord;
  protected readonly tables = computed(() => wiringSheets(this.open.plan(), this.open.units()));
  protected readonly none: Readonly<Record<SheetTable['id'], string>> = {
    wiring: 'No circuit yet: add batteries and circuits under power.',
    cables: 'Nothing to cut or buy yet.',
    sources: 'No screen listens to anything yet: choose feeds on Sources.',
  };

  protected async csv({ id, columns, rows }: SheetTable): Promise<void> {
    const { csvText } = await import('../../shared/csv-text.ts');
    const text = csvText(columns, rows);
    saveFile(new Blob([text], { type: 'text/csv' }), fileNameOf(this.open.plan().boat.name, `-${id}.csv`));
  }
}
