import { type Plan, type SettingKind, type SettingValue } from '@grey-keel/model';
import { defineSetting } from '../plan/define-setting.ts';
import { setUpIn } from '../plan/read-at.ts';
import { inOrder, soundSpeedDownTo, workingWater } from '../plan/working-water.ts';
import { bestWater, isNoticed } from './best-water.ts';
import { displaySound } from './display-sound.ts';

/** A display's own settings are of itself; a sensor has none of these. */
export const itsOwn = (plan: Plan, deviceId: string): readonly string[] => (plan.displays[deviceId] ? [deviceId] : []);

/** What is set up in a device: the transducers that are read on a display, or the sensor itself. */
export const setUpOn = (plan: Plan, deviceId: string): readonly string[] =>
  [...inOrder(plan.transducers), ...inOrder(plan.equipment)].flatMap(([id]) =>
    setUpIn(plan, id) === deviceId && plan.sources[id] ? [id] : [],
  );

const notChosen = { reason: 'not chosen yet' } as const;

const plain = (text: string): string => text.trim().toLowerCase().replace(/\s+/g, ' ');

export const depthDisplaySetting = defineSetting({
  kind: 'depth-display',
  group: 'Units and water',
  word: 'Depth in',
  of: itsOwn,
  chosenFor: 'device',
  wanted: ({ chosen }, deviceId) => {
    const value = chosen.devices[deviceId]?.['depth-display']?.[deviceId] ?? chosen.boat['depth-display'];
    return value ? { value } : notChosen;
  },
  inWords: ({ unit, step }) => [`${unit}, steps of ${step}`],
});

export const soundSetting = defineSetting({
  kind: 'sound',
  group: 'Units and water',
  word: 'Water',
  of: itsOwn,
  measured: 'sound speed',
  wanted: (plan) => {
    const best = bestWater(plan);
    return best ? { value: { waterType: best.type } } : { reason: 'the water is not described' };
  },
  // Whatever is set will do as long as what it costs is lost in what the display shows.
  bears: (held, _, plan) => {
    const water = workingWater(plan);
    const { depthM } = plan.working;
    const sound = water && displaySound(held, water, depthM);
    if (!water || !sound) return false;
    const errorM = depthM * (sound.soundSpeedMps / soundSpeedDownTo(water, depthM).soundSpeedMps - 1);
    return !isNoticed(errorM, depthM);
  },
  inWords: (value) =>
    'waterType' in value ? [value.waterType] : ['', { value: value.soundSpeedMps, quantity: 'soundSpeed' }],
});

export const northSetting = defineSetting({
  kind: 'north',
  group: 'Units and water',
  word: 'North',
  of: itsOwn,
  chosenFor: 'boat',
  wanted: ({ chosen }) => (chosen.boat.north ? { value: chosen.boat.north } : notChosen),
  inWords: (value) => [value],
});

export const typeSetting = defineSetting({
  kind: 'type',
  group: 'Types and names',
  word: 'Type',
  of: setUpOn,
  wanted: (plan, _, ofId) => {
    const tag = plan.sources[ofId]?.tag;
    return tag ? { value: tag } : { reason: 'its tag is not read yet' };
  },
  bears: (held, wanted) => plain(held) === plain(wanted),
  inWords: (value) => [value],
});

export const nameSetting = defineSetting({
  kind: 'name',
  group: 'Types and names',
  word: 'Name',
  of: setUpOn,
  wanted: (plan, _, ofId) => {
    const name = plan.sources[ofId]?.name;
    return name ? { value: name } : { reason: 'it has no name yet' };
  },
  inWords: (value) => [value],
});

type SeenTo = 'nuisance-alarms' | 'hiding-menus' | 'unused-pages' | 'brightness' | 'blank-card' | 'chart-card';
/** With what it is once it has been seen to. */
const seenTo = <K extends SeenTo & SettingKind>(kind: K, word: string, done: SettingValue<K>) => ({
  ...defineSetting<K>({
    kind,
    group: 'Seen to once',
    word,
    of: itsOwn,
    wanted: () => ({ value: done }),
    inWords: () => [done],
  }),
  done,
});

export const seenToOnce = {
  'nuisance-alarms': seenTo('nuisance-alarms', 'Nuisance alarms', 'off'),
  'hiding-menus': seenTo('hiding-menus', 'Menus that hide', 'off'),
  'unused-pages': seenTo('unused-pages', 'Unused pages', 'hidden'),
  brightness: seenTo('brightness', 'Brightness', 'set'),
  'blank-card': seenTo('blank-card', 'Blank card', 'in'),
  'chart-card': seenTo('chart-card', 'Chart card', 'in'),
};
