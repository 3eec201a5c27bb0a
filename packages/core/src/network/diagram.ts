import type { Plan } from '@grey-keel/model';
import { shortName } from '../units/short-name.ts';
import { inOrder } from '../plan/working-water.ts';
import { devicesOf, takesTransducers } from './devices.ts';
import { socketGroups } from './sockets.ts';

/** One box of the wiring diagram; sizes in the drawing's own units. */
export interface DiagramNode {
  readonly id: string;
  readonly kind: 'transducer' | 'display' | 'module' | 'sensor' | 'gateway' | 'backbone';
  readonly lines: readonly string[];
  readonly width: number;
  readonly height: number;
}

export interface DiagramEdge {
  readonly id: string;
  readonly from: string;
  readonly to: string;
  readonly label: string;
  readonly kind: 'cable' | 'backbone';
}

export interface Diagram {
  readonly nodes: readonly DiagramNode[];
  readonly edges: readonly DiagramEdge[];
  /** The same in words, one connection a line: for who reads and does not look. */
  readonly words: readonly string[];
}

const lineHeight = 16;
/** About what a letter of the drawing's type takes. */
const letterWidth = 7.4;

/** Longer lines would make all others too small to read. The words of the diagram, and the tables, say them whole. */
const mostLetters = 30;

const box = (id: string, kind: DiagramNode['kind'], whole: readonly string[]): DiagramNode => {
  const lines = whole.map((line) => shortName(line, mostLetters));
  return {
    id,
    kind,
    lines,
    width: Math.max(90, 20 + letterWidth * Math.max(...lines.map(({ length }) => length))),
    height: 18 + lineHeight * lines.length,
  };
};

const backboneId = 'backbone';

/** The boxes and lines of a boat's wiring: transducers on their sockets, devices on the backbone. Not laid out yet. */
export const diagramOf = (plan: Plan): Diagram => {
  const devices = devicesOf(plan);
  const onBackbone = devices.filter(({ device }) => device.onBackbone);
  const transducers = inOrder(plan.transducers);
  const { backbone, links } = plan.network;
  const nodes = [
    ...transducers.map(([id, { name, beams }]) =>
      box(`t-${id}`, 'transducer', [
        name,
        beams.map(({ frequencyHz }) => (frequencyHz / 1000).toFixed(0)).join(' / ') + ' kHz',
      ]),
    ),
    ...devices.map(({ id, name, kind }) =>
      box(`d-${id}`, kind, [
        name,
        ...(kind === 'display' ? [plan.displays[id]?.name ?? ''] : []),
        ...socketGroups(plan, id).map(({ plug, sockets }) => (sockets > 1 ? `${sockets} × ${plug}` : plug)),
      ]),
    ),
    ...(onBackbone.length
      ? [
          box(backboneId, 'backbone', [
            'Backbone',
            backbone.lengthM === null ? 'length not known' : `${backbone.lengthM.toFixed(1)} m`,
            `terminators: ${backbone.terminators}`,
            `supplies: ${backbone.supplies}`,
          ]),
        ]
      : []),
  ];
  // The backbone stands in the middle: half of what hangs on it beyond, where no transducer's cable has to go.
  const beyond = new Set(
    onBackbone
      .filter((device) => !takesTransducers(device))
      .slice(0, Math.ceil(onBackbone.length / 2))
      .map(({ id }) => id),
  );
  const known = new Set(devices.map(({ id }) => id));
  const edges = [
    ...transducers.flatMap(([id]): DiagramEdge[] => {
      const link = links[id];
      if (!link || !known.has(link.to)) return [];
      return [{ id: `l-${id}`, from: `t-${id}`, to: `d-${link.to}`, label: link.plug, kind: 'cable' }];
    }),
    ...onBackbone.map(({ id, device }): DiagramEdge => ({
      id: `b-${id}`,
      ...(beyond.has(id) ? { from: backboneId, to: `d-${id}` } : { from: `d-${id}`, to: backboneId }),
      label: device.dropM === null ? '' : `${device.dropM.toFixed(1)} m`,
      kind: 'backbone',
    })),
  ];
  return {
    nodes,
    edges,
    words: [
      ...transducers.map(([id, { name }]) => {
        const link = links[id];
        const device = devices.find((one) => one.id === link?.to);
        return link && device
          ? `${name} on ${device.name}${link.plug ? ` by ${link.plug}` : ''}.`
          : `${name} is not connected.`;
      }),
      ...devices.map(({ name, device }) =>
        device.onBackbone ? `${name} on the backbone.` : `${name} is not on the backbone.`,
      ),
    ],
  };
};
