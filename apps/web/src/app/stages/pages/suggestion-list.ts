import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { layoutInWords, type SuggestedLayout } from '@grey-keel/core';
import type { FittedDisplay, Layout } from '@grey-keel/model';
import { ComputedNumber } from '../../shared/computed-number.ts';
import { PageDrawing } from '../../shared/page-drawing.ts';
import { PressButton } from '../../shared/press-button.ts';

/** Layouts for a way of working, best first, each with what it gives the view it is made for. */
@Component({
  selector: 'gk-suggestion-list',
  imports: [ComputedNumber, PageDrawing, PressButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ol>
      @for (one of suggestions(); track $index) {
        <li>
          <gk-page-drawing [layout]="one.layout" [wide]="display().pixelsWide" [high]="display().pixelsHigh" />
          <div>
            <p>
              <strong>{{ words(one.layout) }}</strong>
              {{ one.chief }}
              <gk-number
                [of]="'Scale of the ' + one.chief"
                [value]="one.scale.metresPerPixel"
                quantity="pixelSize"
                [steps]="one.scale.working"
              />
              @if (one.morePixels !== null && one.morePixels !== 0) {
                <span class="faint"
                  >{{ one.morePixels > 0 ? '+' : '−' }}{{ (100 * abs(one.morePixels)).toFixed(0) }} % pixels</span
                >
              }
            </p>
            <button
              type="button"
              pButton
              text
              [attr.aria-label]="use() + ', ' + words(one.layout)"
              (click)="taken.emit(one.layout)"
            >
              {{ use() }}
            </button>
          </div>
        </li>
      }
    </ol>
  `,
  styles: `
    ol {
      margin: 0;
      padding: 0;
      list-style: none;
      display: grid;
      gap: 6px;
    }
    li {
      display: grid;
      grid-template-columns: 84px minmax(0, 1fr);
      gap: 10px;
      align-items: center;
      font-size: var(--small);
    }
    strong {
      display: block;
    }
    .faint {
      white-space: nowrap;
    }
    .p-button {
      padding: 0;
      text-align: left;
    }
  `,
})
export class SuggestionList {
  readonly suggestions = input.required<readonly SuggestedLayout[]>();
  readonly display = input.required<FittedDisplay>();
  readonly use = input('Use it');
  readonly taken = output<Layout>();
  protected readonly abs = Math.abs;
  protected readonly words = layoutInWords;
}
