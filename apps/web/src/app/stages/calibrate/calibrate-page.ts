import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  type ElementRef,
  inject,
  linkedSignal,
  untracked,
  viewChild,
} from '@angular/core';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { HelmPanel } from '../../live/helm-panel.ts';
import { InstrumentStrip } from '../../live/instrument-strip.ts';
import { InstrumentsPanel } from '../../live/instruments-panel.ts';
import { AddressParts } from '../../shared/address-parts.ts';
import { DrillFrame } from '../../shared/drill/drill-frame.ts';
import { GoTo } from '../../shared/go-to.ts';
import { Wide } from '../../shared/wide.ts';
import { selectFindings } from '../../state/plan.selectors.ts';
import { openBoat } from '../open-boat.ts';
import { CalibratedList, drillKey } from './calibrated-list.ts';
import { calibrationSubjects, mostPressing, subjectAt } from './calibration-subjects.ts';
import { DepthProcedure } from './depth-procedure.ts';
import { calibrateDrill } from './drill/calibrate-drill.ts';
import { SensorProcedure } from './sensor-procedure.ts';

@Component({
  selector: 'gk-calibrate-page',
  imports: [
    CalibratedList,
    DepthProcedure,
    DrillFrame,
    HelmPanel,
    InstrumentsPanel,
    InstrumentStrip,
    RouterLink,
    SensorProcedure,
    Wide,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (subjects().length === 0) {
      <section class="sheet">
        <p>
          There is nothing aboard that gives a depth, a speed, a temperature or a heading, so there is none to
          calibrate.
        </p>
        <p><a routerLink="../beams">Choose transducers first</a></p>
      </section>
    } @else {
      <gk-instrument-strip class="strip" />
      <gk-calibrated-list
        class="sheet"
        gkWide
        role="region"
        aria-label="What is calibrated"
        [subjects]="subjects()"
        [chosen]="key()"
        (choose)="choose($event)"
      />

      <div class="work" #work>
        <gk-helm-panel />
        @if (drilling()) {
          <gk-drill-frame
            [rows]="drill"
            about="A boat whose instruments are off by what is not told: find it from as few runs as it takes."
            needs="open a boat"
          />
        } @else if (chosen(); as one) {
          @if (one.kind === 'depth') {
            <gk-depth-procedure [transducerId]="one.id" />
          } @else {
            <gk-sensor-procedure [kind]="one.kind" [sensorId]="one.id" />
          }
        }
      </div>
      <gk-instruments-panel />
    }
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: 200px minmax(0, 1fr);
      gap: 10px;
    }
    .strip {
      grid-column: 1 / -1;
    }
    .work {
      display: grid;
      gap: 10px;
      align-content: start;
      min-width: 0;
    }
    @media (max-width: 1100px) {
      :host {
        grid-template-columns: minmax(0, 1fr);
      }
    }
  `,
})
export class CalibratePage {
  private readonly open = openBoat();
  private readonly address = inject(AddressParts);
  private readonly work = viewChild<ElementRef<HTMLElement>>('work');
  private readonly found = inject(Store).selectSignal(selectFindings);

  protected readonly subjects = computed(() => calibrationSubjects(this.open.plan()));
  /** The most pressing, as it was when the stage was opened: it does not change under the hand. */
  private readonly first = linkedSignal<string[], string>({
    source: computed(() => this.subjects().map(({ key }) => key), { equal: (a, b) => a.join() === b.join() }),
    computation: (keys, before) => (before && keys.includes(before.value) ? before.value : this.mostPressing()),
  });
  private readonly wanted = linkedSignal(() => this.address.part('of'));
  /** The one looked at. */
  protected readonly key = computed(() => {
    const wanted = this.wanted();
    return wanted !== null && this.shows(wanted) ? wanted : this.first();
  });
  protected readonly drill = calibrateDrill;
  protected readonly drilling = computed(() => this.key() === drillKey);
  protected readonly chosen = computed(() => this.subjects().find(({ key }) => key === this.key()) ?? null);

  constructor() {
    const goTo = inject(GoTo);
    // A fix leads to one sensor's field: its procedure is shown before its field is looked for.
    effect(() => {
      const target = goTo.wanted();
      const key = target && 'path' in target ? subjectAt(target.path) : null;
      if (key !== null && this.shows(key)) untracked(() => this.choose(key));
    });
  }

  protected choose(key: string): void {
    this.wanted.set(key);
    this.address.set('of', key);
    // What was scrolled away of the one before is no beginning of the next.
    const work = this.work()?.nativeElement;
    const sheet = work?.closest('main');
    if (work && sheet && work.getBoundingClientRect().top < sheet.getBoundingClientRect().top)
      work.scrollIntoView({ block: 'start' });
  }

  private shows(key: string): boolean {
    return key === drillKey || this.subjects().some((one) => one.key === key);
  }

  private mostPressing(): string {
    const stops = untracked(this.found).filter(({ stage, severity }) => stage === 'calibrate' && severity === 'stop');
    return mostPressing(
      this.subjects(),
      stops.flatMap(({ of }) => of),
    );
  }
}
