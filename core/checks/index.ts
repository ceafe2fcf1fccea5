import { type Limit, type Limits, limitsOf, limitsSchemaFor } from './limits.ts'
import { type Check, type Finding, type Found, levels, withCures } from './check.ts'
import { askable, type Facts, momentOf } from './facts.ts'
import { adapterLoad } from './adapter-load.ts'
import { adapterNoElectronics } from './adapter-no-electronics.ts'
import { adapterStack } from './adapter-stack.ts'
import { airTravelWh } from './air-travel-wh.ts'
import { audioInputsShort } from './audio-inputs-short.ts'
import { bagSize } from './bag-size.ts'
import { bodyUnfit } from './body-unfit.ts'
import { braceGap } from './brace-gap.ts'
import { brickNotNeeded } from './brick-not-needed.ts'
import { bundleWaste } from './bundle-waste.ts'
import { cableLong } from './cable-long.ts'
import { cableShort } from './cable-short.ts'
import { chainBroken } from './chain-broken.ts'
import { chargerShort } from './charger-short.ts'
import { cheaperEqual } from './cheaper-equal.ts'
import { clampOnSize } from './clamp-on-size.ts'
import { converterUnpowered } from './converter-unpowered.ts'
import { diesFirst } from './dies-first.ts'
import { doorBlocked } from './door-blocked.ts'
import { dovetailEntry } from './dovetail-entry.ts'
import { driveCovers } from './drive-covers.ts'
import { driveSlow } from './drive-slow.ts'
import { driveUnheld } from './drive-unheld.ts'
import { dummyDoorOpen } from './dummy-door-open.ts'
import { duplicateOwned } from './duplicate-owned.ts'
import { eyeBlocked } from './eye-blocked.ts'
import { fieldUncovered } from './field-uncovered.ts'
import { filterPerLens } from './filter-per-lens.ts'
import { filterStack } from './filter-stack.ts'
import { filterThread } from './filter-thread.ts'
import { followFocusOnAf } from './follow-focus-on-af.ts'
import { forgottenCost } from './forgotten-cost.ts'
import { frictionHolder } from './friction-holder.ts'
import { gearMissing } from './gear-missing.ts'
import { gloveRoom } from './glove-room.ts'
import { gripSpread } from './grip-spread.ts'
import { handRoom } from './hand-room.ts'
import { hangRoll } from './hang-roll.ts'
import { hangTilt } from './hang-tilt.ts'
import { headMoment } from './head-moment.ts'
import { holdTime } from './hold-time.ts'
import { imageCircle } from './image-circle.ts'
import { inShot } from './in-shot.ts'
import { jointOverload } from './joint-overload.ts'
import { lensMount } from './lens-mount.ts'
import { leverRoom } from './lever-room.ts'
import { liftByShoe } from './lift-by-shoe.ts'
import { likelyOver } from './likely-over.ts'
import { loosePart } from './loose-part.ts'
import { massUnknown } from './mass-unknown.ts'
import { mixedRods } from './mixed-rods.ts'
import { monitorTooFar } from './monitor-too-far.ts'
import { monitorTooHigh } from './monitor-too-high.ts'
import { motorReach } from './motor-reach.ts'
import { mountMismatch } from './mount-mismatch.ts'
import { mountMoment } from './mount-moment.ts'
import { mountTaken } from './mount-taken.ts'
import { mountsShared } from './mounts-shared.ts'
import { ndOverlap } from './nd-overlap.ts'
import { ndShort } from './nd-short.ts'
import { needTwice } from './need-twice.ts'
import { needUnmet } from './need-unmet.ts'
import { needsPart } from './needs-part.ts'
import { noAudioIn } from './no-audio-in.ts'
import { noCable } from './no-cable.ts'
import { noCommonPlate } from './no-common-plate.ts'
import { noGauge } from './no-gauge.ts'
import { noMonitoringPath } from './no-monitoring-path.ts'
import { noStrainRelief } from './no-strain-relief.ts'
import { notNeeded } from './not-needed.ts'
import { overBudget } from './over-budget.ts'
import { overMass } from './over-mass.ts'
import { overPayload } from './over-payload.ts'
import { padOverload } from './pad-overload.ts'
import { partGone } from './part-gone.ts'
import { partialFit } from './partial-fit.ts'
import { plateOffset } from './plate-offset.ts'
import { plugDirection } from './plug-direction.ts'
import { plugRoom } from './plug-room.ts'
import { plugTypeAudio } from './plug-type-audio.ts'
import { polarityPlug } from './polarity-plug.ts'
import { portWear } from './port-wear.ts'
import { portraitMonitor } from './portrait-monitor.ts'
import { powerLoop } from './power-loop.ts'
import { priceStale } from './price-stale.ts'
import { railEntry } from './rail-entry.ts'
import { railTooShort } from './rail-too-short.ts'
import { recordTimeShort } from './record-time-short.ts'
import { ringRoom } from './ring-room.ts'
import { rodSingle } from './rod-single.ts'
import { rodsOverlong } from './rods-overlong.ts'
import { rodsShort } from './rods-short.ts'
import { rotatingBase } from './rotating-base.ts'
import { runtimeShort } from './runtime-short.ts'
import { screenSwing } from './screen-swing.ts'
import { screwTooLong } from './screw-too-long.ts'
import { shoeOverload } from './shoe-overload.ts'
import { shoulderFrontHeavy } from './shoulder-front-heavy.ts'
import { signalUnsupported } from './signal-unsupported.ts'
import { singleScrew } from './single-screw.ts'
import { slipsOutward } from './slips-outward.ts'
import { socketBlocked } from './socket-blocked.ts'
import { socketCrowding } from './socket-crowding.ts'
import { socketTwice } from './socket-twice.ts'
import { solidClash } from './solid-clash.ts'
import { stackVignettes } from './stack-vignettes.ts'
import { standsCrooked } from './stands-crooked.ts'
import { supplyBelowDraw } from './supply-below-draw.ts'
import { supportReach } from './support-reach.ts'
import { timecodePath } from './timecode-path.ts'
import { tipOver } from './tip-over.ts'
import { tooManyBatteryKinds } from './too-many-battery-kinds.ts'
import { tooTall } from './too-tall.ts'
import { tooWide } from './too-wide.ts'
import { triggerPath } from './trigger-path.ts'
import { twoScrewSpacing } from './two-screw-spacing.ts'
import { unavailable } from './unavailable.ts'
import { underPayload } from './under-payload.ts'
import { unpowered } from './unpowered.ts'
import { untetheredOverhead } from './untethered-overhead.ts'
import { viewBlocked } from './view-blocked.ts'
import { voltage } from './voltage.ts'
import { watts } from './watts.ts'
import { wrongEnds } from './wrong-ends.ts'

export * from './check.ts'
export { shelfFor } from './priced.ts'
export { blankWhereFailed } from './shown-facts.ts'
export { type FactName, factNames, type Facts, factsAfter, factsOf, momentOf, plainFactsOf, type Shelf } from './facts.ts'
export { FactFailure } from './failure.ts'
export { type Limit, type Limits, marginLines, paceOf, SECONDS, secondsOfWork } from './limits.ts'
export { MARGINS, marginsOf } from './margins.ts'
export { byReadiness, pointName, spareOwned } from './places.ts'
export { lossesOf } from './equal.ts'
export { type Forgotten, forgottenOf } from './forgotten-cost.ts'
export { formatWords } from './words.ts'
export { stockOf } from './wires.ts'

/** Every check, in the order of their ids. A test holds this list to the directory and the docs. */
export const checks: readonly Check[] = [
  adapterLoad,
  adapterNoElectronics,
  adapterStack,
  airTravelWh,
  audioInputsShort,
  bagSize,
  bodyUnfit,
  braceGap,
  brickNotNeeded,
  bundleWaste,
  cableLong,
  cableShort,
  chainBroken,
  chargerShort,
  cheaperEqual,
  clampOnSize,
  converterUnpowered,
  diesFirst,
  doorBlocked,
  dovetailEntry,
  driveCovers,
  driveSlow,
  driveUnheld,
  dummyDoorOpen,
  duplicateOwned,
  eyeBlocked,
  fieldUncovered,
  filterPerLens,
  filterStack,
  filterThread,
  followFocusOnAf,
  forgottenCost,
  frictionHolder,
  gearMissing,
  gloveRoom,
  gripSpread,
  handRoom,
  hangRoll,
  hangTilt,
  headMoment,
  holdTime,
  imageCircle,
  inShot,
  jointOverload,
  lensMount,
  leverRoom,
  liftByShoe,
  likelyOver,
  loosePart,
  massUnknown,
  mixedRods,
  monitorTooFar,
  monitorTooHigh,
  motorReach,
  mountMismatch,
  mountMoment,
  mountTaken,
  mountsShared,
  ndOverlap,
  ndShort,
  needTwice,
  needUnmet,
  needsPart,
  noAudioIn,
  noCable,
  noCommonPlate,
  noGauge,
  noMonitoringPath,
  noStrainRelief,
  notNeeded,
  overBudget,
  overMass,
  overPayload,
  padOverload,
  partGone,
  partialFit,
  plateOffset,
  plugDirection,
  plugRoom,
  plugTypeAudio,
  polarityPlug,
  portWear,
  portraitMonitor,
  powerLoop,
  priceStale,
  railEntry,
  railTooShort,
  recordTimeShort,
  ringRoom,
  rodSingle,
  rodsOverlong,
  rodsShort,
  rotatingBase,
  runtimeShort,
  screenSwing,
  screwTooLong,
  shoeOverload,
  shoulderFrontHeavy,
  signalUnsupported,
  singleScrew,
  slipsOutward,
  socketBlocked,
  socketCrowding,
  socketTwice,
  solidClash,
  stackVignettes,
  standsCrooked,
  supplyBelowDraw,
  supportReach,
  timecodePath,
  tipOver,
  tooManyBatteryKinds,
  tooTall,
  tooWide,
  triggerPath,
  twoScrewSpacing,
  unavailable,
  underPayload,
  unpowered,
  untetheredOverhead,
  viewBlocked,
  voltage,
  watts,
  wrongEnds,
]

for (const { id, judgeAll, about } of checks) askable(id, { about, answer: judgeAll })

/** All that the checks have to say, worst first; within a level in the order of the registry. */
export const findingsOf = (facts: Facts): readonly Finding[] => {
  const seen = new Set<string>()
  const found = checks
    .flatMap(({ id }) => withCures(momentOf(facts).evaluator.get(`check ${id}`) as readonly Found[], facts))
    .filter((finding) => {
      // What one failed figure keeps from many rules is said once; so is a rule that fails at each of its subjects.
      if (finding.message !== 'fact-failed' && finding.message !== 'rule-failed') return true
      const key = `${finding.check} ${finding.names['fact'] ?? ''}`
      return !seen.has(key) && seen.add(key)
    })
  return levels.flatMap((level) => found.filter((finding) => finding.level === level))
}

/** What makes two findings of different assessments the same trouble. */
export const findingKey = (finding: Finding): string =>
  [finding.check, finding.level, finding.names['capability'] ?? '', finding.names['room'] ?? '', ...[...finding.parts].sort()].join(' ')

/** The operator's own limits, checked against what the checks take. */
export const limitsSchema = limitsSchemaFor(checks)

/** Every limit of every check, with the operator's own beside the usual one. */
export const allLimits = (own?: Limits): readonly Limit[] => limitsOf(checks, own)
