import { afterNextRender, ChangeDetectionStrategy, Component, inject, Injector, output, signal } from '@angular/core';
import { entryToPlace, type ToPlace } from '@grey-keel/core';
import type { TransducerEntry } from '@grey-keel/model';
import { problemOf } from '../../api/problem.ts';
import { CatalogueSaving } from '../../state/catalogue-saving.ts';
import { newId } from '../../state/open-plan.ts';
import { CatalogueTable, type CatalogueTransducer } from './catalogue-table.ts';
import { CsvImport } from './csv-import.ts';
import { SheetForm, type FromSheet } from './sheet-form.ts';
import { PlanPlace } from '../../shared/plan-place.ts';

/** Where transducers come from: the shop's catalogue, a data sheet, a file. */
@Component({
  selector: 'gk-catalogue-section',
  imports: [PlanPlace, CatalogueTable, CsvImport, SheetForm],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section
      class="sheet below"
      id="catalogue"
      [gkPlace]="['transducers']"
      tabindex="-1"
      aria-labelledby="catalogue-title"
    >
      <h2 id="catalogue-title">Catalogue</h2>
      <gk-catalogue-table (placed)="place($event)" (edited)="edit($event)" />
    </section>
    <section class="sheet below" aria-labelledby="sheet-title">
      <h2 id="sheet-title">
        @if (edited(); as it) {
          {{ it.item.element.name }}, version {{ it.entry.version }}
        } @else {
          From a data sheet
        }
      </h2>
      <gk-sheet-form
        [entry]="edited()"
        (placed)="placeFromSheet($event)"
        (kept)="keep($event)"
        (closed)="edited.set(null)"
      />
      @if (catalogueNote(); as words) {
        <p class="small" role="status">{{ words }}</p>
      }
    </section>
    <section class="sheet below" aria-labelledby="csv-title">
      <h2 id="csv-title">Many from a file</h2>
      <gk-csv-import />
    </section>
  `,
  styles: `
    :host {
      display: contents;
    }
  `,
})
export class CatalogueSection {
  readonly placed = output<ToPlace>();

  private readonly saving = inject(CatalogueSaving);
  private readonly injector = inject(Injector);
  protected readonly catalogueNote = signal('');
  protected readonly edited = signal<CatalogueTransducer | null>(null);

  protected place({ entry }: CatalogueTransducer): void {
    const toPlace = entryToPlace(entry);
    if (toPlace) this.placed.emit(toPlace);
  }

  protected async placeFromSheet({ element, mounting }: FromSheet): Promise<void> {
    this.placed.emit({ element, mounting, catalogue: null, temperature: 'none' });
    try {
      await this.saving.one(`own-${newId()}`, {
        type: 'transducer',
        element,
        mountings: [mounting],
        temperatureSensor: 'none',
        socket: '',
      });
      this.catalogueNote.set(`${element.name} is on the boat and in the shop's catalogue.`);
    } catch (error) {
      this.catalogueNote.set(
        `${element.name} is on the boat; the catalogue did not take it: ${problemOf(error).detail}`,
      );
    }
  }

  /** Boats that carry it keep the version they were given. */
  protected async keep({ id, item }: { readonly id: string; readonly item: TransducerEntry }): Promise<void> {
    try {
      const { version } = await this.saving.one(id, item);
      this.edited.set(null);
      this.catalogueNote.set(
        `${item.element.name} is saved as version ${version}; boats that carry an older one keep it.`,
      );
    } catch (error) {
      this.catalogueNote.set(`${item.element.name} was not saved: ${problemOf(error).detail}`);
    }
  }

  protected edit(entry: CatalogueTransducer): void {
    this.edited.set(entry);
    this.catalogueNote.set('');
    afterNextRender(() => document.getElementById('sheet-name')?.focus(), { injector: this.injector });
  }
}
