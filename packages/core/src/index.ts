export { absorption } from './water/absorption.ts';
export { soundSpeed } from './water/sound-speed.ts';
export { bottomBackscatterDb, bottomsOf, bottomTypes, type BottomType } from './acoustics/backscatter.ts';
export { detectionRange } from './acoustics/detection-range.ts';
export { noiseSpectrum } from './acoustics/noise.ts';
export { sonarBudget } from './acoustics/sonar-budget.ts';
export { targetStrength, targetStrengthDb } from './acoustics/target-strength.ts';
export { pingTiming } from './acoustics/ping-timing.ts';
export { rangeResolution } from './acoustics/range-resolution.ts';
export { absorptionLossDb, lostToAbsorption, type LostToAbsorption } from './beams/absorption-to-depth.ts';
export { bottomEchoes } from './acoustics/bottom-echoes.ts';
export { ringDown } from './acoustics/ring-down.ts';
export { beamwidth } from './beams/beamwidth.ts';
export { beamwidthLevel } from './beams/beamwidth-level.ts';
export { footprint } from './beams/footprint.ts';
export { coveredAhead, outlineAhead, sweptAhead, usualForward, type AheadUnit } from './beams/forward-fan.ts';
export { forwardMounting, forwardView } from './beams/forward-view.ts';
export { fansAt, looksAhead, type FanSeen, type SceneFan } from './beams/scene-fans.ts';
export { shadowLengthM, sideScanShadow } from './beams/side-scan-shadow.ts';
export { sounderLimits, type SounderLimits } from './beams/sounder-limits.ts';
export { steeredSector } from './beams/steered-sector.ts';
export { markStrengths, moveInParts, targetArea, weakWidthDeg, type MarkStrength } from './beams/target-area.ts';
export { askOf, type Exercise, type Score } from './drill/exercise.ts';
export { groundRange } from './beams/ground-range.ts';
export { checkSheet, drawnLevelDb, halfPowerCone, type DrawnCone, type SheetCheck } from './beams/half-power-cone.ts';
export { drawSection, svgPoints, type DrawnView, type SectionFrame } from './beams/section-drawing.ts';
export {
  bottomAtM,
  sceneAt,
  thermoclineError,
  type FishSeen,
  type Scene,
  type SceneBeam,
  type SceneFish,
} from './beams/scene.ts';
export { sectionAt, type Section, type SectionBeam, type SectionRing } from './beams/section.ts';
export { speedTable, type AtSpeed, type SpeedRow } from './beams/speed-table.ts';
export { compareBeams, type PlainBeam, type TwoBeams } from './beams/two-beams.ts';
export { act, at } from './plan/target.ts';
export { usualChargingV } from './power/charging.ts';
export {
  alarmKinds,
  type AlarmsHeld,
  alarmsHeld,
  enteredResult,
  goesInto,
  heldBy,
  heldLine,
  isSet,
  sidesHeld,
  typeHeld,
} from './plan/held-by.ts';
export { offsetForDisplay } from './sources/offset-for-display.ts';
export { depthAtSpeed, faceSinksM } from './calibration/face-at-speed.ts';
export { groundingToleranceM } from './calibration/grounding-tolerance.ts';
export { skegOf } from './plan/skeg.ts';
export { assumedPlaces } from './plan/assumed.ts';
export { newPlan } from './templates/new-plan.ts';
export { displayOf, fitDisplayEdits } from './plan/fit-display.ts';
export { workingBeamOf } from './beams/working-beam.ts';
export { silhouetteOf, type Point, type Silhouette } from './beams/silhouette.ts';
export { targetRing } from './beams/target-ring.ts';
export { candidatesFor, fittedOf, type Candidate, type RuledOut } from './advice/candidate.ts';
export { judgeDisplays, type DisplayJudged, type StationDisplays } from './advice/displays.ts';
export {
  imagingKinds,
  imagingWorking,
  rankImaging,
  type ImagingKind,
  type ImagingPlace,
  type ImagingRanking,
} from './advice/imaging.ts';
export { layoutInWords } from './pages/layout-in-words.ts';
export { makeMissingPages, missingPages } from './pages/missing-pages.ts';
export { type EnteredAboard, enteredAboard, enteredInWords } from './handover/entered-aboard.ts';
export { whoseBoat } from './handover/whose-boat.ts';
export { workingDepthFollows } from './plan/working-depth.ts';
export { whyIt } from './advice/why-it.ts';
export { entryToPlace, placeEdits, type PlacedAs, type ToPlace } from './fit/place-edits.ts';
export { entriesOf, warnedOf } from './job/warned-of.ts';
export { measureWorking } from './advice/measure-working.ts';
export { measuresOf, type BeamMeasures, type Measures } from './advice/measures.ts';
export {
  questions,
  rankings,
  rankTransducers,
  type Place,
  type Question,
  type Ranking,
  type Rankings,
  type ScorePart,
} from './advice/rank.ts';
export { shoppingOf, type Shopping, type ShoppingLine } from './advice/shopping.ts';
export { requirementsOf, weightsOf, type Requirements, type Weights } from './beams/requirements.ts';
export { budgetDifference } from './beams/budget-difference.ts';
export { detailAtDepth, type BeamDetail } from './beams/detail-at-depth.ts';
export { deadZone } from './beams/dead-zone.ts';
export {
  assumedEfficiency,
  assumedPowerW,
  beamShape,
  derivedFigures,
  elementAcoustics,
  impliedEfficiency,
  offAxisDb,
  resolutionOf,
  type ElementAcoustics,
} from './beams/element-acoustics.ts';
export { imagingHere } from './beams/imaging-here.ts';
export { imagingFrequency } from './beams/imaging-frequency.ts';
export {
  bottomReachM,
  bottomSnrDb,
  fillTargetSnr,
  rangeGrid,
  beamRangeTerms,
  requiredSnrDb,
  noiseUncertaintyDb,
  bottomReachSpan,
  targetReachM,
  targetRangeSpan,
  traceSnrDb,
  targetSnrDb,
  type Conditions,
  type RangeGrid,
  type BeamRangeTerms,
} from './beams/beam-range.ts';
export {
  answerOf,
  calculate,
  OutOfRange,
  type Answer,
  type Calculated,
  type Calculation,
} from './calculation/calculation.ts';
export { calculations } from './calculations.ts';
export { usualWaveS } from './calibration/surety.ts';
export { usualLeadLineByM } from './calibration/depth-offset-subject.ts';
export { depthOffset } from './calibration/depth-offset.ts';
export {
  depthOffsetOf,
  isLetDown,
  measuredOffset,
  readingSetTo,
  readingSoundSpeedMps,
  readingWater,
  type DepthOffsetAnswer,
  type DepthOffsetInputs,
  type DepthOffsetResult,
} from './calibration/depth-offset-subject.ts';
export type { CalibratedSensor } from './calibration/calibrated-sensors.ts';
export { calibratedSensors, calibrationRows, kindWord } from './calibration/calibration-rows.ts';
export { magneticVariation, variationModel } from './calibration/magnetic-variation.ts';
export {
  calibrateExercises,
  type HiddenErrorAnswer,
  type HiddenErrorQuestion,
} from './stages/calibrate/exercises/hidden-error.ts';
export { deviationCard } from './calibration/deviation-calibration.ts';
export { type ResultStanding } from './plan/define-result.ts';
export {
  alsoEntered,
  withoutApart,
  entryOf,
  followsFrom,
  isHeld,
  measurementOf,
  moreFor,
  standingOf,
  toleranceOf,
} from './calibration/measured-by-kind.ts';
export { asDisplayed, correctionIsSet } from './calibration/live-correction.ts';
export { heldAgainst } from './calibration/step-calibration.ts';
export { calibrationOf, type Measured, type Measurement } from './calibration/sensor-calibration.ts';
export { bearingOf, circularMean, eastNorth, wrapped } from './calibration/bearings.ts';
export { compassFrom, headingFrom } from './instruments/heading-from.ts';
export { measuredQuantities } from './instruments/measured-quantities.ts';
export { readSentence, type ReadSentence } from './instruments/read-sentence.ts';
export {
  averagedRun,
  type CutRun,
  heldHeading,
  steadyRun,
  steadyValue,
  type RunAverage,
  type RunRules,
  type RunSamples,
  type RunState,
  type Sample,
} from './instruments/steady-run.ts';
export { type HiddenErrors } from './simulated-boat/hidden-errors.ts';
export { simulatedBoat, type SimulatedBoat } from './simulated-boat/simulated-boat.ts';
export { dropsOut } from './simulated-boat/drop-outs.ts';
export { followScript, type RunningScript } from './simulated-boat/helm-script.ts';
export { metresFrom, overGround, placeFrom } from './calibration/local-metres.ts';
export { overTheSide } from './simulated-boat/over-the-side.ts';
export { simulatedMark } from './instruments/simulated-mark.ts';
export type { LogChannel, LogCounts } from './instruments/log-reader.ts';
export { thinned } from './instruments/thinned.ts';
export { degreesAndMinutes, encodeSentence } from './instruments/nmea-encode.ts';
export { simulatedSentences } from './simulated-boat/simulated-sentences.ts';
export { agroundInWords, changeOnEntering, signInWords } from './calibration/offset-words.ts';
export { cutoffFor, findOutliers, median } from './calibration/outliers.ts';
export { applyEdits, replayEdits, undoing, type Applied, type Refused } from './job/apply-edits.ts';
export { newSource } from './edits/new-parts.ts';
export { overlaps, splitPatches, touches, valueAt, type Conflict } from './edits/rebase.ts';
export {
  csvColumns,
  csvTemplate,
  guessColumns,
  readCatalogueCsv,
  type CsvCatalogue,
  type CsvFault,
  type CsvKey,
} from './exchange/catalogue-csv.ts';
export { fieldErrors, type FieldError } from './calculation/field-errors.ts';
export { findings, rules } from './job/findings.ts';
export { findingsOf } from './findings/rule.ts';
export { fitRules } from './stages/fit/rules/fit.ts';
export { networkRules } from './stages/fit/rules/network.ts';
export {
  devicesWithSettings,
  type EnteredLine,
  isDone,
  lineOfProcedure,
  linesOf,
  type LineStanding,
} from './job/entered-lines.ts';
export { enterLine, keepAsItIs, seeLine, takeBackLine } from './job/line-edits.ts';
export { seenToOnce } from './sources/display-rows.ts';
export { looksAside } from './calibration/calibrated-sensors.ts';
export { foundSet } from './calibration/found-set.ts';
export { keyedIn, offsetKeyedIn } from './calibration/keyed-in.ts';
export { heldOffsetM } from './calibration/held-offset.ts';
export { fittedStations, type FittedStation } from './plan/fitted-stations.ts';
export { alarmsInWords } from './handover/alarm-words.ts';
export { soundInWords } from './handover/sound-words.ts';
export { cardCautions, cautions } from './handover/cautions.ts';
export { type CardCorrections, correctionInWords, deviationInWords } from './handover/card-corrections.ts';
export {
  cardFingerprint,
  cardOf,
  printedCard,
  type Card,
  type CardStation,
  type CardTransducer,
} from './handover/card.ts';
export { actionInWords, isFrequent, isRisky, sameAction } from './keys/action-words.ts';
export { bindingsAt, slotOf, slotsOf, type Binding, type Slot } from './keys/key-slots.ts';
export {
  bindFreeKeys,
  bindProposal,
  changedKeys,
  keySchools,
  keySchoolsOf,
  proposeKeys,
  type KeyChange,
  type KeySchool,
  type ProposedKey,
} from './keys/propose-keys.ts';
export { nameAll } from './sources/name-all.ts';
export { changePane, removePane, resizeBands, resizePanes, splitPane, type PanePlace } from './pages/change-layout.ts';
export { leastAngleArcmin, legibility, type Light } from './pages/legibility.ts';
export { hardestSight, sightsOf, type Sight } from './pages/number-legibility.ts';
export { pageFor, pagesAt, shownWays, usedWays, type ListedPage } from './plan/pages-at.ts';
export { paneScale } from './pages/pane-scale.ts';
export { panesOf, pixelPitchM, type PlacedPane } from './pages/panes.ts';
export { suggestLayouts, viewsAboard, type SuggestedLayout } from './pages/suggest-layouts.ts';
export { viewRangeM } from './pages/view-range.ts';
export {
  axisTiltDeg,
  equipmentOf,
  markingAntennas,
  markShift,
  sideFanEdgesDeg,
  sideViewBlocked,
  toBladeTips,
  type Blocked,
  type MarkShift,
} from './fit/clearances.ts';
export { sightLine } from './fit/sight-line.ts';
export { bowHeightM, runningTrimDeg, type Guessed } from './fit/bow-guess.ts';
export { stationSight, type StationSight } from './fit/station-sight.ts';
export { readBundle, type ReadBundle } from './exchange/read-bundle.ts';
export { faceAboveWater } from './stages/beams/rules/face-above-water.ts';
export { placeRules } from './stages/fit/rules/places.ts';
export { hullChanges, usualPropellers } from './fit/places.ts';
export { deepestWaterM, beamRangeSaid, goneDb, type BeamRangeSaid } from './beams/beam-range-said.ts';
export { electricalFloorOf } from './acoustics/electrical-floor.ts';
export { ampacity } from './power/ampacity.ts';
export { batteryDay } from './power/battery-day.ts';
export { circuitStanding, worstCurrentA, type CircuitStanding } from './power/circuit-standing.ts';
export { restVoltageV } from './power/battery-curve.ts';
export { circuitsOn, currentOf, dayLine, dayOf, type DaySpan } from './power/day-voltage.ts';
export { startDip } from './power/start-dip.ts';
export { voltageDrop } from './power/voltage-drop.ts';
export { shallowLimits, voltageLimits, type ShallowLimits } from './alarms/alarm-limits.ts';
export { depthGivers, type DepthGiver } from './sources/depth-givers.ts';
export { asShown, depthDisplayOf, upToStepM, type DepthDisplay } from './sources/depth-display.ts';
export { readAt, setUpIn } from './plan/read-at.ts';
export { displaySound, soundOfType, type DisplayWater } from './sources/display-sound.ts';
export { timeToAct, usualActInS, type TimeToAct } from './alarms/time-to-act.ts';
export { agroundBy, agroundWith, agroundOf, type Aground } from './calibration/aground.ts';
export { entryDoubts } from './calibration/entry-doubts.ts';
export { conditionsOfFirstReading } from './calibration/first-reading.ts';
export { offsetAtGrounding } from './calibration/offset-at-grounding.ts';
export { waySpeed, waysAfloat } from './plan/way-speeds.ts';
export { displayDepthError } from './sources/display-depth-error.ts';
export { deepestLoading, loweredWays, lowestPoint, type LowestPoint } from './plan/lowest-point.ts';
export { bestFeeds } from './sources/best-feeds.ts';
export { feedChoices, poorRank, type FeedChoice } from './sources/feeds.ts';
export { changesWith, travelConflicts, whatTravels, type TravellingSetting } from './sources/what-travels.ts';
export { isFactoryName, suggestSourceName } from './sources/source-names.ts';
export { interferenceOf, interferesDb, type Interference } from './interference/interference.ts';
export { interferenceIn, otherBeamCost, quietPlan, standbyCost, type QuietPlan } from './interference/quiet-plan.ts';
export { devicesOf, newNetworkDevice, takesTransducers, type Device } from './network/devices.ts';
export { freePlug, socketOf } from './network/sockets.ts';
export { diagramOf, type Diagram, type DiagramNode } from './network/diagram.ts';
export { laidDiagram, layoutGraph, type LaidDiagram } from './network/diagram-layout.ts';
export { glossary, type Term, type TermGroup } from './words/glossary.ts';
export { backTo, changedTo } from './plan/back-to.ts';
export { putPatches } from './edits/put-patches.ts';
export { aboardSheets, type AboardTable } from './sheets/aboard-sheet.ts';
export { wiringSheets, type SheetTable } from './sheets/wiring-sheet.ts';
export { copyPlan } from './job/copy-plan.ts';
export { fingerprint, quantised } from './plan/fingerprint.ts';
export { beamsExercises } from './stages/beams/exercises/exercises.ts';
export { areaOf, type WhereAnswer, type WhereQuestion } from './stages/beams/exercises/where-is-it.ts';
export type { WhichBeamAnswer, WhichBeamQuestion } from './stages/beams/exercises/which-beam-shows-it.ts';
export type { WhichFrequencyAnswer, WhichFrequencyQuestion } from './stages/beams/exercises/which-frequency.ts';
export { builtStages, stages, type BuiltStage } from './job/stages.ts';
export { needsOf, nextStep, stageAfter } from './job/next-step.ts';
export { stageStates, waterline, type StageStanding } from './job/stage-states.ts';
export type { ToDo } from './plan/to-do.ts';
export type { RefusalCode } from './edits/edit-refused.ts';
export { faceDepthM, inOrder, soundSpeedDownTo, workingWater } from './plan/working-water.ts';
export * from './units/index.ts';
