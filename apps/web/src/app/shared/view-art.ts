import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import type { View } from '@grey-keel/model';

/** What a view looks like in general, stretched to its pane as a display stretches it. No picture of this water. */
@Component({
  selector: 'gk-view-art',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { 'aria-hidden': 'true' },
  template: `
    @switch (view()) {
      @case ('chart') {
        <svg viewBox="0 0 200 120" preserveAspectRatio="xMidYMid slice">
          <rect width="200" height="120" class="land" />
          @for (y of [8, 30, 52, 74, 96, 118]; track y) {
            <path
              [attr.d]="
                'M-10 ' +
                y +
                'C30 ' +
                (y - 16) +
                ' 60 ' +
                (y + 18) +
                ' 105 ' +
                y +
                'S170 ' +
                (y - 14) +
                ' 215 ' +
                (y + 6)
              "
              class="contour"
            />
          }
          <circle cx="100" cy="66" r="26" class="ring" />
          <path d="M100 58 L105 72 L95 72 Z" class="boat" />
        </svg>
      }
      @case ('sounder') {
        <svg viewBox="0 0 200 120" preserveAspectRatio="none">
          <rect width="200" height="120" class="dark" />
          @for (fish of fishes; track fish.x) {
            <path [attr.d]="'M' + (fish.x - 11) + ' ' + (fish.y + 6) + 'q11 -12 22 0'" class="echo" />
          }
          <path d="M0 92 C28 100 46 76 78 82 S130 102 156 84 S190 76 200 88 V120 H0 Z" class="bottom soft" />
          <path d="M0 97 C28 105 46 81 78 87 S130 107 156 89 S190 81 200 93 V120 H0 Z" class="bottom hard" />
        </svg>
      }
      @case ('side-scan') {
        <svg viewBox="0 0 200 120" preserveAspectRatio="none">
          <rect width="200" height="120" class="grey" />
          @for (y of [10, 24, 41, 57, 70, 88, 104]; track y) {
            <path [attr.d]="'M0 ' + y + 'H82 M118 ' + (y + 5) + 'H200'" class="swath" />
          }
          <path d="M88 0 C84 40 90 80 86 120 H114 C110 80 116 40 112 0 Z" class="dark" />
          <path d="M100 0 V120" class="track" />
          <path d="M146 46 l14 2 l-2 9 l-13 -1 Z" class="bright" />
          <path d="M160 48 l22 3 l-1 8 l-23 -2 Z" class="dark" />
        </svg>
      }
      @case ('down fan') {
        <svg viewBox="0 0 200 120" preserveAspectRatio="none">
          <rect width="200" height="120" class="dark" />
          <path d="M0 88 L24 92 L52 78 L84 82 L112 96 L140 84 L176 78 L200 88 V120 H0 Z" class="grey" />
          <path d="M58 78 L60 52 M64 79 L67 46 M70 80 L72 58" class="echo" />
          @for (x of [20, 96, 132, 168]; track x) {
            <circle [attr.cx]="x" [attr.cy]="40 + (x % 30)" r="1.6" class="bright" />
          }
        </svg>
      }
      @case ('forward-facing') {
        <svg viewBox="0 0 200 120" preserveAspectRatio="none">
          <rect width="200" height="120" class="dark" />
          <path d="M8 6 L196 6 A188 120 0 0 1 8 118 Z" class="fan" />
          @for (r of [60, 120, 180]; track r) {
            <path [attr.d]="'M' + (8 + r) + ' 6 A' + r + ' ' + r * 0.6 + ' 0 0 1 8 ' + (6 + r * 0.6)" class="range" />
          }
          <path d="M8 96 L70 92 L120 74 L150 52" class="echo" />
          <circle cx="76" cy="44" r="3" class="bright" />
          <circle cx="104" cy="38" r="2.4" class="bright" />
        </svg>
      }
      @case ('sector') {
        <svg viewBox="0 0 200 120" preserveAspectRatio="none">
          <rect width="200" height="120" class="dark" />
          <path d="M100 112 L30 18 A120 100 0 0 1 170 18 Z" class="fan" />
          @for (r of [30, 60, 90]; track r) {
            <path
              [attr.d]="
                'M' +
                (100 - r * 0.6) +
                ' ' +
                (112 - r * 0.8) +
                'A' +
                r +
                ' ' +
                r +
                ' 0 0 1 ' +
                (100 + r * 0.6) +
                ' ' +
                (112 - r * 0.8)
              "
              class="range"
            />
          }
          <circle cx="118" cy="52" r="3.4" class="bright" />
        </svg>
      }
    }
  `,
  styles: `
    :host {
      display: block;
      position: absolute;
      inset: 0;
      overflow: hidden;
    }
    svg {
      display: block;
      width: 100%;
      height: 100%;
    }
    path,
    circle {
      vector-effect: non-scaling-stroke;
    }
    .land {
      fill: var(--art-land);
    }
    .contour {
      fill: none;
      stroke: var(--art-line);
      stroke-width: 1;
    }
    .ring {
      fill: none;
      stroke: var(--ink);
      stroke-dasharray: 4 3;
    }
    .boat {
      fill: var(--ink);
    }
    .dark {
      fill: var(--art-dark);
    }
    .grey {
      fill: var(--art-grey);
    }
    .swath {
      stroke: var(--art-dark);
      stroke-opacity: 0.35;
      stroke-width: 2;
    }
    .track {
      stroke: var(--art-grey);
    }
    .bright {
      fill: var(--art-bright);
    }
    .echo {
      fill: none;
      stroke: var(--art-bright);
      stroke-width: 2;
    }
    .soft {
      fill: var(--art-bright);
    }
    .hard {
      fill: var(--art-warm);
    }
    .fan {
      fill: var(--art-grey);
      fill-opacity: 0.25;
    }
    .range {
      fill: none;
      stroke: var(--art-grey);
      stroke-dasharray: 3 3;
    }
  `,
})
export class ViewArt {
  readonly view = input.required<View>();
  protected readonly fishes = [
    { x: 38, y: 34 },
    { x: 96, y: 52 },
    { x: 150, y: 28 },
    { x: 172, y: 60 },
  ];
}
