import type { LiveQuantity } from '@grey-keel/model';
import type { ReadSentence } from './read-sentence.ts';

export type Measured = Partial<Record<LiveQuantity, number>>;

const numberOf = (value: unknown): number | null =>
  typeof value === 'number' && Number.isFinite(value) ? value : null;
const round = (deg: number): number => ((deg % 360) + 360) % 360;
const known = (values: Readonly<Partial<Record<LiveQuantity, number | null>>>): Measured =>
  Object.fromEntries(Object.entries(values).filter(([, value]) => value !== null));

/**
 * What a sentence says a boat's instruments measure, in the units that the names say. A sentence whose checksum is wrong
 * says nothing, nor does one that calls itself void. A depth is below the face: DBS, which is below the surface, is left to
 * those who want it. HDG is the compass with its own deviation added; variation is told by itself.
 */
export const measuredQuantities = ({ type, checksumOk, fields }: ReadSentence): Measured => {
  if (checksumOk === false || fields['valid'] === false) return {};
  const of = (name: string): number | null => numberOf(fields[name]);
  switch (type) {
    case 'DPT':
    case 'DBT':
      return known({ depthM: of('depthM') });
    case 'MTW':
      return known({ temperatureC: of('temperatureC') });
    case 'VHW':
      return known({
        logMps: of('speedMps'),
        headingMagneticDeg: of('headingMagneticDeg'),
        headingTrueDeg: of('headingTrueDeg'),
      });
    case 'HDG': {
      const heading = of('headingDeg');
      return known({
        headingMagneticDeg: heading === null ? null : round(heading + (of('deviationDeg') ?? 0)),
        variationDeg: of('variationDeg'),
      });
    }
    case 'HDM':
      return known({ headingMagneticDeg: of('headingDeg') });
    case 'HDT':
      return known({ headingTrueDeg: of('headingDeg') });
    case 'VTG':
      return fields['mode'] === 'N' ? {} : known({ cogDeg: of('cogDeg'), sogMps: of('speedMps') });
    case 'RMC':
      return known({
        cogDeg: of('cogDeg'),
        sogMps: of('speedMps'),
        latitudeDeg: of('latitudeDeg'),
        longitudeDeg: of('longitudeDeg'),
        variationDeg: of('variationDeg'),
      });
    case 'GGA':
      return of('fixQuality') === 0 ? {} : known({ latitudeDeg: of('latitudeDeg'), longitudeDeg: of('longitudeDeg') });
    case 'GLL':
      return known({ latitudeDeg: of('latitudeDeg'), longitudeDeg: of('longitudeDeg') });
    case 'XDR': {
      const volts = Object.entries(fields).find(([name]) => name.endsWith(' voltageV'));
      return known({ voltageV: numberOf(volts?.[1]) });
    }
    case 'MWV':
      return fields['windReference'] === 'over the boat'
        ? known({ windAngleDeg: of('windAngleDeg'), windMps: of('windSpeedMps') })
        : {};
    default:
      return {};
  }
};
