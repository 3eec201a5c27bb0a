import {
  beamSchools,
  criteria,
  type BeamSchool,
  type CatalogueEntry,
  type Criterion,
  type Figure,
  type Plan,
} from '@grey-keel/model';
import { bandShareDb, type Band } from '../acoustics/band-share.ts';
import { elementAcoustics } from '../beams/element-acoustics.ts';
import { candidatesFor, fittedOf, type Candidate, type RuledOut } from './candidate.ts';
import { measuresOf, together, utility, type Measures } from './measures.ts';
import { requirementsOf, weightsOf, type Requirements, type Weights } from '../beams/requirements.ts';

export const questions = ['only one', 'two together', 'add to what is there'] as const;
export type Question = (typeof questions)[number];

/** One criterion's share of a score. */
export interface ScorePart {
  readonly criterion: Criterion;
  readonly figure: Figure;
  /** 0 to 1. */
  readonly utility: number;
  readonly weight: number;
  /** What it adds to the score, of 100 in all. */
  readonly adds: number;
}

/** One answer to the question, with everything it was judged by. */
export interface Place {
  readonly ids: readonly string[];
  readonly name: string;
  readonly candidates: readonly Candidate[];
  readonly measures: Measures;
  readonly score: number;
  readonly parts: readonly ScorePart[];
  /** The criteria it does worst in for what they weigh: what one gives up with it. */
  readonly givesUp: readonly Criterion[];
  /** Not beaten in reach and footprint at once by any other. */
  readonly onFront: boolean;
  readonly remarks: readonly string[];
}

export interface Ranking {
  readonly question: Question;
  readonly requirements: Requirements;
  readonly weights: Weights;
  readonly places: readonly Place[];
  readonly ruledOut: readonly RuledOut[];
}

const figureOf = (criterion: Criterion, measures: Measures, { waterM }: Requirements): Figure => {
  const { reachM, footprintM, detailM, resolutionM, deadZoneM, holdsBottomToMps, powerW } = measures;
  const length = (value: number): Figure => ({ value, quantity: 'length' });
  switch (criterion) {
    case 'reach':
      // Beyond the boat's own water metres mean nothing: what is left there is said.
      return reachM > waterM ? { value: measures.spareDb, quantity: 'level' } : { value: reachM, quantity: 'depth' };
    case 'footprint':
      return length(footprintM);
    case 'bottom detail':
      return length(detailM);
    case 'separation':
      return length(resolutionM);
    case 'dead zone':
      return length(deadZoneM);
    case 'speed':
      return { value: holdsBottomToMps, quantity: 'speed' };
    case 'fitting':
      return { value: measures.fitting, quantity: 'fraction' };
    case 'blanking zone':
      return length(measures.blankM);
    case 'power':
      return { value: powerW, quantity: 'power' };
  }
};

const sum = (values: readonly number[]): number => values.reduce((whole, value) => whole + value, 0);

interface Judged extends Omit<Place, 'onFront'> {
  readonly key: string;
}

/** What each criterion adds to a score of 100, by the weights of those that are judged. */
export const scoreParts = (
  judged: readonly Pick<ScorePart, 'criterion' | 'figure' | 'utility'>[],
  weights: Weights,
): ScorePart[] => {
  const whole = Math.max(1e-9, sum(judged.map(({ criterion }) => weights[criterion])));
  return judged.map((one) => {
    const weight = weights[one.criterion];
    return { ...one, weight, adds: (100 * weight * one.utility) / whole };
  });
};

const judge = (
  candidates: readonly Candidate[],
  measures: Measures,
  { requirements, weights }: { requirements: Requirements; weights: Weights },
  remarks: readonly string[],
): Judged => {
  const parts = scoreParts(
    criteria.map((criterion) => ({
      criterion,
      figure: figureOf(criterion, measures, requirements),
      utility: utility[criterion](measures, requirements),
    })),
    weights,
  );
  const lost = [...parts].sort((a, b) => b.weight * (1 - b.utility) - a.weight * (1 - a.utility));
  return {
    ids: candidates.map(({ id }) => id),
    key: candidates.map(({ id }) => id).join(' '),
    name: candidates.map(({ element }) => element.name).join(' + '),
    candidates,
    measures,
    score: sum(parts.map(({ adds }) => adds)),
    parts,
    givesUp: lost
      .filter(({ utility: useful, weight }) => useful < 0.6 && weight > 0.5)
      .slice(0, 2)
      .map((one) => one.criterion),
    remarks,
  };
};

/** Best first; alike by name, so that the same input always gives the same order. */
const byScore = (a: Judged, b: Judged): number => b.score - a.score || (a.key < b.key ? -1 : 1);

/**
 * Marks those that no other beats at once in what is to spare at the bottom of the boat's water and in footprint; one pass
 * from the strongest down.
 */
const withFront = (judged: readonly Judged[]): Place[] => {
  const front = new Set<string>();
  let widest = -1;
  for (const { key, measures } of [...judged].sort(
    (a, b) => b.measures.spareDb - a.measures.spareDb || b.measures.footprintM - a.measures.footprintM || byScore(a, b),
  ))
    if (measures.footprintM > widest) {
      front.add(key);
      widest = measures.footprintM;
    }
  return judged.map(({ key, ...place }) => ({ ...place, onFront: front.has(key) }));
};

/** A hundredth of the power in the other's band: two units of like power on one hull hear that of each other. */
const meetsDb = -20;

const bandsOf = ({ element }: Candidate, depthM: number): Band[] =>
  element.beams.map((beam) => {
    const { frequencyHz, bandwidthHz } = elementAcoustics(element, beam, depthM);
    return { middleHz: frequencyHz, widthHz: bandwidthHz };
  });

/** Whether two fill the same band with every beam they have. */
const bandsMeet = (a: Candidate, b: Candidate, { workingM }: Requirements): boolean =>
  bandsOf(a, workingM).every((one) =>
    bandsOf(b, workingM).every((other) => Math.max(bandShareDb(one, other), bandShareDb(other, one)) > meetsDb),
  );

const remarksOn = (candidate: Candidate, measures: Measures, plan: Plan): string[] => {
  const remarks: string[] = [];
  if (candidate.mounting === 'through-hull' && plan.boat.hullMaterial === 'cored composite')
    remarks.push('Through a cored hull: the core is cut back and sealed, by a yard.');
  if (candidate.mounting === 'through-hull' && ['aluminium', 'steel'].includes(plan.boat.hullMaterial))
    remarks.push(
      `Through ${plan.boat.hullMaterial}: a housing that does not corrode with it, bonded as the yard says.`,
    );
  if (candidate.mounting === 'transom' && plan.boat.propulsion === 'inboard shaft')
    remarks.push(
      'On the transom it meets the wash of the shaft: well to one side, and no bottom is promised on plane.',
    );
  if (candidate.mounting === 'transom' && plan.boat.propulsion === 'jet')
    remarks.push('Beside the stream of the jet, not in it: aerated water shows nothing.');
  if (candidate.byModule) remarks.push('No display takes its plug: it hangs on a sounder module of the network.');
  if (measures.derived.length) remarks.push(`Derived, not from the sheet: ${measures.derived.join(', ')}.`);
  return remarks;
};

/** Pairs are sought among so many of the best alone: all of a usual catalogue, and a bound on a large one. */
const pairedAmong = 60;

interface Measured {
  readonly candidate: Candidate;
  readonly measures: Measures;
}

const bestAlone = (able: readonly Measured[], against: { requirements: Requirements; weights: Weights }): Measured[] =>
  able
    .map((one) => ({ one, judged: judge([one.candidate], one.measures, against, []) }))
    .sort((a, b) => byScore(a.judged, b.judged))
    .map(({ one }) => one);

/** A list is as long as a person reads. */
const longest = 12;

/**
 * Ranks what the catalogue has for a question and this boat's brief. What a rule forbids is not ranked but named with
 * the rule; what does not see the fish where it stands is ruled out by that. Null while the water is not described.
 */
export const rankTransducers = (
  plan: Plan,
  catalogue: readonly CatalogueEntry[],
  question: Question,
  school = plan.advice.school,
): Ranking | null => {
  const requirements = requirementsOf(plan);
  if (!requirements) return null;
  const weights = weightsOf(plan, requirements, school);
  const { candidates, ruledOut } = candidatesFor(plan, catalogue, 'sounder');
  const measured = candidates.map((candidate) => ({ candidate, measures: measuresOf(candidate, requirements) }));
  const blind = measured.filter(({ measures }) => measures.footprintM === 0);
  const able = measured.filter(({ measures }) => measures.footprintM > 0);
  const against = { requirements, weights };
  const out = [
    ...ruledOut,
    ...blind.map(({ candidate: { id, element }, measures }) => ({
      id,
      name: element.name,
      by: `it sees such a fish to ${measures.reachM.toFixed(0)} m only, not to ${requirements.workingM.toFixed(0)} m`,
    })),
  ];
  const judged = ((): Judged[] => {
    if (question === 'only one')
      return able.map(({ candidate, measures }) =>
        judge([candidate], measures, against, remarksOn(candidate, measures, plan)),
      );
    const best = able.length <= pairedAmong ? able : bestAlone(able, against).slice(0, pairedAmong);
    if (question === 'two together')
      return best.flatMap((one, i) =>
        best.slice(i + 1).flatMap((other) => {
          // Two that fill the same band interfere with each other whenever both send.
          if (bandsMeet(one.candidate, other.candidate, requirements)) return [];
          return [
            judge([one.candidate, other.candidate], together([one.measures, other.measures], requirements), against, [
              ...new Set([
                ...remarksOn(one.candidate, one.measures, plan),
                ...remarksOn(other.candidate, other.measures, plan),
              ]),
            ]),
          ];
        }),
      );
    const aboard = fittedOf(plan, 'sounder').map((candidate) => ({
      candidate,
      measures: measuresOf(candidate, requirements),
    }));
    return able
      .filter(({ candidate }) => !aboard.some((one) => bandsMeet(one.candidate, candidate, requirements)))
      .map(({ candidate, measures }) =>
        judge(
          [candidate],
          together([...aboard.map((one) => one.measures), measures], requirements),
          against,
          remarksOn(candidate, measures, plan),
        ),
      );
  })();
  return { question, requirements, weights, places: withFront(judged.sort(byScore)).slice(0, longest), ruledOut: out };
};

/** The ranking by the school that is chosen, and whom each school would put first. */
export interface Rankings {
  readonly chosen: Ranking;
  readonly schools: readonly { readonly school: BeamSchool; readonly first: string }[];
}

/** A ranking with how it would change by the other schools; the weights that were moved by hand stay as they are. */
export const rankings = (plan: Plan, catalogue: readonly CatalogueEntry[], question: Question): Rankings | null => {
  const chosen = rankTransducers(plan, catalogue, question);
  if (!chosen) return null;
  return {
    chosen,
    schools: beamSchools.map((school) => ({
      school,
      first:
        (school === plan.advice.school ? chosen : rankTransducers(plan, catalogue, question, school))?.places[0]
          ?.name ?? 'nothing fits',
    })),
  };
};

/** The sounders aboard as one answer among the others, judged by the same weights. Null while there is none, or no water. */
export const judgeFitted = (plan: Plan): Place | null => {
  const requirements = requirementsOf(plan);
  const fitted = fittedOf(plan, 'sounder');
  if (!requirements || fitted.length === 0) return null;
  const measures = together(
    fitted.map((candidate) => measuresOf(candidate, requirements)),
    requirements,
  );
  const judged = judge(fitted, measures, { requirements, weights: weightsOf(plan, requirements) }, [
    ...new Set(fitted.flatMap((candidate) => remarksOn(candidate, measures, plan))),
  ]);
  return withFront([judged])[0] ?? null;
};
