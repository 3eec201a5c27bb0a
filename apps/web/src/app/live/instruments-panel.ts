import { DecimalPipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal } from '@angular/core';
import {
  type Connection,
  connectionSchema,
  type LiveQuantity,
  liveQuantities,
  nameSchema,
  type SourceStatus,
} from '@grey-keel/model';
import { Store } from '@ngrx/store';
import { Drawer } from 'primeng/drawer';
import { Message } from 'primeng/message';
import * as z from 'zod';
import { type Choice, ChoiceField, choicesOf } from '../shared/choice-field.ts';
import { PressButton } from '../shared/press-button.ts';
import { TextField } from '../shared/text-field.ts';
import { newId } from '../state/open-plan.ts';
import { InstrumentDoors } from './instrument-doors.ts';
import { instrumentEvents, selectInstruments, selectListened, selectPanelOpen } from './instruments.ts';
import { RecordingsList } from './recordings-list.ts';
import { quantityWords } from './quantity-words.ts';

const ways = ['a gateway that is called (TCP)', 'a port that is listened to (UDP)', 'the simulated boat'] as const;
type WayIn = (typeof ways)[number];

/** The instruments: the sources with how much comes and what is wrong with it, and which channel is listened to for what. */
@Component({
  selector: 'gk-instruments-panel',
  imports: [ChoiceField, DecimalPipe, Drawer, Message, PressButton, RecordingsList, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p-drawer
      header="Instruments"
      position="right"
      appendTo="self"
      ariaCloseLabel="Close"
      [modal]="false"
      [dismissible]="false"
      [visible]="open()"
      (visibleChange)="$event === open() || store.dispatch(toggled)"
      [style]="{ width: 'min(520px, 100vw)' }"
    >
      @for (one of now().sources; track one.id) {
        <section class="source" [attr.data-source]="one.id" [attr.aria-label]="one.name">
          <div class="row">
            <strong>{{ one.name }}</strong>
            <span class="small state" [class.good]="one.state === 'open'">{{ one.state }}</span>
          </div>
          <p class="small faint mono">{{ where(one) }}</p>
          @if (one.problem; as problem) {
            <p-message severity="warn">{{ problem }} It is tried again by itself.</p-message>
          }
          <p class="small">
            <span class="mono">{{ one.perSecond | number: '1.1-1' }}</span> sentences a second,
            <span class="mono">{{ one.sentences }}</span> in all;
            <span class="mono" [class.bad]="one.wrongChecksum > 0">{{ one.wrongChecksum }}</span> with a wrong checksum,
            <span class="mono">{{ one.noSentence }}</span> no sentence, <span class="mono">{{ one.notRead }}</span> not
            read
          </p>
          @if (one.simulated) {
            <p class="small check">Simulated: its readings are taken on practice copies alone.</p>
          }
          <div class="row">
            <button type="button" pButton severity="secondary" (click)="doors.open(one.id, !one.wanted)">
              {{ one.wanted ? 'Close' : 'Open' }} {{ one.name }}
            </button>
            <button type="button" pButton text (click)="doors.remove(one.id)">Delete {{ one.name }}</button>
          </div>
        </section>
      } @empty {
        <p>No source yet. Nothing is looked for by itself: give the address your gateway’s manual says.</p>
      }

      <form class="add" (submit)="$event.preventDefault(); add()">
        <h3>Add a source</h3>
        <gk-choice-field
          label="Sentences come from"
          fieldId="source-way"
          [value]="way()"
          [choices]="ways"
          (changed)="way.set($event)"
        />
        <gk-text-field
          label="Name"
          fieldId="source-name"
          [value]="name()"
          [schema]="nameSchema"
          (changed)="name.set($event)"
        />
        @if (way() === ways[0]?.value) {
          <gk-text-field
            label="Address, such as 192.168.1.20"
            fieldId="source-address"
            [value]="address()"
            [schema]="anyText"
            (changed)="address.set($event)"
          />
        }
        @if (way() === ways[2]?.value) {
          <gk-text-field
            label="Which sea and boat, a number"
            fieldId="source-seed"
            [value]="seed()"
            [schema]="anyText"
            (changed)="seed.set($event)"
          />
          <gk-choice-field
            label="Its time runs so many times as fast"
            fieldId="source-pace"
            [value]="pace()"
            [choices]="paces"
            (changed)="pace.set($event)"
          />
        } @else {
          <gk-text-field
            label="Port"
            fieldId="source-port"
            [value]="port()"
            [schema]="anyText"
            (changed)="port.set($event)"
          />
        }
        @if (way() === ways[1]?.value) {
          <p class="small">
            This port listens while it is open; nothing is sent from it. Any machine of the boat’s network can speak to
            it.
          </p>
        }
        @if (problem(); as words) {
          <p-message severity="error">{{ words }}</p-message>
        }
        <button type="submit" pButton id="add-source" [disabled]="doors.adding()">Add and open it</button>
      </form>

      @if (choices().length) {
        <h3>Which is listened to</h3>
        <div class="fields">
          @for (one of choices(); track one.quantity) {
            <gk-choice-field
              [label]="one.label"
              [fieldId]="'listen-' + one.quantity"
              [value]="one.value"
              [choices]="one.choices"
              (changed)="choose(one.quantity, $event)"
            />
          }
        </div>
      }
      @if (open()) {
        <gk-recordings-list />
      }
      @if (now().simulator; as simulator) {
        <p class="small faint">
          The simulated boat can be heard by other programs of this machine:
          <span class="mono">{{ simulator.address }}:{{ simulator.tcpPort }}</span> (TCP),
          <span class="mono">{{ simulator.udpPort }}</span> (UDP).
        </p>
      }
    </p-drawer>
  `,
  styles: `
    .source {
      border-bottom: var(--hairline) solid var(--rule);
      padding: 8px 0;
      display: grid;
      gap: 4px;
    }
    .state.good {
      color: var(--fresh);
    }
    .bad,
    .check {
      color: var(--check);
    }
    .add {
      display: grid;
      gap: 8px;
      padding: 10px 0;
    }
  `,
})
export class InstrumentsPanel {
  protected readonly store = inject(Store);
  protected readonly doors = inject(InstrumentDoors);
  protected readonly open = this.store.selectSignal(selectPanelOpen);
  protected readonly now = this.store.selectSignal(selectInstruments);
  private readonly listened = this.store.selectSignal(selectListened);
  protected readonly toggled = instrumentEvents.panelToggled();
  protected readonly ways: readonly Choice<WayIn>[] = choicesOf(ways);
  protected readonly nameSchema = nameSchema;
  /** Checked as a whole when it is added. */
  protected readonly anyText = z.string().max(60);
  protected readonly way = signal<WayIn>('the simulated boat');
  protected readonly name = signal('');
  protected readonly address = signal('');
  protected readonly port = signal('10110');
  protected readonly seed = signal('1');
  protected readonly paces = choicesOf(['1', '2', '5', '10'] as const);
  protected readonly pace = signal<'1' | '2' | '5' | '10'>('1');
  protected readonly problem = linkedSignal(() => this.doors.problem());

  /** Quantities that several channels speak of. */
  protected readonly choices = computed(() =>
    liveQuantities.flatMap((quantity) => {
      const channels = this.now().channels.filter((one) => one.quantity === quantity);
      if (channels.length < 2) return [];
      const names = new Map(this.now().sources.map(({ id, name }) => [id, name]));
      return [
        {
          quantity,
          label: quantityWords[quantity].label,
          value: String(this.listened()[quantity]?.id ?? ''),
          choices: channels.map(({ id, talker, type, sourceId }) => ({
            value: String(id),
            label: `${talker} ${type}, ${names.get(sourceId) ?? ''}`,
          })),
        },
      ];
    }),
  );

  protected where({ connection }: SourceStatus): string {
    if (connection.by === 'tcp') return `${connection.address}:${connection.port}, TCP`;
    return connection.by === 'udp'
      ? `port ${connection.port}, UDP, listens`
      : `simulated boat ${connection.seed}, time ${connection.pace} times as fast`;
  }

  protected choose(quantity: LiveQuantity, channel: string): void {
    this.store.dispatch(instrumentEvents.channelChosen({ quantity, channel: Number(channel) }));
  }

  protected add(): void {
    const [tcp, udp] = ways;
    const wanted: unknown =
      this.way() === tcp
        ? { by: 'tcp', address: this.address().trim(), port: Number(this.port()) }
        : this.way() === udp
          ? { by: 'udp', port: Number(this.port()) }
          : { by: 'simulated boat', seed: Number(this.seed()), pace: Number(this.pace()) };
    const connection = connectionSchema.safeParse(wanted);
    if (!connection.success) return this.problem.set(connection.error.issues[0]?.message ?? 'That cannot be opened.');
    const name = this.name().trim() || usualName(connection.data);
    this.doors.put(newId(), { name, connection: connection.data });
  }
}

const usualName = (connection: Connection): string =>
  connection.by === 'tcp' ? 'Gateway' : connection.by === 'udp' ? `Port ${connection.port}` : 'Simulated boat';
