import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import type { Screen } from '@grey-keel/model';
import { keyCap, keysInWords } from './key-cap.ts';
import { screenInches } from './screen-inches.ts';

/** The longer side of the glass, and what stands around it. */
const longest = 130;
const rim = 8;
const keyLong = 30;
const keyShort = 18;

/** A display from the front, in its own shape, with its keys on the side where it has them. */
@Component({
  selector: 'gk-display-front',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let it = drawing();
    <svg [attr.viewBox]="'0 0 ' + it.width + ' ' + it.height" [style.max-width.px]="it.width" role="img">
      <title>{{ it.words }}</title>
      <rect x="1" y="1" [attr.width]="it.width - 2" [attr.height]="it.height - 2" class="front" />
      <rect x="${rim}" y="${rim}" [attr.width]="it.glassWide" [attr.height]="it.glassHigh" class="glass" />
      <text [attr.x]="${rim} + it.glassWide / 2" [attr.y]="${rim + 4} + it.glassHigh / 2" text-anchor="middle">
        {{ it.size }}
      </text>
      @for (key of it.keys; track key.number) {
        <g class="key" (click)="pressed.emit(key.number)">
          <rect [attr.x]="key.x" [attr.y]="key.y" [attr.width]="key.wide" [attr.height]="key.high" />
          <text [attr.x]="key.x + key.wide / 2" [attr.y]="key.y + key.high / 2 + 4" text-anchor="middle">
            {{ key.cap }}
          </text>
        </g>
      }
    </svg>
  `,
  styles: `
    svg {
      display: block;
      width: 100%;
    }
    .front {
      fill: var(--hull-light);
      stroke: var(--ink);
    }
    .glass {
      fill: var(--sheet);
      stroke: var(--rule);
    }
    text {
      font-size: 12px;
      fill: var(--ink);
    }
    .key {
      cursor: pointer;
    }
    .key rect {
      fill: var(--hull);
    }
    .key text {
      fill: var(--on-hull);
      font-weight: 700;
    }
  `,
})
export class DisplayFront {
  readonly display = input.required<Screen>();
  /** The number of a key that was pressed in the drawing, from 1. */
  readonly pressed = output<number>();

  protected readonly drawing = computed(() => {
    const { name, keys, keysAt, pixelsWide, pixelsHigh, screenDiagonalM } = this.display();
    const perPixel = longest / Math.max(pixelsWide, pixelsHigh);
    const [glassWide, glassHigh] = [pixelsWide * perPixel, pixelsHigh * perPixel];
    const below = keysAt === 'below';
    const strip = keys > 0 ? keyShort + rim : 0;
    const pitch = (below ? glassWide : glassHigh) / Math.max(1, keys);
    const long = Math.min(keyLong, pitch - 3);
    const wide = below ? long : keyShort + 4;
    const high = below ? keyShort : Math.min(keyShort, pitch - 3);
    return {
      glassWide,
      glassHigh,
      width: glassWide + 2 * rim + (below ? 0 : strip && strip + 4),
      height: glassHigh + 2 * rim + (below ? strip : 0),
      size: screenInches(screenDiagonalM),
      words: `${name}: ${keysInWords(this.display())}`,
      keys: Array.from({ length: keys }, (_, i) => {
        const along = rim + (i + 0.5) * pitch;
        return {
          number: i + 1,
          cap: keyCap(i + 1),
          x: below ? along - wide / 2 : glassWide + 2 * rim,
          y: below ? glassHigh + 2 * rim : along - high / 2,
          wide,
          high,
        };
      }),
    };
  });
}
