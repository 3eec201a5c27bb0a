import type { DepthReference, Layout, Plan, Press, Way, WorkingStep } from '@grey-keel/model';
import { sectionAt } from '../beams/section.ts';
import { type Aground, agroundOf } from '../calibration/aground.ts';
import { actionInWords } from '../keys/action-words.ts';
import { bindingsAt } from '../keys/key-slots.ts';
import { type AlarmsHeld, alarmsHeld, enteredResult } from '../plan/held-by.ts';
import { pagesAt, usedWays } from '../plan/pages-at.ts';
import { faceDepthM, soundSpeedDownTo, workingWater } from '../plan/working-water.ts';
import { asShown, depthDisplayOf } from '../sources/depth-display.ts';
import { depthGivers } from '../sources/depth-givers.ts';
import { type FittedStation, fittedStations } from '../plan/fitted-stations.ts';
import { displayDepthError } from '../sources/display-depth-error.ts';
import { depthOffsetOf, measuredOffset } from '../calibration/depth-offset-subject.ts';
import { defineResult } from '../plan/define-result.ts';
import { type CardCorrections, cardCorrections } from './card-corrections.ts';

/** Goes up when the card shows other things from the same plan. */
const cardVersion = 4;

export interface CardTransducer {
  readonly id: string;
  readonly name: string;
  readonly frequencyHz: number;
  /** Full cone at -3 dB. */
  readonly coneDeg: number;
  readonly coneWorking: readonly WorkingStep[];
  readonly quoted: { readonly beamwidthDeg: number; readonly levelDb: number };
  readonly footprintM: number | null;
  readonly footprintWorking: readonly WorkingStep[];
  readonly faceDepthM: number | null;
  readonly offset: {
    readonly state: 'missing' | 'fresh' | 'stale';
    readonly changed: readonly string[];
    readonly offsetM: number | null;
    /** How the entered offset came about; none where what it came from has changed since. */
    readonly working: readonly WorkingStep[];
    readonly standardErrorM: number | null;
    readonly reference: DepthReference;
    /** What the display shows at the moment the first part of the boat touches; null while that is not known. */
    readonly aground: Omit<Aground, 'working'> | null;
    readonly agroundWorking: readonly WorkingStep[];
  } | null;
}

/** What a station's display shows in each way of working, and what its keys do. */
export interface CardStation {
  readonly id: string;
  readonly name: string;
  readonly display: string;
  readonly screen: { readonly pixelsWide: number; readonly pixelsHigh: number };
  readonly alarms: AlarmsHeld & { readonly actInS?: number };
  /** At what the shallow alarm sounds, in the display's own unit; null where it is off. */
  readonly shallowShown: string | null;
  /** The speed of sound the display is set to and by how much it shows the working depth too deep; null where unknown. */
  readonly sound: { readonly setTo: string; readonly soundSpeedMps: number; readonly errorM: number } | null;
  readonly pages: readonly {
    readonly place: number;
    readonly name: string;
    readonly ways: readonly Way[];
    readonly layout: Layout;
  }[];
  readonly keys: readonly { readonly key: number; readonly short: string; readonly long: string }[];
}

/** The figures of the card that goes on the dash. */
export interface Card {
  readonly boat: { readonly name: string; readonly lengthM: number | null; readonly draughtM: number | null };
  readonly water: {
    readonly name: string;
    readonly salinityPpt: number;
    readonly temperatureC: number;
    readonly soundSpeedMps: number;
    readonly soundSpeedWorking: readonly WorkingStep[];
  } | null;
  readonly depthM: number;
  readonly transducers: readonly CardTransducer[];
  readonly stations: readonly CardStation[];
  readonly ring: {
    readonly wide: string;
    readonly narrow: string;
    readonly nearestM: number;
    readonly farthestM: number;
    readonly working: readonly WorkingStep[];
  } | null;
  /** Left out while none is entered: a card from before there were any is still right. */
  readonly corrections?: CardCorrections;
}

const withoutWorking = ({ working: _working, ...aground }: Aground): Omit<Aground, 'working'> => aground;

const offsetOn = (plan: Plan, id: string): CardTransducer['offset'] => {
  const { state, changed } = measuredOffset.standing(plan, id);
  const entered = enteredResult(plan, 'depth', id);
  const { reference } = depthOffsetOf(plan, id);
  const result = state === 'fresh' ? measuredOffset.of(plan, id) : null;
  const aground = agroundOf(plan, id);
  return {
    state,
    changed,
    offsetM: entered?.values[0] ?? null,
    working: result?.known ? [...result.soundSpeed.working, ...result.answer.working] : [],
    standardErrorM: entered?.standardError ?? null,
    reference,
    aground: aground && withoutWorking(aground),
    agroundWorking: aground?.working ?? [],
  };
};

const cardStation = ({ id, station, display, plan }: FittedStation): CardStation => {
  const bindings = bindingsAt(plan, id);
  const shallowM = alarmsHeld(plan, id).shallowM;
  const actInS = plan.timeToActS[id];
  const sound = displayDepthError(plan, id, plan.working.depthM);
  const does = (key: number, press: Press): string => {
    const found = bindings.find((one) => one.key === key && one.press === press);
    return found ? actionInWords(plan, found.action) : '';
  };
  return {
    id,
    name: station.name,
    display: display.name,
    screen: { pixelsWide: display.pixelsWide, pixelsHigh: display.pixelsHigh },
    alarms: { ...alarmsHeld(plan, id), ...(actInS === undefined ? {} : { actInS }) },
    shallowShown: shallowM == null ? null : asShown(shallowM, depthDisplayOf(plan, id)),
    sound: sound && { setTo: sound.setTo, soundSpeedMps: sound.soundSpeedMps, errorM: sound.step.value },
    pages: pagesAt(plan, id).map(({ page: { place, name, shownIn, layout } }) => ({
      place,
      name,
      ways: usedWays(plan).filter((way) => shownIn[way]),
      layout,
    })),
    keys: Array.from({ length: display.keys }, (_, i) => ({
      key: i + 1,
      short: does(i + 1, 'short'),
      long: does(i + 1, 'long'),
    })),
  };
};

/** Everything the dash card shows, from the plan alone. */
export const cardOf = (plan: Plan): Card => {
  const { depthM } = plan.working;
  const section = sectionAt(plan, depthM);
  const water = workingWater(plan);
  const sound = water && soundSpeedDownTo(water, depthM);
  const name = (id: string): string => plan.transducers[id]?.name ?? id;
  const { ring } = section;
  const corrections = cardCorrections(plan);
  const givers = new Set(depthGivers(plan).map(({ id }) => id));
  return {
    boat: { name: plan.boat.name, lengthM: plan.boat.lengthM, draughtM: plan.boat.draughtM },
    water: water &&
      sound && {
        name: water.name,
        salinityPpt: water.salinityPpt,
        temperatureC: water.temperatureC,
        soundSpeedMps: sound.soundSpeedMps,
        soundSpeedWorking: sound.working,
      },
    depthM,
    transducers: section.beams.map(({ id, transducer, beam, cone, footprint }) => ({
      id,
      name: transducer.name,
      frequencyHz: beam.frequencyHz,
      coneDeg: cone.acrossDeg,
      coneWorking: cone.working,
      quoted: { beamwidthDeg: beam.beamwidthDeg, levelDb: beam.levelDb },
      footprintM: footprint?.widthAcrossM ?? null,
      footprintWorking: footprint?.working ?? [],
      faceDepthM: faceDepthM(plan, transducer.aboveKeelM),
      offset: givers.has(id) ? offsetOn(plan, id) : null,
    })),
    stations: fittedStations(plan).map(cardStation),
    ring:
      ring?.answer.nearestM != null && ring.answer.farthestM !== null
        ? {
            wide: name(ring.wideId),
            narrow: name(ring.narrowId),
            nearestM: ring.answer.nearestM,
            farthestM: ring.answer.farthestM,
            working: ring.answer.working,
          }
        : null,
    ...(corrections ? { corrections } : {}),
  };
};

/** Everything the card shows. The working is left out: it says how, not what. */
const shownOn = (card: Card): Card =>
  JSON.parse(JSON.stringify(card, (key, value: unknown) => (/working$/i.test(key) ? undefined : value))) as Card;

/** The card on the dash: whether it is the one that would be printed now. */
export const printedCard = defineResult({
  keys: () => ['card'],
  slice: (plan) => shownOn(cardOf(plan)),
  version: cardVersion,
  compute: (card) => card,
  noted: (plan) => Object.values(plan.cards).sort((a, b) => (a.at < b.at ? 1 : -1))[0] ?? null,
  words: {
    boat: 'the boat',
    water: 'the water',
    depthM: 'the working depth',
    transducers: 'the transducers',
    stations: 'the stations',
    ring: 'the ring',
    corrections: 'what is corrected by hand',
  },
});

/** Fingerprint of a card as it is noted when it is printed. */
export const cardFingerprint = (card: Card): string => printedCard.fingerprint(shownOn(card));
