import { ChangeDetectionStrategy, Component, computed, effect, inject, signal, untracked } from '@angular/core';
import { type PlacedAs, placeEdits, type ToPlace } from '@grey-keel/core';
import type { Target } from '@grey-keel/model';
import { GoTo } from '../../shared/go-to.ts';
import { StageTabs } from '../../shared/stage-tabs.ts';
import { newId } from '../../state/open-plan.ts';
import { openBoat } from '../open-boat.ts';
import { AdviceView } from './advice-view.ts';
import { ConeOrFrequencyView } from './cone-or-frequency-view.ts';
import { DrillFrame } from '../../shared/drill/drill-frame.ts';
import { beamsDrill } from './drill/beams-drill.ts';
import { MarkView } from './mark-view.ts';
import { DetectionRangeView } from './detection-range-view.ts';
import { SceneView } from './scene-view.ts';
import { ShoppingView } from './shopping-view.ts';
import { SpeedView } from './speed-view.ts';
import { TransducerEditor } from './transducer-editor.ts';
import { CatalogueSection } from './catalogue-section.ts';
import { SectionTab } from './section-tab.ts';
import { beamsGroups, beamsTabs, type BeamsTab } from './views.ts';

/** The ways of looking at the choice of transducers. */
@Component({
  selector: 'gk-beams-page',
  imports: [
    AdviceView,
    ConeOrFrequencyView,
    DetectionRangeView,
    SceneView,
    SpeedView,
    DrillFrame,
    MarkView,
    ShoppingView,
    StageTabs,
    TransducerEditor,
    CatalogueSection,
    SectionTab,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <gk-stage-tabs label="Ways of looking at the beams" [views]="views" [begins]="begins" [(chosen)]="view">
      @switch (view()) {
        @case ('advice') {
          <gk-advice-view (placed)="choose($event)" />
        }
        @case ('fish and slope') {
          <gk-scene-view />
        }
        @case ('where is it') {
          <gk-mark-view />
        }
        @case ('drill') {
          <gk-drill-frame
            [rows]="drill"
            about="Short exercises on this boat in its water: where a mark is, which beam shows a fish, and which frequency covers a range."
            needs="describe the water in the brief, and choose two sounders with different cones"
          />
        }
        @case ('detection range') {
          <gk-detection-range-view />
        }
        @case ('cone or frequency') {
          <gk-cone-or-frequency-view />
        }
        @case ('shopping') {
          <gk-shopping-view />
        }
        @case ('speed') {
          <gk-speed-view />
        }
        @default {
          <gk-section-tab [selected]="selected()" (chose)="select($event)" />

          @if (selectedTransducer(); as chosen) {
            <section class="sheet" [attr.aria-label]="'Change ' + chosen.name">
              <h2>{{ chosen.name }}</h2>
              <gk-transducer-editor [id]="selected()!" [transducer]="chosen" (closed)="selected.set(null)" />
            </section>
          }

          <gk-catalogue-section (placed)="place($event)" />
        }
      }
    </gk-stage-tabs>
    <p class="caution" role="note">
      Never transmit out of the water, or at swimmers and divers. Haul out to drill; the makers' instructions and local
      codes come before this tool.
    </p>
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: minmax(0, 1fr);
      gap: 10px;
    }
  `,
})
export class BeamsPage {
  private readonly open = openBoat();
  private readonly goTo = inject(GoTo);
  protected readonly plan = this.open.plan;
  protected readonly views = beamsTabs;
  protected readonly begins = beamsGroups;
  protected readonly drill = beamsDrill;
  protected readonly view = signal<BeamsTab>(
    // Where nothing is chosen yet, what to choose is what is asked.
    Object.keys(this.plan().transducers).length > 0 ? 'section' : 'advice',
  );
  protected readonly selected = signal<string | null>(null);
  protected readonly selectedTransducer = computed(() => this.plan().transducers[this.selected() ?? ''] ?? null);

  /** Whatever is looked for stands in the section, but for the table of speeds. */
  constructor() {
    effect(() => {
      const target = this.goTo.wanted();
      if (target) untracked(() => this.openFor(target));
    });
  }

  private openFor(target: Target): void {
    if ('action' in target) return this.view.set(target.action === 'show the speeds' ? 'speed' : 'section');
    this.view.set('section');
    // The fields of a transducer are only there while it is open.
    const [part, id] = target.path;
    if (part === 'transducers' && typeof id === 'string' && this.plan().transducers[id]) this.selected.set(id);
  }

  protected select(id: string): void {
    this.selected.update((open) => (open === id ? null : id));
  }

  protected choose(chosen: readonly PlacedAs[]): void {
    this.placeAll('choose', chosen);
    this.view.set('section');
  }

  protected place(toPlace: ToPlace): void {
    const id = newId();
    this.placeAll('place', [{ id, toPlace }]);
    this.selected.set(id);
  }

  private placeAll(verb: string, placed: readonly PlacedAs[]): void {
    const names = placed.map(({ toPlace }) => toPlace.element.name).join(' and ');
    this.open.edits.edit(`${verb} ${names}`, ...placeEdits(this.plan(), placed));
  }
}
