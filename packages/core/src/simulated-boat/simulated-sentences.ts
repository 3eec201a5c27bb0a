import { helmAtRest } from '@grey-keel/model';
import { degreesAndMinutes, encodeSentence } from '../instruments/nmea-encode.ts';
import { placeFrom } from '../calibration/local-metres.ts';
import { simulatedMark } from '../instruments/simulated-mark.ts';
import type { DroppingSensor } from './drop-outs.ts';
import { type BoatMoment, shownOverGround, simulatedMiddle } from './simulated-boat.ts';

const knot = 1852 / 3600;

const two = (value: number): string => String(value).padStart(2, '0');
const timeOf = (at: Date): string =>
  `${two(at.getUTCHours())}${two(at.getUTCMinutes())}${two(at.getUTCSeconds())}.${two(Math.floor(at.getUTCMilliseconds() / 10))}`;
const dateOf = (at: Date): string =>
  `${two(at.getUTCDate())}${two(at.getUTCMonth() + 1)}${two(at.getUTCFullYear() % 100)}`;

/**
 * What the instruments of the simulated boat send at a tick of a tenth of a second: heading ten times a second, course and
 * position twice, the rest once. `tick` counts from 0. The heading is magnetic; `variationDeg` goes with it in HDG and RMC
 * unless it is null. What was entered in the instruments is in what they send; what drops out is silent.
 */
export const simulatedSentences = (
  boat: BoatMoment,
  tick: number,
  at: Date,
  { headingDeg, logFactor, temperatureByC } = helmAtRest.entered,
  {
    silent = () => false,
    variationDeg = null,
  }: {
    readonly silent?: (sensor: DroppingSensor) => boolean;
    readonly variationDeg?: number | null;
  } = {},
): string[] => {
  const variation =
    variationDeg === null ? ['', ''] : [Math.abs(variationDeg).toFixed(1), variationDeg < 0 ? 'W' : 'E'];
  const shown = {
    ...boat.shown,
    compassDeg: (((boat.shown.compassDeg + headingDeg) % 360) + 360) % 360,
    logMps: boat.shown.logMps * logFactor,
    temperatureC: boat.shown.temperatureC + temperatureByC,
  };
  const heading = encodeSentence('HC', 'HDG', [shown.compassDeg.toFixed(1), '', '', ...variation]);
  const sentences = [heading];
  const due = (every: number, after: number): boolean => tick % every === after;
  const { sogMps, cogDeg } = shownOverGround(boat);
  const { latitudeDeg, longitudeDeg } = placeFrom(simulatedMiddle, { east: shown.eastM, north: shown.northM });
  const position = [...degreesAndMinutes(latitudeDeg, 'NS'), ...degreesAndMinutes(longitudeDeg, 'EW')];
  if (due(5, 0) && !silent('position')) {
    const knots = (sogMps / knot).toFixed(2);
    sentences.push(
      encodeSentence('GP', 'RMC', [
        timeOf(at),
        'A',
        ...position,
        knots,
        cogDeg.toFixed(1),
        dateOf(at),
        ...variation,
        'A',
      ]),
    );
  }
  if (due(10, 0)) sentences.push(encodeSentence(simulatedMark.talker, simulatedMark.type, [1]));
  if (due(10, 2) && !silent('depth')) {
    const metres = shown.depthM.toFixed(2);
    sentences.push(encodeSentence('SD', 'DPT', [metres, '0.0']));
  }
  if (due(10, 4) && !silent('log'))
    sentences.push(
      encodeSentence('VW', 'VHW', [
        '',
        'T',
        shown.compassDeg.toFixed(1),
        'M',
        (shown.logMps / knot).toFixed(2),
        'N',
        (shown.logMps * 3.6).toFixed(2),
        'K',
      ]),
    );
  if (due(10, 6)) sentences.push(encodeSentence('YX', 'MTW', [shown.temperatureC.toFixed(1), 'C']));
  if (due(10, 8)) sentences.push(encodeSentence('II', 'XDR', ['U', boat.batteryV.toFixed(2), 'V', 'house']));
  return sentences;
};
