import type { Part, Role } from '../../catalogue/index.ts'
import { perThing } from '../../kernel/index.ts'
import {
  armFigure,
  dummyFigure,
  finderFigure,
  padFigure,
  plateFigure,
  pocketFigure,
  rodGearFigure,
  rodsFigure,
  standFigure,
  strapFigure,
} from './base.ts'
import { cageFigure } from './cage.ts'
import { cameraFigure } from './camera.ts'
import { batteryFigure, batteryPlateFigure, caseFigure, lightFigure, micFigure, monitorFigure } from './devices.ts'
import { driveFigure, filterFigure, lensFigure, matteFigure, ringFigure } from './glass.ts'
import { usualForm } from './usual.ts'
import { sideHandleFigure, topHandleFigure } from './handles.ts'
import type { Figure, Maker } from './read.ts'

export type { Figure } from './read.ts'

/** Who draws a role; what is in nobody's hand is drawn by its solids. */
const makers: Partial<Record<Role, Maker>> = {
  camera: cameraFigure,
  cage: cageFigure,
  'cage-part': cageFigure,
  'top-plate': cageFigure,
  plate: plateFigure,
  riser: plateFigure,
  'base-plate': rodGearFigure,
  rods: rodsFigure,
  'rod-clamp': rodGearFigure,
  'lens-support': rodGearFigure,
  head: standFigure,
  tripod: standFigure,
  gimbal: standFigure,
  slider: standFigure,
  'top-handle': topHandleFigure,
  'side-handle': sideHandleFigure,
  strap: strapFigure,
  tether: strapFigure,
  'shoulder-pad': padFigure,
  lens: lensFigure,
  'lens-adapter': lensFigure,
  'matte-box': matteFigure,
  filter: filterFigure,
  'step-ring': filterFigure,
  hood: ringFigure,
  cap: ringFigure,
  'follow-focus': driveFigure,
  'gear-ring': ringFigure,
  monitor: monitorFigure,
  recorder: monitorFigure,
  'monitor-mount': armFigure,
  arm: armFigure,
  mic: micFigure,
  'mic-mount': micFigure,
  windscreen: micFigure,
  receiver: caseFigure,
  preamp: caseFigure,
  'headphone-tap': caseFigure,
  timecode: caseFigure,
  transmitter: caseFigure,
  converter: caseFigure,
  light: lightFigure,
  battery: batteryFigure,
  'battery-plate': batteryPlateFigure,
  dummy: dummyFigure,
  finder: finderFigure,
  drive: pocketFigure,
  card: pocketFigure,
  charger: pocketFigure,
  case: pocketFigure,
}

/**
 * How a part is drawn: a form for each of its solids, made from its role, its solids and its mounts. Nothing is typed for
 * it, and a part of one's own has it at once.
 */
export const figureOf: (part: Part) => Figure = perThing('figure of a part', (part: Part): Figure => {
  const made = makers[part.role]?.(part)
  return part.solids.map((solid, i) => made?.[i] ?? usualForm(solid))
})
