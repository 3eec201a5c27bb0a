import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import {
  type Device,
  devicesOf,
  diagramOf,
  findingsOf,
  freePlug,
  inOrder,
  networkRules,
  socketOf,
  takesTransducers,
} from '@grey-keel/core';
import {
  backboneSchema,
  type Backbone,
  type Link,
  linkSchema,
  networkDeviceSchema,
  type Socket,
} from '@grey-keel/model';
import { Store } from '@ngrx/store';
import { ChoiceField } from '../../shared/choice-field.ts';
import { QuantityField } from '../../shared/quantity-field.ts';
import { TextField } from '../../shared/text-field.ts';
import { catalogueFeature, catalogueViewEvents } from '../../state/catalogue.ts';
import { openBoat } from '../open-boat.ts';
import { seriesVariable } from '../../shared/series.ts';
import { NetworkDiagram } from './network-diagram.ts';
import { SocketList } from './socket-list.ts';
import { TickField } from '../../shared/tick-field.ts';
import { PlanFields } from '../../shared/plan-fields.ts';
import { Fold } from '../../shared/fold.ts';
import { PressButton } from '../../shared/press-button.ts';

/** The wiring of sonars and sensors: the diagram, and the lists it is made from. */
@Component({
  selector: 'gk-network-view',
  imports: [
    ChoiceField,
    Fold,
    NetworkDiagram,
    PlanFields,
    PressButton,
    QuantityField,
    SocketList,
    TextField,
    TickField,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section class="sheet" aria-labelledby="wiring-title">
      <h2 id="wiring-title">Wiring</h2>
      @if (diagram().nodes.length) {
        <gk-network-diagram
          [diagram]="diagram()"
          [wrong]="wrong()"
          (connected)="connect($event.transducerId, { to: $event.to })"
        />
        <p class="small faint">
          Drag a transducer onto the display or module its cable goes to, or choose it in the list. Broken lines: drops
          of the backbone.
        </p>
        <gk-fold heading="The same in words">
          <ul class="small">
            @for (line of diagram().words; track line) {
              <li>{{ line }}</li>
            }
          </ul>
        </gk-fold>
      } @else {
        <p class="faint">
          Nothing to wire yet: choose transducers on Beams, fit displays on Pages, add sensors on hull.
        </p>
      }
    </section>

    <section class="sheet" aria-labelledby="links-title">
      <h2 id="links-title">Transducers and their sockets</h2>
      @for (it of links(); track it.id) {
        <div class="line">
          <span class="unit">
            <span class="swatch" [style.background]="it.colour" aria-hidden="true"></span>{{ it.name }}
          </span>
          <gk-choice-field
            label="Its cable goes to"
            [fieldId]="'link-' + it.id"
            [at]="['network', 'links', it.id]"
            [value]="it.link?.to ?? ''"
            [choices]="ends()"
            (changed)="go(it.id, $event)"
          />
          @if (it.link; as link) {
            <gk-text-field
              label="Plug"
              [fieldId]="'link-plug-' + it.id"
              [at]="['network', 'links', it.id, 'plug']"
              [value]="link.plug"
              [schema]="linkShape.plug"
              (changed)="connect(it.id, { plug: $event })"
            />
            <gk-choice-field
              label="An adapter leaves out"
              [fieldId]="'link-adapter-' + it.id"
              [at]="['network', 'links', it.id, 'adapterDisables']"
              [value]="link.adapterDisables === null ? '' : '' + link.adapterDisables"
              [choices]="it.beams"
              (changed)="connect(it.id, { adapterDisables: $event === '' ? null : +$event })"
            />
            <gk-quantity-field
              [fieldId]="'link-cable-' + it.id"
              [at]="['network', 'links', it.id, 'cableM']"
              [value]="link.cableM"
              [schema]="linkShape.cableM"
              (changed)="connect(it.id, { cableM: $event })"
            />
          }
        </div>
      } @empty {
        <p class="faint">No transducer is aboard yet.</p>
      }
    </section>

    <section class="sheet" aria-labelledby="devices-title">
      <h2 id="devices-title">Devices and the backbone</h2>
      <div class="fields">
        <gk-plan-fields
          [of]="backbone()"
          [shape]="backboneShape"
          [names]="['lengthM', 'cable', 'supplyAtM', 'supplyA', 'terminators', 'supplies']"
          [at]="['network', 'backbone']"
          ids="backbone"
          (changed)="setBackbone($event)"
        />
      </div>
      <gk-fold heading="From the sheet of its cable">
        <div class="fields">
          <gk-plan-fields
            [of]="backbone()"
            [shape]="backboneShape"
            [names]="['cableBearsA', 'cablePerMetreOhm', 'cableLongestM']"
            [at]="['network', 'backbone']"
            ids="backbone"
            (changed)="setBackbone($event)"
          />
        </div>
      </gk-fold>
      @for (it of devices(); track it.id) {
        <div class="line device">
          <span class="unit"
            >{{ it.name }} <span class="small faint">{{ it.kind }}</span></span
          >
          <gk-tick-field
            label="on the backbone"
            [fieldId]="'device-backbone-' + it.id"
            [at]="['network', 'devices', it.id, 'onBackbone']"
            [value]="it.device.onBackbone"
            (changed)="set(it.id, it.name, { onBackbone: $event })"
          />
          @if (it.device.onBackbone) {
            <gk-quantity-field
              [fieldId]="'device-tee-' + it.id"
              [at]="['network', 'devices', it.id, 'teeAtM']"
              [value]="it.device.teeAtM ?? null"
              [schema]="deviceShape.teeAtM"
              (changed)="set(it.id, it.name, { teeAtM: $event })"
            />
          }
          <gk-quantity-field
            [fieldId]="'device-drop-' + it.id"
            [at]="['network', 'devices', it.id, 'dropM']"
            [value]="it.device.dropM"
            [schema]="deviceShape.dropM"
            (changed)="set(it.id, it.name, { dropM: $event })"
          />
          <gk-quantity-field
            [fieldId]="'device-loads-' + it.id"
            [at]="['network', 'devices', it.id, 'loads']"
            [value]="it.device.loads"
            [schema]="deviceShape.loads"
            (changed)="set(it.id, it.name, { loads: $event ?? 0 })"
          />
          @if (it.takes) {
            <div class="sockets">
              <gk-socket-list
                [deviceId]="it.id"
                [of]="it.name"
                [sockets]="it.device.sockets"
                (changed)="set(it.id, it.name, { sockets: $event })"
              />
              @if (it.sheet.length) {
                <button
                  type="button"
                  pButton
                  text
                  [id]="'device-sheet-' + it.id"
                  (click)="set(it.id, it.name, { sockets: it.sheet })"
                >
                  From its sheet: {{ it.sheetWords }}
                </button>
              }
            </div>
          }
        </div>
      }
    </section>
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: minmax(0, 1fr);
      gap: 10px;
    }
    .line {
      display: grid;
      grid-template-columns: minmax(0, 1.6fr) minmax(0, 2fr) minmax(0, 2fr) minmax(0, 1.5fr) minmax(0, 1fr);
      gap: 4px 12px;
      align-items: end;
      padding: 8px 0;
      border-bottom: var(--hairline) solid var(--rule);
    }
    .device {
      grid-template-columns: minmax(0, 1.6fr) minmax(0, 1.6fr) repeat(3, minmax(0, 1.2fr));
    }
    .sockets {
      grid-column: 1 / -1;
    }
    .unit {
      align-self: center;
      font-weight: 600;
    }
    .swatch {
      display: inline-block;
      width: 11px;
      height: 11px;
      margin-right: 8px;
    }
    summary {
      display: flex;
      gap: 8px;
      align-items: center;
      min-height: var(--touch);
    }
    summary {
      color: var(--water);
      font-weight: 600;
      cursor: pointer;
    }
    @media (max-width: 900px) {
      .line {
        grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
      }
    }
  `,
})
export class NetworkView {
  private readonly open = openBoat();
  private readonly store = inject(Store);
  private readonly catalogue = this.store.selectSignal(catalogueFeature.selectAll);
  protected readonly plan = this.open.plan;
  protected readonly backboneShape = backboneSchema.shape;
  /** Light cable where nothing was said: most boats have it. */
  protected readonly backbone = computed(() => ({ cable: 'light' as const, ...this.plan().network.backbone }));
  protected readonly linkShape = linkSchema.shape;
  protected readonly deviceShape = networkDeviceSchema.shape;

  protected readonly diagram = computed(() => diagramOf(this.plan()));
  private readonly broken = computed(() => networkRules.flatMap((rule) => findingsOf(rule, this.plan())));
  protected readonly wrong = computed(
    () =>
      new Set(
        // What speaks of no thing on the network speaks of the backbone itself.
        this.broken().flatMap(({ of }) => (of.length ? of.flatMap((id) => [`t-${id}`, `d-${id}`]) : ['backbone'])),
      ),
  );
  protected readonly ends = computed(() => [
    { value: '', label: 'nothing yet' },
    ...devicesOf(this.plan())
      .filter(takesTransducers)
      .map(({ id, name, kind }) => ({ value: id, label: `${name}, ${kind}` })),
  ]);
  protected readonly links = computed(() =>
    inOrder(this.plan().transducers).map(([id, { name, beams }], i) => ({
      id,
      name,
      colour: seriesVariable(i),
      link: this.plan().network.links[id] ?? null,
      beams: [
        { value: '', label: 'nothing' },
        ...beams.map(({ frequencyHz }, k) => ({ value: String(k), label: `${(frequencyHz / 1000).toFixed(0)} kHz` })),
      ],
    })),
  );
  protected readonly devices = computed(() =>
    devicesOf(this.plan()).map((one) => ({
      ...one,
      takes: takesTransducers(one),
      ...this.sheetOf(one),
    })),
  );

  protected setBackbone(changes: Partial<Backbone>): void {
    this.open.edits.edit('the backbone', { type: 'describeBackbone', changes });
  }

  protected go(transducerId: string, to: string): void {
    if (to === '') this.open.edits.edit('a cable', { type: 'connect', transducerId, link: null });
    else this.connect(transducerId, { to });
  }

  constructor() {
    this.store.dispatch(catalogueViewEvents.wanted());
  }

  /** What its catalogue entry says of its plug; nothing where it is of unknown making. */
  private plugOf(transducerId: string): string {
    const entryId = this.plan().transducers[transducerId]?.catalogue?.entryId;
    const item = this.catalogue().find(({ id }) => id === entryId)?.item;
    return item?.type === 'transducer' ? item.socket : '';
  }

  /** The sockets its catalogue entry gives a display, for a list that is still empty. */
  private sheetOf({ id: stationId, device }: Device): { sheet: Socket[]; sheetWords: string } {
    const entryId = this.plan().displays[stationId]?.catalogue?.entryId;
    const item = this.catalogue().find(({ id }) => id === entryId)?.item;
    const sheet = item?.type === 'display' && device.sockets.length === 0 ? item.sockets.map(socketOf) : [];
    return { sheet, sheetWords: sheet.map(({ plug }) => plug).join('; ') };
  }

  /** A plug that is not named yet takes its name from the catalogue, or from a free socket there. */
  protected connect(transducerId: string, changes: Partial<Link>): void {
    const before = this.plan().network.links[transducerId];
    const to = changes.to ?? before?.to;
    if (to === undefined) return;
    const link = { plug: '', adapterDisables: null, cableM: null, ...before, ...changes, to };
    this.open.edits.edit(this.plan().transducers[transducerId]?.name ?? 'a cable', {
      type: 'connect',
      transducerId,
      link:
        link.plug === ''
          ? { ...link, plug: this.plugOf(transducerId) || freePlug(this.plan(), to, transducerId) }
          : link,
    });
  }

  protected set(id: string, name: string, changes: Partial<Device['device']>): void {
    this.open.edits.edit(name, { type: 'describeDevice', id, changes });
  }
}
