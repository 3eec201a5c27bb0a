import { ChangeDetectionStrategy, Component, computed, DestroyRef, inject } from '@angular/core';
import { formatFigure } from '@grey-keel/core/units';
import type { LiveQuantity } from '@grey-keel/model';
import { Store } from '@ngrx/store';
import { PressButton } from '../shared/press-button.ts';
import { selectUnitChoice } from '../state/view.ts';
import { instrumentEvents, selectInstruments, selectLinked, selectListened } from './instruments.ts';
import { LiveSamples } from './live-samples.ts';
import { quantityWords, stripQuantities } from './quantity-words.ts';

/** Older than so a value is no longer what the instrument shows. */
const oldS = 4;

/** What the instruments show now, along the top: each with who says it; hatched once it is old. */
@Component({
  selector: 'gk-instrument-strip',
  imports: [PressButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="values" role="group" aria-label="Instruments now">
      @for (one of shown(); track one.quantity) {
        <span class="one" [class.is-missing]="one.old" [attr.data-live]="one.quantity">
          <span class="small faint">{{ one.short }}</span>
          <strong class="mono">{{ one.text }}</strong>
          <span class="small faint">{{ one.from }}</span>
        </span>
      } @empty {
        <span class="none">{{ none() }}</span>
      }
      @for (one of waiting(); track one.id) {
        <span class="waits" role="status">{{ one.words }}</span>
      }
    </div>
    <button type="button" pButton severity="secondary" id="instruments" (click)="store.dispatch(toggled)">
      Instruments
    </button>
  `,
  styles: `
    :host {
      display: flex;
      align-items: center;
      gap: 8px;
      background: var(--sheet);
      border: var(--hairline) solid var(--rule);
      padding: 4px 8px;
      contain: layout style;
    }
    .values {
      flex: 1 1 auto;
      display: flex;
      flex-wrap: wrap;
      gap: 2px 6px;
      min-width: 0;
    }
    .one {
      display: grid;
      min-width: 84px;
      padding: 2px 4px;
      line-height: 1.2;
    }
    .one strong {
      background: var(--sheet);
    }
    .waits {
      align-self: center;
      color: var(--check);
    }
    .none {
      align-self: center;
      color: var(--faint);
    }
  `,
})
export class InstrumentStrip {
  protected readonly store = inject(Store);
  private readonly live = inject(LiveSamples);
  private readonly units = this.store.selectSignal(selectUnitChoice);
  private readonly listened = this.store.selectSignal(selectListened);
  private readonly instruments = this.store.selectSignal(selectInstruments);
  private readonly linked = this.store.selectSignal(selectLinked);
  protected readonly toggled = instrumentEvents.panelToggled();

  constructor() {
    inject(DestroyRef).onDestroy(this.live.listen());
  }

  protected readonly shown = computed(() => {
    this.live.beat();
    const nowS = this.live.nowS();
    const names = new Map(this.instruments().sources.map(({ id, name }) => [id, name]));
    return stripQuantities.flatMap((quantity: LiveQuantity) => {
      const channel = this.listened()[quantity];
      const samples = this.live.of(channel?.id);
      const newest = samples[samples.length - 1];
      if (!channel || !newest) return [];
      const { short, quantity: measures } = quantityWords[quantity];
      const ageS = nowS - newest.atS;
      return [
        {
          quantity,
          short,
          old: ageS > oldS,
          text: formatFigure({ value: newest.value, quantity: measures }, this.units(), { decimals: 1 }),
          from:
            ageS > oldS
              ? `${Math.round(ageS)} s ago`
              : `${channel.talker} ${channel.type}${names.size > 1 ? `, ${names.get(channel.sourceId) ?? ''}` : ''}`,
        },
      ];
    });
  });
  protected readonly waiting = computed(() =>
    this.instruments()
      .recordings.filter(({ waitsForRoom }) => waitsForRoom)
      .map(({ id, name, samplesInMemory, dropped }) => ({
        id,
        words: `Recording waits for room: ${samplesInMemory.toLocaleString('en')} values of "${name}" in memory${dropped ? `, ${dropped.toLocaleString('en')} dropped` : ''}. Make room on the server’s disk.`,
      })),
  );
  protected readonly none = computed((): string => {
    const { sources } = this.instruments();
    if (!this.linked()) return 'No link to the server’s instruments; readings can be typed.';
    const [trouble] = sources.filter(({ problem }) => problem !== null);
    if (trouble) return `${trouble.name}: ${trouble.problem ?? ''}`;
    if (sources.some(({ wanted }) => wanted)) return 'Nothing has come in yet.';
    return 'No instruments are open. Readings can be typed, or taken from a gateway or the simulated boat.';
  });
}
