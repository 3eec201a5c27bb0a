import type { Edit } from '@grey-keel/model';
import { hasBowMotor } from '../../../advice/candidate.ts';
import { equipmentOf } from '../../../fit/clearances.ts';
import { hullChanges, outsideM, placedThings, usualPropellers } from '../../../fit/places.ts';
import { lowestPoint } from '../../../plan/lowest-point.ts';
import { inOrder } from '../../../plan/working-water.ts';
import { between, figure, type Found, type Rule } from '../../../findings/rule.ts';
import { at } from '../../../plan/target.ts';
import { move } from './move-it.ts';

/** A thing that stands beside, ahead or astern of the boat, farther than such a thing may. */
export const outsideHull: Rule<'fit'> = {
  id: 'outside-hull',
  stage: 'fit',
  severity: 'check',
  find: (plan) =>
    placedThings(plan).flatMap((thing): Found[] => {
      const out = outsideM(plan, thing) ?? 0;
      if (out <= 0.005) return [];
      return [
        {
          subject: thing.id,
          title: 'It stands outside the boat',
          reason: [`${thing.name} stands `, figure(out, 'length'), ' farther out than such a thing can.'],
          figure: figure(out, 'length'),
          fix: move(plan, thing.id),
        },
      ];
    }),
};

const apartM = 0.05;

/** Two things cannot be where one is. */
export const samePlace: Rule<'fit'> = {
  id: 'same-place',
  stage: 'fit',
  severity: 'check',
  find: (plan) => {
    const things = placedThings(plan);
    return things.flatMap((one, i) =>
      things.slice(i + 1).flatMap((other): Found[] => {
        const away = Math.hypot(
          one.place.forwardM - other.place.forwardM,
          one.place.starboardM - other.place.starboardM,
          one.place.aboveKeelM - other.place.aboveKeelM,
        );
        if (away >= apartM) return [];
        return [
          {
            ...between(one.id, other.id),
            title: 'Two things at one place',
            reason: [
              `${one.name} and ${other.name} stand `,
              figure(away, 'length'),
              ' apart: one of them is elsewhere.',
            ],
            figure: figure(away, 'length'),
            fix: move(plan, other.id),
          },
        ];
      }),
    );
  },
};

/** Between what shares of the length, and metres beside them, a mounting can be. */
const wrongFor = (mounting: string, forwardM: number, lengthM: number): string | null => {
  if (mounting === 'transom' && (forwardM > 0.3 || forwardM < -1.5)) return 'on the transom';
  if ((mounting === 'through-hull' || mounting === 'shoot-through-hull') && (forwardM < 0 || forwardM > lengthM))
    return 'in the bottom';
  if (mounting === 'bow motor' && forwardM < 0.7 * lengthM) return 'on a motor at the bow';
  return null;
};

/** A mounting says where a thing is, and its place says another. */
export const mountingPlace: Rule<'fit'> = {
  id: 'mounting-place',
  stage: 'fit',
  severity: 'check',
  find: (plan) => {
    const { lengthM } = plan.boat;
    if (lengthM === null) return [];
    return inOrder(plan.transducers).flatMap(([id, { name, mounting, forwardM }]): Found[] => {
      const where = wrongFor(mounting, forwardM, lengthM);
      if (where === null) return [];
      return [
        {
          subject: id,
          title: 'Mounting and place disagree',
          reason: [
            `${name} is said to be ${where}, and stands `,
            figure(forwardM, 'length'),
            ' forward of the transom.',
          ],
          figure: figure(forwardM, 'length'),
          fix: move(plan, id),
        },
      ];
    });
  },
};

/** Something hangs on a bow motor, and there is none. */
export const bowMotorMissing: Rule<'fit'> = {
  id: 'bow-motor-missing',
  stage: 'fit',
  severity: 'check',
  find: (plan) => {
    const hanging = inOrder(plan.transducers).filter(([, { mounting }]) => mounting === 'bow motor');
    const [first] = hanging;
    if (!first || hasBowMotor(plan)) return [];
    return [
      {
        title: 'There is no bow motor aboard',
        reason: [
          figure(hanging.length, 'count'),
          hanging.length === 1 ? ` unit, ${first[1].name}, hangs` : ' units hang',
          ' on a bow motor that the brief does not speak of.',
        ],
        figure: figure(hanging.length, 'count'),
        fix: {
          label: 'The boat has one',
          stage: 'brief',
          target: at('boat', 'bowMotor'),
          edits: [{ type: 'describeBoat', changes: { bowMotor: true } }],
        },
      },
    ];
  },
};

/** Blades are the first thing to touch and the first to interfere: without their place neither is judged. */
export const propellerUnknown: Rule<'fit'> = {
  id: 'propeller-unknown',
  stage: 'fit',
  severity: 'check',
  find: (plan) => {
    const usual = usualPropellers(plan);
    if (usual.length === 0 || equipmentOf(plan, 'propeller').length > 0) return [];
    return [
      {
        title: 'No propeller is known',
        reason: [
          `The brief says ${plan.boat.propulsion}, and `,
          figure(0, 'count'),
          ' propellers have a place: how near a face is to the blades, and whether they touch first, is not judged.',
        ],
        figure: figure(usual.length, 'count'),
        fix: {
          label:
            usual.length > 1
              ? 'Put them where such engines have them, then measure'
              : 'Put it where such an engine has it, then measure',
          target: at('equipment'),
          edits: usual.map(({ name, place, diameterM }, i): Edit => ({
            type: 'placeEquipment',
            id: `usual-propeller-${i + 1}`,
            equipment: { name, kind: 'propeller', ...place, propellerDiameterM: diameterM },
          })),
        },
      },
    ];
  },
};

/** What strikes first is a skeg that nobody has measured: aground and the shallow alarm rest on a guess. */
export const skegAssumed: Rule<'fit'> = {
  id: 'skeg-assumed',
  stage: 'fit',
  severity: 'check',
  find: (plan) => {
    const { id, name, belowKeelM, assumed } = lowestPoint(plan);
    if (id === null || !assumed) return [];
    return [
      {
        subject: id,
        title: 'What touches first is assumed',
        reason: [
          `${name} is taken to reach `,
          figure(belowKeelM, 'length'),
          ' below the keel: aground and the shallow alarm rest on it. Measure hub and skeg on the trailer or the slip, engine down.',
        ],
        figure: figure(belowKeelM, 'length'),
        fix: { label: 'Give the skeg as measured', target: at('equipment', id, 'skegBelowBladesM') },
      },
    ];
  },
};

/** The hull is another than the one the places were chosen for. */
export const hullChanged: Rule<'fit'> = {
  id: 'hull-changed',
  stage: 'fit',
  severity: 'check',
  find: (plan) => {
    const changes = hullChanges(plan);
    if (changes.length === 0) return [];
    const out = placedThings(plan).filter((thing) => (outsideM(plan, thing) ?? 0) > 0.005);
    return [
      {
        title: 'The hull has changed since things were placed',
        reason: [
          `Since then ${changes.join(' and ')} changed. `,
          figure(out.length, 'count'),
          out.length === 0
            ? ' things stand outside it; the others may have moved with it.'
            : ` of what is aboard no longer fits: ${out.map(({ name }) => name).join(', ')}.`,
        ],
        figure: figure(out.length, 'count'),
        fix: {
          label: 'Look the places over, then say they are right',
          target: at('fittedHull'),
          ...(out.length === 0 ? { edits: [{ type: 'confirmPlaces' as const }] } : {}),
        },
      },
    ];
  },
};

export const placeRules: readonly Rule<'fit'>[] = [
  outsideHull,
  samePlace,
  mountingPlace,
  bowMotorMissing,
  propellerUnknown,
  skegAssumed,
  hullChanged,
];
