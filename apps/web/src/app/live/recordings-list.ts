import { DatePipe, DecimalPipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import type { RecordingState } from '@grey-keel/model';
import { Store } from '@ngrx/store';
import { Message } from 'primeng/message';
import { ProgressBar } from 'primeng/progressbar';
import { FileButton } from '../shared/file-button.ts';
import { PressButton } from '../shared/press-button.ts';
import { type Told, ToastLine } from '../shared/toast.ts';
import { selectInstruments } from './instruments.ts';
import { Recordings } from './recordings.ts';

const timesIn: Readonly<Record<string, string>> = {
  tags: 'times in front of its lines',
  clock: 'times from the clock in it',
  arrival: 'times as it came in',
  assumed: 'no times in it: ten sentences a second assumed',
};

const stateWords: Readonly<Record<RecordingState, string>> = {
  queued: 'waits for its turn',
  importing: 'being taken in',
  recording: 'under way',
  'waiting for room': 'ended; waits for room on the disk',
  ready: '',
};

/** The recordings: taken in from a file, made of what comes in now, handed out, deleted and had back. */
@Component({
  selector: 'gk-recordings-list',
  imports: [DatePipe, DecimalPipe, FileButton, Message, PressButton, ProgressBar, ToastLine],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h3>Recordings</h3>
    <div class="row">
      <gk-file-button label="Take in a log" fieldId="take-log" accept=".nmea,.log,.txt" (chosen)="take($event)" />
      @if (underWay(); as one) {
        <button type="button" pButton id="stop-recording" (click)="recordings.stop(one.id)">Stop recording</button>
      } @else {
        <button
          type="button"
          pButton
          severity="secondary"
          id="record"
          [disabled]="!speaks()"
          (click)="recordings.record(nameNow())"
        >
          Record what comes in
        </button>
      }
    </div>
    @if (recordings.share() !== null) {
      <div class="row" role="status">
        <p-progressbar class="bar" [value]="percent()" [showValue]="false" ariaLabel="How far the log is taken in" />
        <span class="mono small">{{ percent() }} %</span>
        @if (recordings.queued()) {
          <span class="small">waits for its turn: two logs are being taken in</span>
        }
        <button type="button" pButton severity="secondary" id="cancel-log" (click)="recordings.cancel()">Cancel</button>
      </div>
    }
    @if (recordings.problem(); as words) {
      <p-message severity="error">{{ words }}</p-message>
    }
    @for (one of recordings.list(); track one.id) {
      <section class="one" [attr.data-recording]="one.id" [attr.aria-label]="one.name">
        <strong>{{ one.name }}</strong>
        @if (stateWords[one.state]; as words) {
          <span class="small check">{{ words }}</span>
        }
        @if (one.simulated) {
          <span class="small check">simulated</span>
        }
        <p class="small">
          {{ one.startedAt ? (one.startedAt | date: 'yyyy-MM-dd HH:mm') : 'without a date' }},
          <span class="mono">{{ one.lastedS / 60 | number: '1.1-1' }}</span> min,
          <span class="mono">{{ one.sentences | number }}</span> sentences,
          <span class="mono">{{ one.bytes / 1e6 | number: '1.1-1' }}</span> MB; {{ times(one.timesKnown) }}
          @if (one.wrongChecksum || one.noSentence) {
            ; left out: {{ one.wrongChecksum }} with a wrong checksum, {{ one.noSentence }} no sentence
          }
          @if (one.badTimes; as count) {
            ({{ count === 1 ? 'one time is none' : (count | number) + ' times are none' }}, taken as no time)
          }
        </p>
        @for (gap of one.gaps; track gap.fromS) {
          <p class="small">
            Gap from <span class="mono">{{ gap.fromS / 60 | number: '1.1-1' }}</span> to
            <span class="mono">{{ gap.toS / 60 | number: '1.1-1' }}</span> min:
            <span class="mono">{{ gap.samples | number }}</span> values dropped, for the disk and the memory were full.
          </p>
        }
        <div class="row">
          @for (format of formats; track format) {
            <a
              [href]="'api/recordings/' + one.id + '/export.' + format"
              download
              [attr.aria-label]="one.name + ' as ' + format"
              >{{ format.toUpperCase() }}</a
            >
          }
          <button type="button" pButton text (click)="recordings.remove(one)">Delete {{ one.name }}</button>
        </div>
      </section>
    } @empty {
      <p class="small faint">None yet. A day of a boat is about sixty megabytes as a log.</p>
    }
    <gk-toast [told]="told()" (undone)="recordings.undo()" (closed)="recordings.deleted.set(null)" />
  `,
  styles: `
    :host {
      display: grid;
      gap: 8px;
      padding: 10px 0;
    }
    .one {
      border-top: var(--hairline) solid var(--rule);
      padding: 6px 0;
    }
    .bar {
      flex: 1 1 120px;
      align-self: center;
    }
    .row a {
      min-height: var(--touch);
      min-width: var(--touch);
      display: inline-flex;
      align-items: center;
      justify-content: center;
    }
    .check {
      margin-left: 8px;
      color: var(--check);
    }
  `,
})
export class RecordingsList {
  protected readonly recordings = inject(Recordings);
  private readonly instruments = inject(Store).selectSignal(selectInstruments);
  protected readonly formats = ['nmea', 'csv', 'gpx'] as const;
  protected readonly stateWords = stateWords;
  protected readonly underWay = computed(() => this.recordings.list().find(({ state }) => state === 'recording'));
  protected readonly speaks = computed(() => this.instruments().sources.some(({ wanted }) => wanted));
  protected readonly percent = computed(() => Math.round(100 * (this.recordings.share() ?? 0)));
  protected readonly told = computed((): Told | null => {
    const deleted = this.recordings.deleted();
    return deleted ? { text: `${deleted.name} deleted.`, bad: false, undo: true } : null;
  });

  constructor() {
    this.recordings.refresh();
  }

  protected take([file]: readonly File[]): void {
    if (file) this.recordings.takeIn(file);
  }

  protected times(known: string): string {
    return timesIn[known] ?? '';
  }

  protected nameNow(): string {
    const names = this.instruments()
      .sources.filter(({ wanted }) => wanted)
      .map(({ name }) => name);
    return `${names.join(', ')}, ${new Date().toISOString().slice(0, 16).replace('T', ' ')}`.slice(0, 80);
  }
}
