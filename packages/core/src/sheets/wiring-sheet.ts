import { fedQuantities, type Plan } from '@grey-keel/model';
import { devicesOf } from '../network/devices.ts';
import { socketGroups, splittersOn } from '../network/sockets.ts';
import { inOrder } from '../plan/working-water.ts';
import { circuitStanding } from '../power/circuit-standing.ts';
import { formatFigure, type UnitChoice } from '../units/index.ts';

/** A table as it is shown, printed and written to a file: figures in the reader's units, units in every cell. */
export interface SheetTable {
  readonly id: 'wiring' | 'cables' | 'sources';
  readonly title: string;
  readonly columns: readonly string[];
  readonly rows: readonly (readonly string[])[];
}

const unknown = 'not known';

/** What an installer takes along: the circuits, what to cut and buy, and what each screen listens to. */
export const wiringSheets = (plan: Plan, units: UnitChoice): SheetTable[] => {
  const length = (value: number | null): string =>
    value === null ? unknown : formatFigure({ value, quantity: 'length' }, units, { decimals: 1 });
  const current = (value: number | null): string =>
    value === null ? 'none' : formatFigure({ value, quantity: 'current' }, units);
  const devices = devicesOf(plan);
  const deviceName = (id: string | undefined): string => devices.find((one) => one.id === id)?.name ?? 'nothing';
  const listed = (id: string): string =>
    plan.sources[id]?.name || (plan.transducers[id]?.name ?? plan.equipment[id]?.name ?? 'a source that is gone');
  const listedName = (id: string): string => plan.transducers[id]?.name ?? id;
  const { backbone } = plan.network;
  const onBackbone = devices.filter(({ device }) => device.onBackbone);
  return [
    {
      id: 'wiring',
      title: 'Circuits',
      columns: ['Circuit', 'Battery', 'Wire', 'One way', 'Fuse', 'Draws', 'Lost', 'Feeds'],
      rows: inOrder(plan.power.circuits).map(([, circuit]) => {
        const standing = circuitStanding(plan, circuit);
        return [
          circuit.name,
          plan.power.batteries[circuit.batteryId ?? '']?.name ?? 'nothing',
          `${circuit.gauge} ${circuit.conductor}`,
          length(circuit.oneWayLengthM),
          current(circuit.fuseA),
          standing ? current(standing.currentA) : unknown,
          standing ? formatFigure({ value: standing.drop.dropPercent / 100, quantity: 'fraction' }, units) : unknown,
          inOrder(circuit.loads)
            .map(([, { name }]) => name)
            .join('; '),
        ];
      }),
    },
    {
      id: 'cables',
      title: 'Cables and parts',
      columns: ['Part', 'From', 'To', 'Plug or wire', 'Length'],
      rows: [
        ...inOrder(plan.transducers).map(([id, { name }]) => {
          const link = plan.network.links[id];
          return ['Transducer cable', name, deviceName(link?.to), link?.plug || unknown, length(link?.cableM ?? null)];
        }),
        ...inOrder(plan.transducers).flatMap(([id, { name, beams }]) => {
          const link = plan.network.links[id];
          const beam = link?.adapterDisables == null ? undefined : beams[link.adapterDisables];
          return link && beam
            ? [['Adapter', name, deviceName(link.to), `leaves out ${beam.frequencyHz / 1000} kHz`, '']]
            : [];
        }),
        ...devices.flatMap(({ id, name }) =>
          socketGroups(plan, id).flatMap((group) =>
            splittersOn(group) > 0
              ? [['Splitter', group.plugged.map(listedName).join('; '), name, group.plug, `${splittersOn(group)}`]]
              : [],
          ),
        ),
        ...inOrder(plan.power.circuits).map(([, { name, batteryId, gauge, oneWayLengthM }]) => [
          'Supply pair',
          plan.power.batteries[batteryId ?? '']?.name ?? 'nothing',
          name,
          gauge,
          length(oneWayLengthM),
        ]),
        ...(onBackbone.length
          ? [
              ['Backbone', 'end', 'end', `${backbone.terminators} terminators`, length(backbone.lengthM)],
              ['Backbone supply', 'supply', 'tee', `${backbone.supplies}`, ''],
              ['Tees', 'backbone', 'drops', `${onBackbone.length + backbone.supplies}`, ''],
            ]
          : []),
        ...onBackbone.map(({ name, device }) => ['Drop', 'backbone', name, 'drop cable', length(device.dropM)]),
      ],
    },
    {
      id: 'sources',
      title: 'Sources',
      columns: ['Station', 'Number', 'From', 'If it fails'],
      rows: inOrder(plan.stations).flatMap(([id, { name }]) =>
        fedQuantities.flatMap((quantity) => {
          const feed = plan.feeds[id]?.[quantity];
          return feed
            ? [[name, quantity, listed(feed.sourceId), feed.fallbackId === null ? 'nothing' : listed(feed.fallbackId)]]
            : [];
        }),
      ),
    },
  ];
};
