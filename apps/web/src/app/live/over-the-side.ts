import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import type { Sentence } from '@grey-keel/model';
import { Store } from '@ngrx/store';
import { SentencePipe } from '../shared/figure-pipe.ts';
import { PressButton } from '../shared/press-button.ts';
import { selectUnitChoice } from '../state/view.ts';
import { InstrumentDoors } from './instrument-doors.ts';

/** What a person aboard the simulated boat reads by lead line, thermometer, eye and plumb line, at the moment of the press. */
@Component({
  selector: 'gk-over-the-side',
  imports: [PressButton, SentencePipe],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <button type="button" pButton severity="secondary" id="look-over" (click)="doors.lookOverTheSide()">
      {{ doors.overTheSide() ? 'Look again' : 'Look now' }}
    </button>
    <dl>
      @for (line of lines(); track line.word) {
        <div [attr.data-seen]="line.word">
          <dt class="small faint">{{ line.word }}</dt>
          <dd class="mono">{{ line.says | sentence: units() }}</dd>
        </div>
      }
    </dl>
  `,
  styles: `
    dl {
      margin: 8px 0 0;
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(210px, 1fr));
      gap: 4px 14px;
    }
    dd {
      margin: 0;
    }
  `,
})
export class OverTheSidePanel {
  protected readonly doors = inject(InstrumentDoors);
  protected readonly units = inject(Store).selectSignal(selectUnitChoice);

  protected readonly lines = computed((): { readonly word: string; readonly says: Sentence }[] => {
    const it = this.doors.overTheSide();
    if (!it) return [];
    const length = (value: number) => ({ value, quantity: 'length' as const });
    const angle = (value: number) => ({ value, quantity: 'angle' as const });
    const { buoy, bank, battery, sinker } = it;
    return [
      { word: 'lead line', says: ['', { value: it.leadLineM, quantity: 'depth' }] },
      { word: 'second unit shows', says: ['', { value: it.secondDepthM, quantity: 'depth' }] },
      {
        word: 'thermometer and salt',
        says: [
          '',
          { value: it.thermometerC, quantity: 'temperature' },
          ', ',
          { value: it.salinityPpt, quantity: 'salinity' },
        ],
      },
      {
        word: 'heading, by a far mark',
        says: ['', angle(it.headingDeg), ' true, ', angle(it.magneticDeg), ' magnetic'],
      },
      { word: 'buoy, by eye and tape', says: ['', angle(buoy.offTheBowDeg), ' off the bow, ', length(buoy.distanceM)] },
      {
        word: 'buoy, as the picture has it',
        says: ['', angle(buoy.shownOffTheBowDeg), ' off the bow, ', length(buoy.shownRangeM)],
      },
      {
        word: 'over the bottom: face, buoy’s sinker',
        says: ['', length(buoy.heightM), ', ', length(buoy.targetHeightM)],
      },
      { word: 'bank', says: [`lies to ${bank.side}, drawn to ${bank.shownSide}`] },
      { word: 'plumb line at the pole', says: ['', angle(it.tiltDeg), ' bow up'] },
      {
        word: 'mark over the buoy',
        says: [`${it.buoyMark.latitudeDeg.toFixed(6)}, ${it.buoyMark.longitudeDeg.toFixed(6)}`],
      },
      {
        word: 'battery',
        says: [
          '',
          { value: battery.usedAh, quantity: 'charge' },
          ' taken, ',
          { value: battery.currentA, quantity: 'current' },
          ', ',
          { value: battery.voltsV, quantity: 'voltage' },
        ],
      },
      {
        word: `sinker of ${sinker.sizeCm} cm, lost`,
        says: ['', { value: sinker.lostAtM, quantity: 'depth' }, ' under the face'],
      },
    ];
  });
}
