import type { CatalogueEntry, Criterion, Plan, SonarKind, Way, WorkingStep } from '@grey-keel/model';
import { looksAt } from '../pages/suggest-layouts.ts';
import { viewRangeM } from '../pages/view-range.ts';
import { given, calculated } from '../calculation/working-step.ts';
import { candidatesFor, type Candidate, type RuledOut } from './candidate.ts';
import { measureWorking } from './measure-working.ts';
import { measuresOf, utility, type BeamMeasures, type Measures } from './measures.ts';
import { scoreParts, type ScorePart } from './rank.ts';
import { requirementsOf, weightsOf, type Requirements, type Weights } from '../beams/requirements.ts';

const radian = Math.PI / 180;

/** What makes a picture rather than a trace. */
export const imagingKinds = [
  'side-scan',
  'down fan',
  'forward-facing',
  'sector',
] as const satisfies readonly SonarKind[];
export type ImagingKind = (typeof imagingKinds)[number];

/** One imaging element on this boat, judged at the range its picture is set to. */
export interface ImagingPlace {
  readonly id: string;
  readonly name: string;
  readonly mounting: Candidate['mounting'];
  readonly byModule: boolean;
  /** The beam it is judged by: the finest that covers the range. */
  readonly frequencyHz: number;
  readonly reachM: number;
  /** Width of the thin side of the fan at the range wanted: what lies in it is drawn as one. */
  readonly sliceM: number;
  readonly resolutionM: number;
  readonly powerW: number;
  readonly score: number;
  readonly parts: readonly ScorePart[];
  /** Of that beam alone. */
  readonly measures: Measures;
}

export interface ImagingRanking {
  readonly requirements: Requirements;
  readonly kind: ImagingKind;
  /** How far its picture is set to look in the brief's working depth. */
  readonly rangeM: number;
  /** The ways of working of the brief that look at such a picture. */
  readonly ways: readonly Way[];
  readonly places: readonly ImagingPlace[];
  readonly ruledOut: readonly RuledOut[];
}

const thinDeg = ({ acoustics: { shape } }: BeamMeasures): number => Math.min(shape.alongDeg, shape.acrossDeg);
const sliceAt = (beam: BeamMeasures, rangeM: number): number => 2 * rangeM * Math.tan((thinDeg(beam) / 2) * radian);

/** How the figure beside a criterion came about. None where it is a judgement. */
export const imagingWorking = (
  criterion: Criterion,
  { measures }: ImagingPlace,
  { requirements, rangeM }: Pick<ImagingRanking, 'requirements' | 'rangeM'>,
): WorkingStep[] => {
  const [beam] = measures.beams;
  if (criterion !== 'bottom detail' || !beam) return measureWorking(criterion, measures, requirements);
  return [
    calculated(
      {
        says: 'Thickness of the slice at the range',
        symbol: 'd',
        value: sliceAt(beam, rangeM),
        unit: 'm',
        expression: '2 * R * tan(t / 2)',
        source: 'plane geometry of a fan',
      },
      given('R', rangeM, 'm', 'range of the picture'),
      given('t', thinDeg(beam) * radian, 'rad', `thin side of the fan, ${thinDeg(beam).toFixed(2)}°`),
    ),
  ];
};

const judge = (
  candidate: Candidate,
  rangeM: number,
  against: { requirements: Requirements; weights: Weights },
): ImagingPlace | null => {
  const { requirements, weights } = against;
  const measures = measuresOf(candidate, requirements);
  const covering = measures.beams.filter(({ reachM }) => reachM >= rangeM);
  const [beam] = covering.sort((a, b) => sliceAt(a, rangeM) - sliceAt(b, rangeM) || b.frequencyHz - a.frequencyHz);
  if (!beam) return null;
  const { fitting, powerW } = measures;
  const { reachM, resolutionM } = beam;
  const sliceM = sliceAt(beam, rangeM);
  const alone = { ...measures, reachM, resolutionM, beams: [beam] };
  const of = (criterion: Criterion, figure: ScorePart['figure'], useful: number) => ({
    criterion,
    figure,
    utility: useful,
  });
  const parts = scoreParts(
    [
      of('reach', { value: reachM, quantity: 'depth' }, Math.min(1, reachM / (1.5 * rangeM))),
      // A slice of a fiftieth of the range, a fan of little over one degree, is full marks.
      of('bottom detail', { value: sliceM, quantity: 'length' }, Math.min(1, (0.02 * rangeM) / sliceM)),
      of('separation', { value: resolutionM, quantity: 'length' }, utility.separation(alone, requirements)),
      of('fitting', { value: fitting, quantity: 'fraction' }, fitting),
      of('power', { value: powerW, quantity: 'power' }, utility.power(alone, requirements)),
    ],
    weights,
  );
  const { id, element, mounting, byModule } = candidate;
  return {
    id,
    name: element.name,
    mounting,
    byModule,
    frequencyHz: beam.frequencyHz,
    reachM,
    sliceM,
    resolutionM,
    powerW,
    score: parts.reduce((sum, { adds }) => sum + adds, 0),
    parts,
    measures: alone,
  };
};

/**
 * Ranks the imaging elements of a catalogue for this boat, kind by kind, those first that its ways of working look at
 * most. Each is judged at the range its picture is set to in the working depth, by its finest beam that still shows the
 * fish wanted there; one that shows it nowhere near is ruled out. Null while the water is not described.
 */
export const rankImaging = (plan: Plan, catalogue: readonly CatalogueEntry[]): ImagingRanking[] | null => {
  const requirements = requirementsOf(plan);
  if (!requirements) return null;
  const against = { requirements, weights: weightsOf(plan, requirements) };
  const used = (Object.keys(looksAt) as Way[]).filter((way) => plan.ways[way]);
  const lookedAt = (kind: ImagingKind): number => used.reduce((sum, way) => sum + (looksAt[way][kind] ?? 0), 0);
  return imagingKinds
    .map((kind) => {
      const rangeM = viewRangeM(plan, { view: kind, rangeM: null });
      const { candidates, ruledOut } = candidatesFor(plan, catalogue, kind);
      const judged = candidates.map((candidate) => ({ candidate, place: judge(candidate, rangeM, against) }));
      return {
        requirements,
        kind,
        rangeM,
        ways: used.filter((way) => looksAt[way][kind]),
        places: judged.flatMap(({ place }) => place ?? []).sort((a, b) => b.score - a.score || (a.id < b.id ? -1 : 1)),
        ruledOut: [
          ...ruledOut,
          ...judged.flatMap(({ candidate: { id, element }, place }) =>
            place
              ? []
              : [
                  {
                    id,
                    name: element.name,
                    by: `it does not show such a fish ${rangeM.toFixed(0)} m off in this water`,
                  },
                ],
          ),
        ],
      };
    })
    .sort((a, b) => lookedAt(b.kind) - lookedAt(a.kind));
};
