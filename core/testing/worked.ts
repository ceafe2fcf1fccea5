import { type Assembly, type Joint, placeSetup, type Setup } from '../assembly/index.ts'
import { hangOf, massOf } from '../balance/index.ts'
import type { Part } from '../catalogue/index.ts'
import { allLimits, checks } from '../checks/index.ts'
import { factsOf } from '../facts/index.ts'
import type { Network } from '../power/index.ts'
import { seeingCamera, zoom } from './glass.ts'
import { on, plug, tinyPart, tinyRig } from './index.ts'

// What the worked examples of the documentation are made of.

export const place = ({ rig, context }: ReturnType<typeof tinyRig>): Assembly =>
  placeSetup(rig, rig.setups[0] as Setup, context.catalogue)
export const factsIn = (tiny: ReturnType<typeof tinyRig>) => factsOf(place(tiny), tiny.context)
export const put = (part: Part, joint: Joint = on(part.id, 'foot', 'camera', 'hole')) => place(tinyRig([part], [joint]))
export const cube = (id: string, more: Partial<Part> = {}) =>
  tinyPart({ id, mounts: [plug('foot', 'thread-1/4')], ...more })
export const head = cube('head', { role: 'head', massG: 900 })

/** The palm of a handle of no mass 10 mm behind the centre, 100 mm over it. */
export const hung = () => {
  const handle = cube('handle', {
    massG: 1e-9,
    grips: [{ kind: 'top', at: [0, 60, 10] }],
    mounts: [plug('foot', 'thread-1/4', { travel: { along: [0, 0, -1], minMm: -40, maxMm: 40, stepMm: 1 } })],
  })
  const assembly = put(handle)
  return { assembly, mass: massOf(assembly), hang: hangOf(assembly, massOf(assembly)) }
}

/** Two grips 60 mm to either side of the camera and 40 mm behind its centre. */
export const inTwoHands = () => {
  const grips = cube('grips', {
    massG: 1e-9,
    grips: [
      { kind: 'side', at: [-60, 0, 40] },
      { kind: 'side', at: [60, 0, 40] },
    ],
  })
  return place(tinyRig([grips], [on('grips', 'foot', 'camera', 'hole')], { setup: { support: 'two-hand' } }))
}

/** A zoom on a camera that sees, with something screwed on its front. */
export const lens = (...before: readonly Part[]) =>
  tinyRig(
    [zoom(), ...before],
    [on('lens', 'bayonet', 'camera', 'lens'), ...before.map(({ id }) => on(id, 'rear', 'lens', 'thread'))],
    {
      extra: [seeingCamera()],
    },
  )

/** One battery, one piece, and what lies between. */
export const fed = (draw: number, feeds: Network['feeds'], cells = [cell('pack', 18)]): Network => ({
  cells,
  nodes: [{ id: 'piece', name: 'piece', drawW: draw, standbyW: draw, fullW: draw, mains: false }],
  feeds,
  rings: [],
  order: [...cells.map(({ id }) => id), 'piece'],
})
export const cell = (id: string, wh: number): Network['cells'][number] => ({
  id,
  name: id,
  partId: id,
  kind: id,
  capacityWh: wh,
  usableWh: wh,
  maxW: 100,
  volts: { min: 6, max: 8.4 },
  gauge: true,
})
export const feed = (from: string, efficiency = 1, limitW = Infinity): Network['feeds'][number] => ({
  from,
  to: 'piece',
  efficiency,
  limitW,
  chargeW: 0,
  needsPack: false,
  volts: undefined,
  link: undefined,
})

/** Words of the documentation, and what the code comes to. */
export type Example = readonly [words: string, computed: string]

export const limit = (check: string, option: string): number =>
  allLimits().find((one) => one.check === check && one.option === option)?.usual ?? NaN
export const sourceOf = (id: string): string => checks.find((check) => check.id === id)?.source ?? ''
export const digits = (value: number | undefined, count = 0): string =>
  (value ?? NaN).toLocaleString('en', { minimumFractionDigits: count, maximumFractionDigits: count })
