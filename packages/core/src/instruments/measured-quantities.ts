import type { LiveQuantity } from '@grey-keel/model';
import type { NmeaFields } from './nmea-types.ts';
import type { ReadSentence } from './read-sentence.ts';

export type Measured = Partial<Record<LiveQuantity, number>>;

const numberIn = (fields: NmeaFields, name: string): number | null => {
  const value = fields[name];
  return typeof value === 'number' && Number.isFinite(value) ? value : null;
};
const round = (deg: number): number => ((deg % 360) + 360) % 360;
const known = (values: Readonly<Partial<Record<LiveQuantity, number | null>>>): Measured => {
  const there: Measured = {};
  for (const name in values) {
    const value = values[name as LiveQuantity];
    if (value !== null && value !== undefined) there[name as LiveQuantity] = value;
  }
  return there;
};

/**
 * What a sentence says a boat's instruments measure, in the units that the names say. A sentence whose checksum is wrong
 * says nothing, nor does one that calls itself void. A depth is below the face: DBS, which is below the surface, is left to
 * those who want it. HDG is the compass with its own deviation added; the compass before it, and variation, are told by
 * themselves. HDM comes from a compass, too; VHW repeats what another instrument said and is none.
 */
export const measuredQuantities = ({ type, checksumOk, fields }: ReadSentence): Measured => {
  if (checksumOk === false || fields['valid'] === false) return {};
  switch (type) {
    case 'DPT':
    case 'DBT':
      return known({ depthM: numberIn(fields, 'depthM') });
    case 'MTW':
      return known({ temperatureC: numberIn(fields, 'temperatureC') });
    case 'VHW':
      return known({
        logMps: numberIn(fields, 'speedMps'),
        headingMagneticDeg: numberIn(fields, 'headingMagneticDeg'),
        headingTrueDeg: numberIn(fields, 'headingTrueDeg'),
      });
    case 'HDG': {
      const heading = numberIn(fields, 'headingDeg');
      return known({
        compassDeg: heading,
        headingMagneticDeg: heading === null ? null : round(heading + (numberIn(fields, 'deviationDeg') ?? 0)),
        variationDeg: numberIn(fields, 'variationDeg'),
      });
    }
    case 'HDM':
      return known({ compassDeg: numberIn(fields, 'headingDeg'), headingMagneticDeg: numberIn(fields, 'headingDeg') });
    case 'HDT':
      return known({ headingTrueDeg: numberIn(fields, 'headingDeg') });
    case 'VTG':
      return fields['mode'] === 'N'
        ? {}
        : known({ cogDeg: numberIn(fields, 'cogDeg'), sogMps: numberIn(fields, 'speedMps') });
    case 'RMC':
      return known({
        cogDeg: numberIn(fields, 'cogDeg'),
        sogMps: numberIn(fields, 'speedMps'),
        latitudeDeg: numberIn(fields, 'latitudeDeg'),
        longitudeDeg: numberIn(fields, 'longitudeDeg'),
        variationDeg: numberIn(fields, 'variationDeg'),
      });
    case 'GGA':
      return numberIn(fields, 'fixQuality') === 0
        ? {}
        : known({ latitudeDeg: numberIn(fields, 'latitudeDeg'), longitudeDeg: numberIn(fields, 'longitudeDeg') });
    case 'GLL':
      return known({ latitudeDeg: numberIn(fields, 'latitudeDeg'), longitudeDeg: numberIn(fields, 'longitudeDeg') });
    case 'XDR': {
      const volts = Object.keys(fields).find((name) => name.endsWith(' voltageV'));
      return known({ voltageV: volts === undefined ? null : numberIn(fields, volts) });
    }
    case 'MWV':
      return fields['windReference'] === 'over the boat'
        ? known({ windAngleDeg: numberIn(fields, 'windAngleDeg'), windMps: numberIn(fields, 'windSpeedMps') })
        : {};
    default:
      return {};
  }
};
