import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { inOrder } from '@grey-keel/core';
import { mostPhotographs, type Photograph, photographSchema } from '@grey-keel/model';
import { Dialog } from 'primeng/dialog';
import { FileButton } from '../../shared/file-button.ts';
import { PressButton } from '../../shared/press-button.ts';
import { TextField } from '../../shared/text-field.ts';
import { openBoat } from '../open-boat.ts';
import { Photographs } from '../photographs.ts';

/** Pictures of the boat and of the work, each with what it shows; one is looked at large by a press. */
@Component({
  selector: 'gk-photographs-section',
  imports: [Dialog, FileButton, PressButton, TextField],
  providers: [Photographs],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section class="sheet" aria-labelledby="photographs-title">
      <h2 id="photographs-title">Photographs</h2>
      @if (photographs().length === 0) {
        <p class="small faint">
          None yet. The transom, the way of a cable, the back of a display: what the next one aboard would like to see.
          They are made smaller here, and the place a camera wrote into them is left out.
        </p>
      }
      <ul>
        @for (entry of photographs(); track entry[0]; let i = $index) {
          <li>
            <button
              type="button"
              class="look"
              [attr.aria-label]="'Look at photograph ' + (i + 1) + (entry[1].caption ? ': ' + entry[1].caption : '')"
              (click)="large.set(entry[0])"
            >
              <img
                [src]="'api/photographs/' + entry[0]"
                [alt]="entry[1].caption || 'Photograph ' + (i + 1)"
                [width]="entry[1].widthPx"
                [height]="entry[1].heightPx"
                loading="lazy"
              />
            </button>
            <gk-text-field
              [fieldId]="'photograph-' + entry[0]"
              [at]="['photographs', entry[0], 'caption']"
              [value]="entry[1].caption"
              [schema]="caption"
              (changed)="describe(entry, $event)"
            />
            <button
              type="button"
              pButton
              text
              [attr.aria-label]="'Delete photograph ' + (i + 1)"
              (click)="remove(entry[0], i + 1)"
            >
              Delete
            </button>
          </li>
        }
      </ul>
      <div class="row">
        @if (photographs().length < most) {
          <gk-file-button
            label="Add photographs"
            fieldId="add-photographs"
            accept="image/*"
            [several]="true"
            (chosen)="pictures.add($event)"
          />
        }
        @if (pictures.waiting(); as waiting) {
          <span role="status">{{ waiting }} still to be stored …</span>
        }
      </div>
      @if (pictures.message(); as words) {
        <p class="bad" role="alert">{{ words }}</p>
      }
    </section>
    <p-dialog
      [header]="shown()?.[1]?.caption || 'Photograph'"
      closeAriaLabel="Close"
      [modal]="true"
      [draggable]="false"
      [resizable]="false"
      [dismissableMask]="true"
      [visible]="shown() !== null"
      (visibleChange)="large.set(null)"
    >
      @if (shown(); as one) {
        <img class="large" [src]="'api/photographs/' + one[0]" [alt]="one[1].caption || 'Photograph'" />
      }
    </p-dialog>
  `,
  styles: `
    :host {
      display: contents;
    }
    ul {
      margin: 6px 0 10px;
      padding: 0;
      list-style: none;
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(190px, 1fr));
      gap: 12px;
    }
    li {
      min-width: 0;
    }
    .look {
      display: block;
      width: 100%;
      padding: 0;
      border: var(--hairline) solid var(--rule);
      background: var(--water-wash);
      cursor: zoom-in;
    }
    .look img {
      display: block;
      width: 100%;
      height: 140px;
      object-fit: contain;
    }
    /* Dim and red like all else at night: a white wall would cost the eyes half an hour. */
    :host-context(:root[data-theme='night']) img {
      filter: grayscale(1) brightness(0.5) sepia(1) hue-rotate(-25deg) saturate(2.5) brightness(0.6);
    }
    .bad {
      color: var(--stop);
      font-weight: 600;
    }
    .large {
      max-width: min(86vw, 1400px);
      max-height: 78vh;
    }
  `,
})
export class PhotographsSection {
  private readonly open = openBoat();
  protected readonly pictures = inject(Photographs);
  protected readonly most = mostPhotographs;
  protected readonly caption = photographSchema.shape.caption;
  protected readonly photographs = computed(() => inOrder(this.open.plan().photographs ?? {}));
  protected readonly large = signal<string | null>(null);
  protected readonly shown = computed(() => this.photographs().find(([id]) => id === this.large()) ?? null);

  protected describe([id, photograph]: readonly [string, Photograph], caption: string): void {
    this.open.edits.edit('what a photograph shows', {
      type: 'putPhotograph',
      id,
      photograph: { ...photograph, caption },
    });
  }

  protected remove(id: string, number: number): void {
    this.open.edits.edit(`delete photograph ${number}`, { type: 'putPhotograph', id, photograph: null });
  }
}
