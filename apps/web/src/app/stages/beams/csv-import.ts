import { proxy } from 'comlink';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { csvColumns, csvTemplate, guessColumns, type CsvCatalogue, type CsvKey } from '@grey-keel/core';
import { Store } from '@ngrx/store';
import { ProgressBar } from 'primeng/progressbar';
import { FileButton } from '../../shared/file-button.ts';
import { problemOf } from '../../api/problem.ts';
import { CatalogueSaving } from '../../state/catalogue-saving.ts';
import { saveFile } from '../../shared/save-file.ts';
import { Wide } from '../../shared/wide.ts';
import { catalogueFeature } from '../../state/catalogue.ts';
import type { CatalogueCsv, CsvPreview } from '../../workers/catalogue-csv.worker.ts';
import { inBackground } from '../../workers/background.ts';
import { ChoiceField } from '../../shared/choice-field.ts';
import { PressButton } from '../../shared/press-button.ts';

const mostFaults = 60;

/** Gear of the shop's own from a CSV file: columns are matched, bad cells named, and nothing is kept until confirmed. */
@Component({
  selector: 'gk-csv-import',
  imports: [ChoiceField, FileButton, PressButton, ProgressBar, Wide],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="row">
      <gk-file-button label="Read a CSV file" fieldId="csv-file" accept=".csv,text/csv" (chosen)="chosen($event[0])" />
      <button type="button" pButton severity="secondary" (click)="template()">Template to fill in</button>
      @if (text()) {
        <button type="button" pButton text (click)="forget()">Discard the file</button>
      }
    </div>
    @if (message(); as words) {
      <p role="alert">{{ words }}</p>
    }
    @if (done(); as words) {
      <p role="status">{{ words }}</p>
    }
    @if (preview(); as it) {
      <h3>Which column is what</h3>
      <div class="fields">
        @for (column of columns; track column.key) {
          <div class="small">
            <gk-choice-field
              [label]="column.title + (column.wanted ? '' : ' (may be left out)')"
              [fieldId]="'csv-' + column.key"
              [value]="'' + (matched()[column.key] ?? '')"
              [choices]="titles()"
              (changed)="match(column.key, $event)"
            />
            <span class="faint">{{ column.says }}</span>
          </div>
        }
      </div>
      <div gkWide>
        <table class="figures" aria-label="The first rows of the file">
          <thead>
            <tr>
              @for (title of it.titles; track $index) {
                <th scope="col">{{ title }}</th>
              }
            </tr>
          </thead>
          <tbody>
            @for (row of it.rows; track $index) {
              <tr>
                @for (cell of row; track $index) {
                  <td>{{ cell }}</td>
                }
              </tr>
            }
          </tbody>
        </table>
      </div>
      @if (share() !== null) {
        <div class="row">
          <p-progressbar aria-label="Reading the file" [value]="100 * (share() ?? 0)" [showValue]="false" />
          <button type="button" pButton severity="secondary" (click)="cancel()">Cancel</button>
        </div>
      } @else if (read(); as catalogue) {
        <p role="status" id="csv-read">
          {{ catalogue.items.length }} of the shop’s own read from {{ it.count }} rows, {{ catalogue.faults.length }}
          {{ catalogue.faults.length === 1 ? 'cell is' : 'cells are' }} wrong.
        </p>
        @if (catalogue.faults.length) {
          <ul class="small faults">
            @for (fault of catalogue.faults.slice(0, mostFaults); track $index) {
              <li>
                Line {{ fault.row }}, <strong>{{ fault.column }}</strong>: {{ fault.message }}
              </li>
            }
            @if (catalogue.faults.length > mostFaults) {
              <li>And {{ catalogue.faults.length - mostFaults }} more.</li>
            }
          </ul>
        }
        @if (replaced().length) {
          <p id="csv-replaces">
            In the shop's catalogue already, and different: {{ replaced().join(', ') }}. They get a newer version; boats
            that carry the earlier one keep it.
          </p>
        }
        @if (catalogue.items.length) {
          <button type="button" pButton id="csv-import" [disabled]="sending()" (click)="keep(catalogue)">
            Add {{ catalogue.items.length }} to the catalogue
          </button>
        }
      } @else {
        <button type="button" pButton id="csv-read-all" (click)="readAll()">Read all {{ it.count }} rows</button>
      }
    }
  `,
  styles: `
    .fields {
      grid-template-columns: repeat(auto-fill, minmax(180px, 1fr));
    }
    .wide {
      margin: 10px 0;
    }
    .faults {
      max-height: 220px;
      overflow: auto;
    }
    p-progressbar {
      width: 260px;
    }
  `,
})
export class CsvImport {
  private readonly saving = inject(CatalogueSaving);
  private readonly store = inject(Store);
  private readonly csv = inBackground<CatalogueCsv>(
    () => new Worker(new URL('../../workers/catalogue-csv.worker', import.meta.url), { type: 'module' }),
  );

  protected readonly columns = csvColumns;
  protected readonly mostFaults = mostFaults;
  protected readonly text = signal('');
  protected readonly preview = signal<CsvPreview | null>(null);
  protected readonly matched = signal(guessColumns([]));
  protected readonly titles = computed(() => [
    { value: '', label: 'none' },
    ...(this.preview()?.titles ?? []).map((label, at) => ({ value: String(at), label })),
  ]);
  protected readonly share = signal<number | null>(null);
  protected readonly read = signal<CsvCatalogue | null>(null);
  private readonly shop = this.store.selectSignal(catalogueFeature.selectEntities);
  /** The entries of the shop that the file has otherwise: nothing is replaced without a word. */
  protected readonly replaced = computed(() =>
    (this.read()?.items ?? []).flatMap(({ id, item }) => {
      const before = this.shop()[id];
      return before && item.type === 'transducer' && JSON.stringify(before.item) !== JSON.stringify(item)
        ? [item.element.name]
        : [];
    }),
  );
  protected readonly sending = signal(false);
  protected readonly message = signal('');
  protected readonly done = signal('');

  protected template(): void {
    saveFile(new Blob([csvTemplate()], { type: 'text/csv' }), 'catalogue-template.csv');
  }

  protected async chosen(file: File | undefined): Promise<void> {
    if (!file) return;
    this.forget();
    this.text.set(await file.text());
    await this.asked(async () => {
      const head = await this.csv.run((worker) => worker.titles(this.text()));
      if (!head) return;
      this.matched.set(guessColumns(head.titles));
      this.preview.set(head);
    });
  }

  protected forget(): void {
    this.cancel();
    this.text.set('');
    this.preview.set(null);
    this.read.set(null);
    this.message.set('');
    this.done.set('');
  }

  protected match(key: CsvKey, at: string): void {
    this.matched.update((columns) => ({ ...columns, [key]: at === '' ? null : Number(at) }));
    this.read.set(null);
  }

  protected async readAll(): Promise<void> {
    this.share.set(0);
    await this.asked(async () => {
      const told = proxy((share: number) => this.share.set(share));
      const catalogue = await this.csv.run((worker) => worker.items(this.text(), this.matched(), told));
      if (!catalogue) return;
      this.share.set(null);
      this.read.set(catalogue);
    });
  }

  protected cancel(): void {
    this.csv.end();
    this.share.set(null);
  }

  protected async keep({ items }: CsvCatalogue): Promise<void> {
    this.sending.set(true);
    this.message.set('');
    try {
      const entries = await this.saving.many([...items]);
      this.forget();
      this.done.set(`${entries.length} taken into the catalogue; ${items.length - entries.length} were there already.`);
    } catch (error) {
      this.message.set(`Nothing was taken: ${problemOf(error).detail}`);
    } finally {
      this.sending.set(false);
    }
  }

  private async asked(work: () => Promise<void>): Promise<void> {
    try {
      await work();
    } catch {
      this.cancel();
      this.message.set('The file could not be read: it is no text, or no table.');
    }
  }
}
