import { ChangeDetectionStrategy, Component, computed, linkedSignal, signal } from '@angular/core';
import {
  answerOf,
  formatFigure,
  markStrengths,
  moveInParts,
  sectionAt,
  targetArea,
  type MarkStrength,
} from '@grey-keel/core';
import * as z from 'zod';
import { ChoiceField, type Choice } from '../../shared/choice-field.ts';
import { ComputedNumber } from '../../shared/computed-number.ts';
import { FigurePipe } from '../../shared/figure-pipe.ts';
import { QuantityField } from '../../shared/quantity-field.ts';
import { openBoat } from '../open-boat.ts';
import { MarkPlan, type PlanBeam } from './mark-plan.ts';
import { seriesVariable } from '../../shared/series.ts';

type Shown = MarkStrength | 'not asked';

const shownWords: Readonly<Record<Shown, string>> = {
  strong: 'strong',
  weak: 'weak, at its edge',
  none: 'not at all',
  'not asked': 'not looked at',
};

/** Which beams show a mark and how strong: where it must be, and the least move that brings a transducer over it. */
@Component({
  selector: 'gk-mark-view',
  imports: [ChoiceField, ComputedNumber, FigurePipe, MarkPlan, QuantityField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section class="sheet" aria-labelledby="mark-title">
      <h2 id="mark-title">Where is the mark?</h2>
      @if (beams().length) {
        <div class="two">
          <gk-mark-plan
            [boat]="plan().boat"
            [beams]="drawn()"
            [depthM]="belowM()"
            [units]="units()"
            [polygons]="answer()?.polygons ?? []"
            [move]="arrow()"
          />
          <div>
            <p class="small faint">For each beam, say how it shows the mark.</p>
            @for (beam of beams(); track beam.id; let i = $index) {
              <div class="beam">
                <span class="swatch" [style.background]="beam.colour" aria-hidden="true"></span>
                <gk-choice-field
                  [label]="beam.name + ', ' + beam.beamwidthDeg.toFixed(0) + '°'"
                  [fieldId]="'shows-' + beam.id"
                  [value]="beam.shows"
                  [choices]="choices"
                  (changed)="say(beam.id, $event)"
                />
              </div>
            }
            <div class="fields">
              <gk-quantity-field
                label="Depth of the mark"
                fieldId="mark-depth"
                quantity="depth"
                [decimals]="1"
                [value]="depthM()"
                [schema]="depths"
                (changed)="depthM.set($event ?? depthM())"
              />
              <gk-quantity-field
                label="Heading, true"
                fieldId="mark-heading"
                quantity="angle"
                [decimals]="0"
                [value]="headingDeg()"
                [schema]="headings"
                (changed)="headingDeg.set($event ?? 0)"
              />
            </div>
            <div role="status">
              @if (answer(); as it) {
                @for (flag of it.flags; track flag) {
                  <p class="lost">{{ flag }}</p>
                }
                @if (it.moveM !== null) {
                  @if (it.moveM < 0.05) {
                    <p class="move">It may be right below {{ over()?.name }}.</p>
                  } @else {
                    <p class="move">
                      Move
                      <gk-number
                        of="Least distance to move"
                        [value]="it.moveM"
                        quantity="length"
                        [decimals]="1"
                        [steps]="it.working"
                      />, {{ boatLengths(it.moveM) }}
                    </p>
                    @if (it.bearingDeg !== null) {
                      <p>{{ wayThere() }}</p>
                    } @else {
                      <p>
                        <strong>Direction unknown</strong>: it may lie on any side. Run a circle of
                        {{ (it.moveM + (it.farthestM ?? it.moveM)) / 2 | figure: 'length' : units() : oneDecimal }}
                        round here, or look with {{ other() }}.
                      </p>
                    }
                  }
                  <p class="small faint">
                    {{ it.bearingDeg === null ? 'So far off at the least from' : 'That is the least that brings' }}
                    {{ over()?.name }}{{ it.bearingDeg === null ? '' : ' over it' }}; the farthest it can be is
                    {{ it.farthestM | figure: 'length' : units() : oneDecimal }}. It lies in
                    {{ it.areaM2 | figure: 'area' : units() : { decimals: 0 } }} of water, hatched.
                  </p>
                }
              } @else {
                <p class="faint">Say for at least one beam how it shows the mark.</p>
              }
            </div>
          </div>
        </div>
      } @else {
        <p>There is no sounder aboard yet: choose one under "advice" or from the catalogue under "section".</p>
      }
    </section>
  `,
  styles: `
    .two {
      display: grid;
      grid-template-columns: minmax(0, 3fr) minmax(280px, 2fr);
      gap: 18px;
    }
    .beam {
      display: grid;
      grid-template-columns: 18px minmax(0, 1fr);
      align-items: center;
      margin-bottom: 8px;
    }
    .swatch {
      width: 11px;
      height: 11px;
    }
    .move {
      font-size: 18px;
      font-weight: 700;
    }
    .lost {
      color: var(--check);
      font-weight: 700;
    }
    @media (max-width: 760px) {
      .two {
        grid-template-columns: minmax(0, 1fr);
      }
    }
  `,
})
export class MarkView {
  private readonly open = openBoat();
  protected readonly plan = this.open.plan;
  protected readonly units = this.open.units;
  protected readonly oneDecimal = { decimals: 1 };
  protected readonly depths = z.number().min(0.5).max(2000);
  protected readonly headings = z.number().min(0).max(360);
  protected readonly choices: Choice<Shown>[] = ([...markStrengths, 'not asked'] as const).map((value) => ({
    value,
    label: shownWords[value],
  }));
  protected readonly headingDeg = signal(0);
  protected readonly depthM = linkedSignal(() => Math.round(7 * this.plan().working.depthM) / 10);
  private readonly said = signal<Readonly<Record<string, Shown>>>({});

  protected readonly beams = computed(() => {
    const section = sectionAt(this.plan(), this.plan().working.depthM);
    const sounders = section.beams.flatMap((beam, series) => (beam.kind === 'sounder' ? [{ beam, series }] : []));
    return sounders.map(({ beam, series }) => ({
      id: beam.id,
      name: beam.transducer.name,
      colour: seriesVariable(series),
      beamwidthDeg: beam.cone.acrossDeg,
      faceM: beam.faceM,
      atM: [beam.transducer.forwardM, beam.transducer.starboardM] as [number, number],
      // Nothing is taken for granted: what nobody looked at says nothing.
      shows: this.said()[beam.id] ?? 'not asked',
    }));
  });
  protected readonly drawn = computed((): PlanBeam[] =>
    this.beams().map(({ shows, ...beam }) => ({ ...beam, quiet: shows === 'not asked' })),
  );
  /** The narrowest: the one that says "below" most surely. */
  protected readonly over = computed(() =>
    this.beams().reduce<ReturnType<typeof this.beams>[number] | null>(
      (best, one) => (best && best.beamwidthDeg <= one.beamwidthDeg ? best : one),
      null,
    ),
  );
  protected readonly belowM = computed(() => Math.max(0.1, this.depthM() - (this.over()?.faceM ?? 0)));

  protected readonly answer = computed(() => {
    const over = this.over();
    const asked = this.beams().flatMap(({ shows, beamwidthDeg, atM }) =>
      shows === 'not asked' ? [] : [{ beamwidthDeg, atM, shows }],
    );
    return over && asked.length
      ? answerOf(targetArea, {
          beams: asked,
          depthM: this.belowM(),
          fromAtM: over.atM,
          headingDeg: this.headingDeg(),
        })
      : null;
  });
  /** A beam that was not looked with yet, to tell the sides apart; the same ones from another place where all were. */
  protected readonly other = computed(
    () => this.beams().find(({ shows }) => shows === 'not asked')?.name ?? 'the same beams from a boat length aside',
  );
  /** "1.7 m astern and 0.5 m to starboard, towards 163° true". */
  protected readonly wayThere = computed(() => {
    const { moveForwardM, moveStarboardM, bearingDeg } = this.answer() ?? {};
    const units = this.units();
    const parts = moveInParts(moveForwardM ?? 0, moveStarboardM ?? 0).map(
      ({ metres, towards }) =>
        `${formatFigure({ value: metres, quantity: 'length' }, units, { decimals: 1 })} ${towards}`,
    );
    const bearing = formatFigure({ value: bearingDeg ?? 0, quantity: 'angle' }, units, { decimals: 0 });
    const width = this.answer()?.directionWidthDeg ?? 0;
    const wide = formatFigure({ value: width / 2, quantity: 'angle' }, units, { decimals: 0 });
    return `${parts.join(' and ')}, towards ${bearing} true, plus or minus ${wide}`;
  });
  protected readonly arrow = computed(() => {
    const over = this.over();
    const { moveM, moveForwardM, moveStarboardM } = this.answer() ?? {};
    if (!over || !moveM || moveForwardM == null || moveStarboardM == null) return null;
    const [forwardM, starboardM] = over.atM;
    return {
      from: { forwardM, starboardM },
      to: { forwardM: forwardM + moveForwardM, starboardM: starboardM + moveStarboardM },
    };
  });

  protected boatLengths(metres: number): string {
    const lengths = metres / (this.plan().boat.lengthM ?? 6);
    return `${lengths.toFixed(1)} boat lengths`;
  }

  protected say(id: string, shown: Shown): void {
    this.said.update((before) => ({ ...before, [id]: shown }));
  }
}
