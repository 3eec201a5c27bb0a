import {
  afterRenderEffect,
  ChangeDetectionStrategy,
  Component,
  computed,
  ElementRef,
  inject,
  input,
  output,
} from '@angular/core';
import { FigurePipe } from '../../shared/figure-pipe.ts';
import { openBoat } from '../open-boat.ts';
import { inGroups, type ListedSubject } from './calibration-subjects.ts';

/** The key of the drills, beside those of what is calibrated. */
export const drillKey = 'drill';

/** What is calibrated, by groups in the order it is done: what was entered, and whether that still holds. */
@Component({
  selector: 'gk-calibrated-list',
  imports: [FigurePipe],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (group of grouped(); track group.word) {
      <h3 class="small">{{ group.word }}</h3>
      @for (one of group.subjects; track one.key) {
        <button
          type="button"
          [attr.aria-current]="chosen() === one.key"
          (click)="choose.emit(one.key)"
          [attr.data-calibration]="one.key"
          [attr.data-tab]="one.kind"
        >
          <strong>{{ one.word }}</strong>
          <span class="small name" [title]="one.name">{{ one.name }}</span>
          <span class="value mono" [class.is-stale]="one.state === 'stale'" [class.is-missing]="one.value === null">{{
            one.value === null
              ? 'missing'
              : one.kind === 'sides'
                ? one.value > 0
                  ? 'right'
                  : 'swapped'
                : (one.value | figure: one.quantity : units() : { signed: one.signed })
          }}</span>
          @if (one.value !== null) {
            <span class="small state {{ one.state }}">{{ one.state }}</span>
          }
        </button>
      }
    }
    <button
      type="button"
      class="drill"
      [attr.aria-current]="chosen() === drillKey"
      (click)="choose.emit(drillKey)"
      data-calibration="drill"
      data-tab="drill"
    >
      <strong>Drill</strong>
      <span class="small">hidden errors to find</span>
    </button>
  `,
  styles: `
    :host {
      padding: 0;
      align-self: start;
      position: sticky;
      top: 0;
      max-height: calc(100dvh - 74px);
      overflow-y: auto;
    }
    button {
      width: 100%;
      display: grid;
      grid-template-columns: 1fr auto;
      align-content: start;
      gap: 2px 6px;
      padding: 6px 8px;
      min-height: 52px;
      text-align: left;
      color: var(--ink);
      background: var(--sheet);
      border: 0;
      border-bottom: var(--hairline) solid var(--rule);
      border-left: 4px solid transparent;
      cursor: pointer;
    }
    button[aria-current='true'] {
      background: var(--water-wash);
      border-left-color: var(--water);
    }
    h3 {
      margin: 0;
      padding: 6px 8px 2px;
      color: var(--faint);
      border-bottom: var(--hairline) solid var(--rule);
    }
    .small {
      grid-column: 1;
    }
    /* Two lines of a long name; all of it stands over its procedure. */
    .name {
      display: -webkit-box;
      -webkit-box-orient: vertical;
      -webkit-line-clamp: 2;
      overflow: hidden;
      overflow-wrap: anywhere;
    }
    .value {
      align-self: start;
      grid-column: 2;
      grid-row: 1;
      text-align: right;
      font-size: var(--small);
      font-weight: 700;
    }
    .value.is-missing {
      font-weight: 400;
    }
    .state {
      grid-column: 2;
      text-align: right;
    }
    .state.fresh {
      color: var(--fresh);
    }
    .state.stale {
      color: var(--check);
    }
    @media (max-width: 1100px) {
      :host {
        display: flex;
        position: static;
        overflow: auto hidden;
      }
      /* In a row the words of the procedures say enough. */
      h3 {
        display: none;
      }
      .name {
        grid-column: 1 / -1;
        display: block;
        overflow: visible;
      }
      button {
        min-width: 178px;
      }
    }
  `,
})
export class CalibratedList {
  readonly subjects = input.required<readonly ListedSubject[]>();
  readonly chosen = input.required<string>();
  readonly choose = output<string>();
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
  protected readonly units = openBoat().units;
  protected readonly drillKey = drillKey;
  protected readonly grouped = computed(() => inGroups(this.subjects()));

  constructor() {
    // The chosen one is in sight of its own list, which scrolls by itself.
    afterRenderEffect(() => {
      const button = this.host.querySelector<HTMLElement>(`[data-calibration="${this.chosen()}"]`);
      if (button) reveal(this.host, button);
    });
  }
}

/** Scrolls a list so that one entry of it is seen; what is around the list stays where it is. */
const reveal = (list: HTMLElement, entry: HTMLElement): void => {
  const [around, inside] = [list.getBoundingClientRect(), entry.getBoundingClientRect()];
  const by = (before: number, after: number): number => Math.min(0, before) + Math.max(0, after);
  list.scrollBy({
    left: by(inside.left - around.left, inside.right - around.right),
    top: by(inside.top - around.top, inside.bottom - around.bottom),
  });
};
