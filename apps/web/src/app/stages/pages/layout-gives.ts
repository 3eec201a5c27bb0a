import { ChangeDetectionStrategy, Component, computed, input, type Signal } from '@angular/core';
import { answerOf, panesOf, paneScale, viewRangeM, type UnitChoice } from '@grey-keel/core';
import type { FittedDisplay, Layout, Plan } from '@grey-keel/model';
import { ComputedNumber } from '../../shared/computed-number.ts';
import { FigurePipe } from '../../shared/figure-pipe.ts';

/** What a layout gives each view, in metres a pixel; of the layout under a bar while one is moved. */
@Component({
  selector: 'gk-layout-gives',
  imports: [ComputedNumber, FigurePipe],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <table>
      <tbody>
        @for (one of scales(); track one.key) {
          <tr>
            <td>
              {{ one.view }}
              <span class="faint">{{ one.rangeM | figure: 'depth' : units() : { decimals: 0 } }}</span>
            </td>
            <td>
              <gk-number
                [of]="'Scale of the ' + one.view"
                [value]="one.answer.metresPerPixel"
                quantity="pixelSize"
                [steps]="one.answer.working"
              />
            </td>
          </tr>
        }
      </tbody>
    </table>
  `,
  styles: `
    table {
      width: 100%;
      border-collapse: collapse;
      font-size: var(--small);
    }
    td:last-child {
      text-align: right;
    }
  `,
})
export class LayoutGives {
  readonly plan = input.required<Plan>();
  readonly display = input.required<FittedDisplay>();
  readonly layout = input.required<Layout>();
  /** Handed over as a signal, so that moving a bar draws these figures anew and nothing else of the page. */
  readonly moving = input.required<Signal<Layout | null>>();
  readonly units = input.required<UnitChoice>();

  protected readonly scales = computed(() =>
    panesOf(this.moving()() ?? this.layout(), this.display()).map(({ pane, width, height, band, place }) => {
      const rangeM = viewRangeM(this.plan(), pane);
      return {
        key: `${band}-${place}`,
        view: pane.view,
        rangeM,
        answer: answerOf(paneScale, { view: pane.view, rangeM, widthPx: width, heightPx: height }),
      };
    }),
  );
}
