import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { Finding, Severity, Stage } from '@grey-keel/model';
import { Store } from '@ngrx/store';
import { Fold } from '../shared/fold.ts';
import { stageRegister } from '../stages/stages.ts';
import { selectFindings } from '../state/plan.selectors.ts';
import { selectFindingsOpen, viewEvents } from '../state/view.ts';
import { alikeFindings, AlikeFindings } from './alike-findings.ts';
import { PressButton } from '../shared/press-button.ts';

const counted = (found: readonly Finding[]): string => {
  const of = (severity: Severity): number => found.filter((finding) => finding.severity === severity).length;
  const parts = (['stop', 'check', 'note'] as const).flatMap((severity) =>
    of(severity) ? [`${of(severity)} ${severity}`] : [],
  );
  return parts.length ? parts.join(' ') : 'no findings';
};

/** What the program has to say: this stage first, then the rest of the boat. */
@Component({
  selector: 'gk-findings-column',
  imports: [AlikeFindings, Fold, PressButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <aside aria-label="Findings" [class.shut]="!open()">
      <header>
        <h2>Findings</h2>
        <span class="small faint" role="status">{{ count() }}</span>
        <button
          type="button"
          pButton
          text
          [attr.aria-expanded]="open()"
          [attr.aria-label]="open() ? 'Collapse the findings' : 'Show the findings: ' + count()"
          (click)="store.dispatch(toggle)"
        >
          {{ open() ? 'Collapse' : 'Show' }}
        </button>
      </header>
      @if (open()) {
        @for (group of here(); track group.key) {
          <gk-alike-findings [found]="group.found" [boatId]="boatId()" />
        } @empty {
          <p class="faint quiet">No findings on this stage.</p>
        }
        @if (elsewhere().length) {
          <h3 class="elsewhere">On other stages</h3>
          @for (group of elsewhere(); track group.stage) {
            <gk-fold [heading]="group.title + ': ' + group.count" [open]="group.stops">
              @for (alike of group.groups; track alike.key) {
                <gk-alike-findings [found]="alike.found" [boatId]="boatId()" />
              }
            </gk-fold>
          }
        }
      }
    </aside>
  `,
  styles: `
    :host {
      display: block;
      height: 100%;
    }
    aside {
      height: 100%;
      overflow: auto;
      padding: 10px 16px;
      background: var(--sheet);
      border-left: var(--hairline) solid var(--rule);
    }
    @media (min-width: 1101px) {
      /* Its size is the frame's, so what moves in the stage need not ask after it. */
      aside {
        contain: strict;
      }
    }
    header {
      display: flex;
      align-items: center;
      justify-content: space-between;
      gap: 8px;
      flex-wrap: wrap;
    }
    header button {
      margin-left: auto;
    }
    .quiet {
      padding: 8px 0;
    }
    .elsewhere {
      margin-top: 18px;
      color: var(--faint);
    }
    @media (max-width: 1100px) {
      aside {
        height: auto;
        max-height: 50vh;
        border-left: 0;
        border-top: 2px solid var(--rule);
        padding: 0 16px;
      }
    }
  `,
})
export class FindingsColumn {
  readonly boatId = input.required<string>();
  readonly stage = input.required<Stage>();
  protected readonly store = inject(Store);
  protected readonly toggle = viewEvents.findingsToggled();
  protected readonly open = this.store.selectSignal(selectFindingsOpen);
  private readonly found = this.store.selectSignal(selectFindings);
  protected readonly here = computed(() => alikeFindings(this.found().filter(({ stage }) => stage === this.stage())));
  /** By stage, in their order; those with a stop stand open. */
  protected readonly elsewhere = computed(() =>
    stageRegister.flatMap(({ stage, title }) => {
      const found = stage === this.stage() ? [] : this.found().filter((one) => one.stage === stage);
      const stops = found.some(({ severity }) => severity === 'stop');
      return found.length ? [{ stage, title, groups: alikeFindings(found), stops, count: counted(found) }] : [];
    }),
  );
  protected readonly count = computed(() => counted(this.found()));
}
