import { ChangeDetectionStrategy, Component, input, model } from '@angular/core';
import { glossary } from '@grey-keel/core';
import { Dialog } from 'primeng/dialog';

/** What is called what, and what it means; opened at one of the terms. */
@Component({
  selector: 'gk-terms-dialog',
  imports: [Dialog],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p-dialog
      header="Terms"
      closeAriaLabel="Close"
      [modal]="true"
      [(visible)]="open"
      [style]="{ width: 'min(720px, 96vw)' }"
      [dismissableMask]="true"
      [focusOnShow]="false"
      (onShow)="show()"
    >
      @for (group of groups; track group.heading) {
        <h3>{{ group.heading }}</h3>
        <dl>
          @for (one of group.terms; track one.term) {
            <div [attr.data-term]="one.term" [class.chosen]="one.term === chosen()" tabindex="-1">
              <dt>{{ one.term }}</dt>
              <dd>{{ one.means }}</dd>
            </div>
          }
        </dl>
      }
    </p-dialog>
  `,
  styles: `
    dl {
      margin: 0 0 12px;
    }
    dl div {
      display: grid;
      grid-template-columns: minmax(120px, 220px) minmax(0, 1fr);
      gap: 10px;
      padding: 4px 6px;
      border-bottom: var(--hairline) solid var(--rule);
    }
    dt {
      font-weight: 700;
    }
    dd {
      margin: 0;
    }
    .chosen {
      outline: 2px solid var(--water);
      outline-offset: -2px;
    }
  `,
})
export class TermsDialog {
  readonly open = model.required<boolean>();
  /** The term that was looked for; null for the list as a whole. */
  readonly chosen = input.required<string | null>();
  protected readonly groups = glossary;

  protected show(): void {
    const at = document.querySelector<HTMLElement>(`[data-term="${CSS.escape(this.chosen() ?? '')}"]`);
    (at ?? document.querySelector<HTMLElement>('gk-terms-dialog [data-term]'))?.focus();
    at?.scrollIntoView({ block: 'center' });
  }
}
