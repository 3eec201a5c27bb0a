import type { Point } from '../beams/silhouette.ts';
import type { Diagram, DiagramEdge, DiagramNode } from './diagram.ts';

/** Settings of the layout: layers from left to right, lines at right angles, room kept for the labels over them. */
const layoutOptions = {
  'elk.algorithm': 'layered',
  'elk.direction': 'RIGHT',
  'elk.edgeRouting': 'ORTHOGONAL',
  'elk.layered.spacing.nodeNodeBetweenLayers': '24',
  'elk.spacing.nodeNode': '14',
  'elk.spacing.edgeLabel': '2',
  'elk.layered.nodePlacement.strategy': 'NETWORK_SIMPLEX',
  // Fewer tries at crossings than it makes by itself: the same picture for a boat's few layers, a quarter sooner.
  'elk.layered.thoroughness': '2',
};

/** A label's letters are smaller than those in the boxes. */
const labelLetterWidth = 6.4;
const labelHeight = 14;

/** A diagram as the layout library takes it. */
export const layoutGraph = ({ nodes, edges }: Diagram) => ({
  id: 'root',
  layoutOptions,
  children: nodes.map(({ id, width, height }) => ({ id, width, height })),
  edges: edges.map(({ id, from, to, label }) => ({
    id,
    sources: [from],
    targets: [to],
    labels: label === '' ? [] : [{ text: label, width: labelLetterWidth * label.length, height: labelHeight }],
  })),
});

/** What of the library's answer is read. */
interface LaidGraph {
  readonly width?: number;
  readonly height?: number;
  readonly children?: readonly { readonly id: string; readonly x?: number; readonly y?: number }[];
  readonly edges?: readonly {
    readonly id: string;
    readonly sections?: readonly {
      readonly startPoint: Point;
      readonly bendPoints?: readonly Point[];
      readonly endPoint: Point;
    }[];
    readonly labels?: readonly { readonly text?: string; readonly x?: number; readonly y?: number }[];
  }[];
}

/** A diagram with a place for everything, to be drawn as it stands; the same unit across and down, from the upper left. */
export interface LaidDiagram {
  readonly width: number;
  readonly height: number;
  readonly nodes: readonly (DiagramNode & Point)[];
  /** Each with the place of its label: the left end of the line it is written on. */
  readonly lines: readonly (DiagramEdge & Point & { readonly points: readonly Point[] })[];
}

const edgeRoom = 10;

export const laidDiagram = ({ nodes, edges }: Diagram, graph: LaidGraph): LaidDiagram => {
  const moved = ({ x = 0, y = 0 }: Partial<Point>): Point => ({ x: x + edgeRoom, y: y + edgeRoom });
  const places = new Map((graph.children ?? []).map((child) => [child.id, moved(child)]));
  const routes = new Map(
    (graph.edges ?? []).map(({ id, sections = [], labels = [] }) => {
      const label = moved(labels[0] ?? {});
      return [
        id,
        {
          points: sections.flatMap(({ startPoint, bendPoints = [], endPoint }) =>
            [startPoint, ...bendPoints, endPoint].map(moved),
          ),
          x: label.x,
          y: label.y + labelHeight - 3,
        },
      ];
    }),
  );
  return {
    width: (graph.width ?? 100) + 2 * edgeRoom,
    height: (graph.height ?? 100) + 2 * edgeRoom,
    nodes: nodes.map((node) => ({ ...node, ...(places.get(node.id) ?? { x: 0, y: 0 }) })),
    lines: edges.map((edge) => ({ ...edge, ...(routes.get(edge.id) ?? { points: [], x: 0, y: 0 }) })),
  };
};
