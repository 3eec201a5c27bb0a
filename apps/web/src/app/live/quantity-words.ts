import type { LiveQuantity, Quantity } from '@grey-keel/model';

/** How a live quantity is called and measured. */
export const quantityWords: Readonly<
  Record<LiveQuantity, { readonly label: string; readonly short: string; readonly quantity: Quantity }>
> = {
  depthM: { label: 'Depth below the face', short: 'depth', quantity: 'depth' },
  temperatureC: { label: 'Water temperature', short: 'water', quantity: 'temperature' },
  logMps: { label: 'Speed through water', short: 'log', quantity: 'speed' },
  compassDeg: { label: 'Compass, before deviation', short: 'compass', quantity: 'angle' },
  headingMagneticDeg: { label: 'Heading, magnetic', short: 'heading (M)', quantity: 'angle' },
  headingTrueDeg: { label: 'Heading, true', short: 'heading (T)', quantity: 'angle' },
  cogDeg: { label: 'Course over ground', short: 'course', quantity: 'angle' },
  sogMps: { label: 'Speed over ground', short: 'over ground', quantity: 'speed' },
  latitudeDeg: { label: 'Latitude', short: 'latitude', quantity: 'angle' },
  longitudeDeg: { label: 'Longitude', short: 'longitude', quantity: 'angle' },
  variationDeg: { label: 'Variation', short: 'variation', quantity: 'angle' },
  voltageV: { label: 'Voltage', short: 'voltage', quantity: 'voltage' },
  windAngleDeg: { label: 'Wind angle over the boat', short: 'wind angle', quantity: 'angle' },
  windMps: { label: 'Wind speed over the boat', short: 'wind', quantity: 'speed' },
};

/** What stands in the strip over the procedures, in this order. */
export const stripQuantities: readonly LiveQuantity[] = [
  'headingMagneticDeg',
  'headingTrueDeg',
  'cogDeg',
  'sogMps',
  'logMps',
  'depthM',
  'temperatureC',
  'voltageV',
];
