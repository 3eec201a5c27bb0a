import { ChangeDetectionStrategy, Component, model } from '@angular/core';

/** The ways of looking at the choice of transducers. */
export const beamViews = [
  'section',
  'fish and slope',
  'where is it',
  'advice',
  'reach',
  'cone or frequency',
  'speed',
  'shopping',
  'drill',
] as const;
export type BeamView = (typeof beamViews)[number];

/** Tabs by the pattern of the accessibility guide: arrows move between them, one is in the tab order. */
@Component({
  selector: 'gk-beams-tabs',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div role="tablist" aria-label="Ways of looking at the beams">
      @for (view of views; track view; let i = $index) {
        <button
          type="button"
          role="tab"
          [id]="idOf(view)"
          [attr.aria-selected]="chosen() === view"
          [attr.tabindex]="chosen() === view ? 0 : -1"
          (click)="chosen.set(view)"
          (keydown.arrowright)="step(i, 1, $event)"
          (keydown.arrowleft)="step(i, -1, $event)"
        >
          {{ view }}
        </button>
      }
    </div>
  `,
  styles: `
    div {
      display: flex;
      flex-wrap: wrap;
      border-bottom: 2px solid var(--rule);
    }
    button {
      min-height: var(--touch);
      padding: 0 16px;
      border: 0;
      background: none;
      color: var(--ink);
      font-weight: 600;
      cursor: pointer;
    }
    button[aria-selected='true'] {
      color: var(--water);
      box-shadow: inset 0 -3px 0 var(--water);
    }
  `,
})
export class BeamsTabs {
  readonly chosen = model.required<BeamView>();
  protected readonly views = beamViews;

  protected idOf(view: BeamView): string {
    return `tab-${view.replaceAll(' ', '-')}`;
  }

  protected step(from: number, by: number, event: Event): void {
    event.preventDefault();
    event.stopPropagation();
    const to = (from + by + beamViews.length) % beamViews.length;
    this.chosen.set(beamViews[to] ?? 'section');
    document.getElementById(this.idOf(this.chosen()))?.focus();
  }
}
