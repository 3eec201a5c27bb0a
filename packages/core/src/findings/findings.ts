import { severities, stageNumber, type Finding, type Plan } from '@grey-keel/model';
import { findingsOf, type Rule } from './rule.ts';
import { absorptionHeavy } from './rules/absorption-heavy.ts';
import { brackishAbsorption } from './rules/brackish-absorption.ts';
import { bottomOnPlane } from './rules/bottom-on-plane.ts';
import { briefMissing } from './rules/brief-missing.ts';
import { cardStale } from './rules/card-standing.ts';
import { coneLevel } from './rules/cone-level.ts';
import { offsetAboveWater, offsetScale, offsetUnsafe, offsetWrongSign } from './rules/offset-errors.ts';
import { offsetFew, offsetFlagged, offsetGeometry, offsetUncertain, readingHalf } from './rules/offset-readings.ts';
import { offsetMissing, offsetStale } from './rules/offset-standing.ts';
import { fitRules } from './rules/fit.ts';
import { faceAboveWater } from './rules/face-above-water.ts';
import { keyLost, keyOnTrailer, keyPlace, keySlip, keyTwice, pageWithoutKey } from './rules/keys.ts';
import { narrowOutsideWide } from './rules/narrow-outside-wide.ts';
import { noTransducer } from './rules/no-transducer.ts';
import { orderOfValues } from './rules/order-of-values.ts';
import {
  displayMissing,
  numberSmall,
  pageMissing,
  panesTooMany,
  viewQuiet,
  viewWithoutTransducer,
} from './rules/pages.ts';
import { networkRules } from './rules/network.ts';
import { placeRules } from './rules/places.ts';
import { powerRules } from './rules/power.ts';
import { salinityKind } from './rules/salinity-kind.ts';
import { sameBand } from './rules/same-band.ts';
import { sameName } from './rules/same-name.ts';
import { sheetEfficiency } from './rules/sheet-efficiency.ts';
import { sourceRules } from './rules/sources.ts';
import { transmitsForNothing } from './rules/transmits-for-nothing.ts';
import { transmitsOnTrailer } from './rules/transmits-on-trailer.ts';

/** Every rule a boat is judged by. */
export const rules: readonly Rule[] = [
  briefMissing,
  salinityKind,
  orderOfValues,
  noTransducer,
  faceAboveWater,
  transmitsOnTrailer,
  transmitsForNothing,
  coneLevel,
  sheetEfficiency,
  bottomOnPlane,
  sameBand,
  sameName,
  absorptionHeavy,
  brackishAbsorption,
  narrowOutsideWide,
  ...placeRules,
  ...fitRules,
  ...powerRules,
  ...networkRules,
  ...sourceRules,
  offsetWrongSign,
  offsetUnsafe,
  offsetAboveWater,
  offsetScale,
  offsetStale,
  offsetMissing,
  offsetFew,
  offsetFlagged,
  readingHalf,
  offsetUncertain,
  offsetGeometry,
  displayMissing,
  pageMissing,
  numberSmall,
  panesTooMany,
  viewWithoutTransducer,
  viewQuiet,
  keyOnTrailer,
  keyLost,
  keyPlace,
  keyTwice,
  keySlip,
  pageWithoutKey,
  cardStale,
];

/** All there is to say about a boat: by stage, the gravest first. */
export const findings = (plan: Plan): Finding[] =>
  rules
    .flatMap((rule) => findingsOf(rule, plan))
    .sort(
      (a, b) =>
        stageNumber(a.stage) - stageNumber(b.stage) || severities.indexOf(a.severity) - severities.indexOf(b.severity),
    );
