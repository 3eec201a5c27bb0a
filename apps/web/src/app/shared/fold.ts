import { ChangeDetectionStrategy, Component, input, model } from '@angular/core';
import { Accordion, AccordionContent, AccordionHeader, AccordionPanel } from 'primeng/accordion';

/** Something that stands under one line until it is opened. Whoever uses it draws what is in it only while it is open. */
@Component({
  selector: 'gk-fold',
  imports: [Accordion, AccordionContent, AccordionHeader, AccordionPanel],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p-accordion [value]="open() ? 'all' : null" (valueChange)="open.set($event === 'all')">
      <p-accordion-panel value="all">
        <p-accordion-header>{{ heading() }}</p-accordion-header>
        <p-accordion-content><ng-content /></p-accordion-content>
      </p-accordion-panel>
    </p-accordion>
  `,
  // In a cell of figures, too, what is folded reads from the left.
  styles: `
    :host {
      display: block;
      text-align: start;
    }
  `,
})
export class Fold {
  readonly heading = input.required<string>();
  readonly open = model(false);
}
