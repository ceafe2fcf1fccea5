import type { FigureFeature, Part, Role, Solid } from '../../catalogue/index.ts'
import { perThing, flatMap } from '../../kernel/index.ts'
import {
  armFigure,
  coilFigure,
  dummyFigure,
  finderFigure,
  holderFigure,
  padFigure,
  plateFigure,
  pocketFigure,
  rodGearFigure,
  rodsFigure,
  strapFigure,
} from './base.ts'
import { disc, type Face, type Form, type Ink } from '../form.ts'
import { cageFigure } from './cage.ts'
import { cameraFigure } from './camera.ts'
import { caseFigure, lightFigure } from './cases.ts'
import { batteryFigure, batteryPlateFigure, micFigure, monitorFigure } from './devices.ts'
import { driveFigure, filterFigure, lensFigure, matteFigure, ringFigure } from './glass.ts'
import { usualForm } from './usual.ts'
import { sideHandleFigure, topHandleFigure } from './handles.ts'
import { standFigure } from './stands.ts'
import type { ViewId } from '../views.ts'
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
  'drive-holder': holderFigure,
  card: pocketFigure,
  charger: pocketFigure,
  case: pocketFigure,
  'power-cable': coilFigure,
  'video-cable': coilFigure,
  'audio-cable': coilFigure,
  'data-cable': coilFigure,
}

/**
 * How a part is drawn: a form for each of its solids, made from its role, its solids and its mounts. Nothing needs
 * to be typed for it, and a part of one's own has it at once; its `figure` may say otherwise.
 */
export const figureOf: (part: Part) => Figure = perThing('figure of a part', (part: Part): Figure => {
  const { like = part.role, features = [] } = part.figure ?? {}
  const made = like === 'solids' ? undefined : makers[like]?.(part)
  return part.solids.map((solid, i) => {
    const form = bored(solid, made?.[i] ?? (like === 'solids' ? undefined : usualForm(solid)))
    return form && features.reduce((so, feature) => featured[feature](so), form)
  })
})

/** Through the hole of a ring one sees what lies behind, whatever its role says of the rest. */
const bored = (solid: Solid, form: Form | undefined): Form | undefined =>
  solid.kind !== 'cylinder' || solid.bore === undefined || form?.y?.holes
    ? form
    : { turned: true, ...form, y: { ...form?.y, on: [], holes: [{ outline: disc(solid.bore) }] } }

const eachFace = (form: Form, change: (face: Face) => Face): Form => ({
  ...form,
  ...Object.fromEntries(flatMap(['x', 'y', 'z'] as const, (name) => (form[name] ? [[name, change(form[name])]] : []))),
})
const withoutTexture = (inks: readonly Ink[] | undefined): readonly Ink[] =>
  (inks ?? []).filter(({ look }) => look !== 'texture')

/** What a feature of a part's figure does to how its role is drawn. */
const featured: Readonly<Record<FigureFeature, (form: Form) => Form>> = {
  closed: (form) => eachFace(form, (face) => ({ ...face, holes: [] })),
  smooth: (form) =>
    eachFace(form, (face) => ({
      ...face,
      on: withoutTexture(face.on),
      plus: withoutTexture(face.plus),
      minus: withoutTexture(face.minus),
    })),
}

/** From where a part is known best, by its role; most are from the side. */
const knownFrom: Partial<Record<Role, ViewId>> = {
  camera: 'front',
  cage: 'front',
  filter: 'front',
  'step-ring': 'front',
  'gear-ring': 'front',
  cap: 'front',
  hood: 'front',
  'matte-box': 'front',
  'lens-adapter': 'front',
  monitor: 'rear',
  recorder: 'rear',
  receiver: 'rear',
  transmitter: 'rear',
  converter: 'rear',
  preamp: 'rear',
  timecode: 'rear',
  'headphone-tap': 'rear',
  light: 'rear',
  battery: 'rear',
  'battery-plate': 'rear',
  card: 'front',
  drive: 'top',
  'drive-holder': 'top',
  charger: 'top',
  plate: 'top',
  'base-plate': 'top',
  'top-plate': 'top',
  'rod-clamp': 'top',
  rods: 'top',
  strap: 'front',
  tether: 'front',
  case: 'rear',
  'power-cable': 'top',
  'video-cable': 'top',
  'audio-cable': 'top',
  'data-cable': 'top',
}
/** The view in which one part alone is shown when there is room for one only. */
export const bestView = ({ role }: Part): ViewId => knownFrom[role] ?? 'side'
