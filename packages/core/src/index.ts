export { absorption } from './water/absorption.ts';
export { soundSpeed } from './water/sound-speed.ts';
export { bottomBackscatterDb, bottomOf, bottomTypes, type BottomType } from './acoustics/backscatter.ts';
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
export { exerciseKinds, makeExercise, type Exercise, type ExerciseKind } from './drill/exercise.ts';
export { scoreOf, type Answer as DrillAnswer, type Score, type ScoredPart } from './drill/score.ts';
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
export { workingBeamOf } from './beams/working-beam.ts';
export { silhouetteOf, type Point, type Silhouette } from './beams/silhouette.ts';
export { targetRing } from './beams/target-ring.ts';
export { candidatesFor, fittedOf, type Candidate, type RuledOut } from './beams/advice/candidate.ts';
export { judgeDisplays, type DisplayJudged, type StationDisplays } from './beams/advice/displays.ts';
export {
  imagingKinds,
  imagingWorking,
  rankImaging,
  type ImagingKind,
  type ImagingPlace,
  type ImagingRanking,
} from './beams/advice/imaging.ts';
export { measureWorking } from './beams/advice/measure-working.ts';
export { measuresOf, type BeamMeasures, type Measures } from './beams/advice/measures.ts';
export {
  questions,
  rankings,
  rankTransducers,
  type Place,
  type Question,
  type Ranking,
  type Rankings,
  type ScorePart,
} from './beams/advice/rank.ts';
export { shoppingOf, type Shopping, type ShoppingLine } from './beams/advice/shopping.ts';
export { wantsOf, weightsOf, type Wants, type Weights } from './beams/advice/wants.ts';
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
export { imagingFrequency } from './beams/imaging-frequency.ts';
export {
  bottomReachM,
  bottomSnrDb,
  fillTargetSnr,
  rangeGrid,
  reachTerms,
  requiredSnrDb,
  noiseUncertaintyDb,
  bottomReachSpan,
  targetReachM,
  targetReachSpan,
  traceSnrDb,
  targetSnrDb,
  type Conditions,
  type RangeGrid,
  type ReachTerms,
} from './beams/reach.ts';
export { answerOf, calculate, OutOfRange, type Answer, type Calculated, type Calculation } from './calculation.ts';
export { calculations } from './calculations.ts';
export { depthOffset, removesFrom } from './calibration/depth-offset.ts';
export {
  depthOffsetFingerprint,
  depthOffsetInputs,
  depthOffsetOf,
  depthOffsetResult,
  offsetStanding,
  readingSetTo,
  readingSoundSpeedMps,
  readingWater,
  type DepthOffsetAnswer,
  type DepthOffsetInputs,
  type DepthOffsetResult,
  type OffsetStanding,
} from './calibration/depth-offset-subject.ts';
export { agroundInWords, changeOnEntering, signInWords } from './calibration/offset-words.ts';
export { cutoffFor, findOutliers, median } from './calibration/outliers.ts';
export { applyEdits, replayEdits, undoing, type Applied, type Refused } from './edits/apply-edits.ts';
export { newDepthOffset, newSource, newUnitSettings } from './edits/parts-of-plan.ts';
export { overlaps, splitPatches, touches, valueAt, type Clash } from './edits/rebase.ts';
export {
  csvColumns,
  csvTemplate,
  guessColumns,
  readCatalogueCsv,
  type CsvCatalogue,
  type CsvFault,
  type CsvKey,
} from './exchange/catalogue-csv.ts';
export { fieldErrors, type FieldError } from './field-errors.ts';
export { findings, rules } from './findings/findings.ts';
export { findingsOf } from './findings/rule.ts';
export { fitRules } from './findings/rules/fit.ts';
export { networkRules } from './findings/rules/network.ts';
export { heldOffsetM } from './calibration/held-offset.ts';
export { keyTarget } from './findings/rules/keys.ts';
export { fittedStations, type FittedStation } from './findings/rules/pages.ts';
export { alarmsInWords } from './handover/alarm-words.ts';
export { soundInWords } from './handover/sound-words.ts';
export { cardCautions, cautions } from './handover/cautions.ts';
export {
  cardFingerprint,
  cardOf,
  cardStanding,
  type Card,
  type CardStation,
  type CardTransducer,
} from './handover/card.ts';
export { actionInWords, isFrequent, isRisky, sameAction } from './keys/action-words.ts';
export { bindingsAt, slotOf, slotsOf, type Binding, type Slot } from './keys/key-slots.ts';
export { bindProposal, keySchools, proposeKeys, type KeySchool, type ProposedKey } from './keys/propose-keys.ts';
export { changePane, removePane, resizeBands, resizePanes, splitPane, type PanePlace } from './pages/change-layout.ts';
export { leastAngleArcmin, legibility, type Light } from './pages/legibility.ts';
export { hardestSight, sightsOf, type Sight } from './pages/number-legibility.ts';
export { cellTarget, pageFor, pagesAt, shownWays, usedWays, type ListedPage } from './pages/pages-at.ts';
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
export { faceAboveWater } from './findings/rules/face-above-water.ts';
export { placeRules } from './findings/rules/places.ts';
export { asUsuallyPlaced } from './fit/as-usually-placed.ts';
export { hullChanges, usualPropellers } from './fit/places.ts';
export { deepestWaterM, reachSaid, type ReachSaid } from './beams/reach-said.ts';
export { electricalFloorOf } from './acoustics/electrical-floor.ts';
export { ampacity } from './power/ampacity.ts';
export { batteryDay } from './power/battery-day.ts';
export { circuitStanding, worstCurrentA, type CircuitStanding } from './power/circuit-standing.ts';
export { restVoltageV } from './power/battery-curve.ts';
export { circuitsOn, currentOf, dayLine, dayOf, type DaySpan } from './power/day-voltage.ts';
export { startDip } from './power/start-dip.ts';
export { voltageDrop } from './power/voltage-drop.ts';
export { shallowLimits, voltageLimits, type ShallowLimits } from './sources/alarm-limits.ts';
export { depthGivers, type DepthGiver } from './sources/depth-givers.ts';
export { asShown, depthDisplayOf, upToStepM, type DepthDisplay } from './sources/depth-display.ts';
export { displaySound, readAt, soundOfType, type DisplayWater } from './sources/display-sound.ts';
export { timeToAct, usualActInS, type TimeToAct } from './sources/time-to-act.ts';
export { agroundBy, agroundOf, type Aground } from './calibration/aground.ts';
export { entryDoubts } from './calibration/entry-doubts.ts';
export { conditionsOfFirstReading } from './calibration/first-reading.ts';
export { offsetAtGrounding } from './calibration/offset-at-grounding.ts';
export { waySpeed, waysAfloat } from './plan/way-speeds.ts';
export { displayDepthError } from './findings/rules/sources.ts';
export { deepestLoading, loweredWays, lowestPoint, type LowestPoint } from './fit/lowest-point.ts';
export { bestFeeds } from './sources/best-feeds.ts';
export { feedChoices, poorRank, type FeedChoice } from './sources/feeds.ts';
export { changesWith, travelClashes, whatTravels, type TravellingSetting } from './sources/what-travels.ts';
export { isFactoryName, suggestSourceName } from './sources/source-names.ts';
export { disturbanceOf, disturbsDb, type Disturbance } from './disturbance/disturbance.ts';
export { disturbancesIn, otherBeamCost, quietPlan, standbyCost, type QuietPlan } from './disturbance/quiet-plan.ts';
export { devicesOf, newNetworkDevice, takesTransducers, type Device } from './network/devices.ts';
export { freePlug, socketOf } from './network/sockets.ts';
export { diagramOf, type Diagram, type DiagramNode } from './network/diagram.ts';
export { laidDiagram, layoutGraph, type LaidDiagram } from './network/diagram-layout.ts';
export { wiringSheets, type SheetTable } from './sheets/wiring-sheet.ts';
export { copyPlan } from './plan/copy-plan.ts';
export { fingerprint, quantised } from './plan/fingerprint.ts';
export { builtStages, stageStates, waterline, type StageStanding } from './plan/stage-state.ts';
export { fitToDo, sourcesToDo, type ToDo } from './plan/still-to-do.ts';
export { faceDepthM, inOrder, soundSpeedDownTo, workingWater } from './plan/working-water.ts';
export * from './units/index.ts';
