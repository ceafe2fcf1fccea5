import type { Check } from '../check.ts'
import { airTravelWh } from './air-travel-wh.ts'
import { brickNotNeeded } from './brick-not-needed.ts'
import { chargerShort } from './charger-short.ts'
import { converterUnpowered } from './converter-unpowered.ts'
import { diesFirst } from './dies-first.ts'
import { dummyDoorOpen } from './dummy-door-open.ts'
import { noGauge } from './no-gauge.ts'
import { polarityPlug } from './polarity-plug.ts'
import { powerLoop } from './power-loop.ts'
import { runtimeShort } from './runtime-short.ts'
import { supplyBelowDraw } from './supply-below-draw.ts'
import { tooManyBatteryKinds } from './too-many-battery-kinds.ts'
import { unpowered } from './unpowered.ts'
import { voltage } from './voltage.ts'
import { watts } from './watts.ts'

/** The rules of this family, in the order of their ids. */
export const powerChecks: readonly Check[] = [
  airTravelWh,
  brickNotNeeded,
  chargerShort,
  converterUnpowered,
  diesFirst,
  dummyDoorOpen,
  noGauge,
  polarityPlug,
  powerLoop,
  runtimeShort,
  supplyBelowDraw,
  tooManyBatteryKinds,
  unpowered,
  voltage,
  watts,
]
