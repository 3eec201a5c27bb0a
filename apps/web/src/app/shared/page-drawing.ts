import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { panesOf } from '@grey-keel/core';
import type { Layout } from '@grey-keel/model';
import { ViewArt } from './view-art.ts';

/** A page in small: its panes on its screen's own outline. */
@Component({
  selector: 'gk-page-drawing',
  imports: [ViewArt],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { '[style.aspect-ratio]': 'wide() + "/" + high()' },
  template: `
    @for (pane of panes(); track $index) {
      <span
        [style.left.%]="pane.left"
        [style.top.%]="pane.top"
        [style.width.%]="pane.width"
        [style.height.%]="pane.height"
      >
        <gk-view-art [view]="pane.view" />
      </span>
    }
  `,
  styles: `
    :host {
      position: relative;
      display: block;
      background: var(--art-dark);
      border: 1px solid var(--hull);
      overflow: hidden;
    }
    span {
      position: absolute;
      outline: 1px solid var(--sheet);
      outline-offset: -0.5px;
      overflow: hidden;
    }
  `,
})
export class PageDrawing {
  readonly layout = input.required<Layout>();
  readonly wide = input.required<number>();
  readonly high = input.required<number>();
  protected readonly panes = computed(() =>
    panesOf(this.layout(), { pixelsWide: 100, pixelsHigh: 100 }).map(({ pane, x, y, width, height }) => ({
      view: pane.view,
      left: x,
      top: y,
      width,
      height,
    })),
  );
}
