import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { sceneAt, type WhichBeamAnswer, type WhichBeamQuestion } from '@grey-keel/core';
import type { Asked } from '../../../shared/drill/drill-row.ts';
import { FigurePipe } from '../../../shared/figure-pipe.ts';
import { openBoat } from '../../open-boat.ts';
import { FishSection, type FishMoved } from '../fish-section.ts';

/** Which beam shows a fish, asked in the section through the water. */
@Component({
  selector: 'gk-which-beam-view',
  imports: [FigurePipe, FishSection],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="question">
      Move the fish of {{ it().lengthCm | figure: 'fishLength' : units() }} to where
      <strong>{{ it().shows.name }}</strong> shows it in its cone and <strong>{{ it().silent.name }}</strong> does not.
    </p>
    @if (scene(); as made) {
      <gk-fish-section
        [plan]="asked().plan"
        [depthM]="it().depthM"
        [units]="units()"
        [fish]="fish()"
        [scene]="made"
        [tells]="asked().score() !== null"
        (moved)="move($event)"
      />
    }
  `,
  styles: `
    .question {
      font-size: 17px;
    }
  `,
})
export class WhichBeamView {
  readonly asked = input.required<Asked<WhichBeamQuestion, WhichBeamAnswer>>();
  protected readonly units = openBoat().units;
  protected readonly it = computed(() => this.asked().question);
  protected readonly fish = computed(() => ({
    fish: { lengthCm: this.it().lengthCm, forwardM: 0, ...this.asked().answer() },
  }));
  protected readonly scene = computed(() => sceneAt(this.asked().plan, this.it().depthM, this.fish()));

  protected move({ starboardM, depthM }: FishMoved): void {
    if (!this.asked().score()) this.asked().answer.set({ starboardM, depthM });
  }
}
