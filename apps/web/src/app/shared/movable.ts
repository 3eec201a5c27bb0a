import { Directive, ElementRef, inject, output } from '@angular/core';
import { svgPoint } from './svg-point.ts';

/** Steps of an arrow key: to the right and down. */
export interface Nudge {
  readonly right: number;
  readonly down: number;
}

const arrows: Readonly<Record<string, Nudge>> = {
  ArrowLeft: { right: -1, down: 0 },
  ArrowRight: { right: 1, down: 0 },
  ArrowUp: { right: 0, down: -1 },
  ArrowDown: { right: 0, down: 1 },
};

/**
 * Something in a drawing that is taken by pointer or thumb and dragged, or moved by the arrows (ten steps at once with
 * Shift). The drawing turns pixels or steps into metres; `settled` comes once when it is let go or a key has moved it.
 */
@Directive({
  selector: '[gkMovable]',
  host: {
    tabindex: '0',
    role: 'slider',
    '(pointerdown)': 'taken($event)',
    '(pointermove)': 'dragged($event)',
    '(pointerup)': 'dropped()',
    '(pointercancel)': 'dropped()',
    '(keydown)': 'pressed($event)',
  },
})
export class Movable {
  /** Where its middle is to be, in the drawing's own units. */
  readonly moved = output<{ readonly x: number; readonly y: number }>();
  readonly nudged = output<Nudge>();
  readonly settled = output();

  private readonly host = inject<ElementRef<SVGGraphicsElement>>(ElementRef).nativeElement;
  private held = false;
  /** From its middle to where it was taken, on the screen: it does not jump under the pointer. */
  private grip = { x: 0, y: 0 };

  protected taken(event: PointerEvent): void {
    this.held = true;
    const middle = this.host.getScreenCTM();
    this.grip = middle ? { x: event.clientX - middle.e, y: event.clientY - middle.f } : { x: 0, y: 0 };
    this.host.setPointerCapture(event.pointerId);
    this.host.focus({ preventScroll: true });
    event.preventDefault();
  }

  protected dragged(event: PointerEvent): void {
    const canvas = this.host.ownerSVGElement;
    const middle = { clientX: event.clientX - this.grip.x, clientY: event.clientY - this.grip.y };
    const at = this.held && canvas ? svgPoint(canvas, middle) : null;
    if (at) this.moved.emit({ x: at.x, y: at.y });
  }

  protected dropped(): void {
    if (!this.held) return;
    this.held = false;
    this.settled.emit();
  }

  protected pressed(event: KeyboardEvent): void {
    const arrow = arrows[event.key];
    if (!arrow) return;
    const steps = event.shiftKey ? 10 : 1;
    this.nudged.emit({ right: steps * arrow.right, down: steps * arrow.down });
    this.settled.emit();
    event.preventDefault();
    event.stopPropagation();
  }
}
