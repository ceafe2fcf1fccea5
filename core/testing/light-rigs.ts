import { dayOfScenes, seeingCamera, zoom } from './glass.ts'
import { on, tinyRig } from './index.ts'
import type { Joint } from '../assembly/index.ts'
import type { Brief } from '../brief/index.ts'
import type { Part, SensorOptics } from '../catalogue/index.ts'

export const mounted = on('lens', 'bayonet', 'camera', 'lens')

export const bag = (parts: readonly Part[]) => parts.map(({ id }) => ({ id, partId: id, status: 'in' as const }))

/** A camera with a lens on it, other parts in the bag, others known to the catalogue. */
export const shot = (
  given: {
    lens?: Part
    bag?: readonly Part[]
    joints?: readonly Joint[]
    known?: readonly Part[]
    brief?: Partial<Brief>
    owned?: Record<string, number>
    sensor?: Partial<SensorOptics>
  } = {},
) => {
  const lens = given.lens ?? zoom()
  const parts = [lens, ...(given.bag ?? [])]
  return tinyRig(parts, [mounted, ...(given.joints ?? [])], {
    kit: bag(parts),
    extra: [seeingCamera(given.sensor), ...(given.known ?? [])],
    brief: given.brief ?? {},
    owned: given.owned ?? {},
  })
}

export const sun = dayOfScenes(['water-in-sun'])

export const wanted = { wishes: { nd: 'want', 'scratch-sound': 'skip' } } as const

export const two = {
  lenses: [
    { partId: 'lens', share: 60 },
    { partId: 'small', share: 40 },
  ],
}

export const small = zoom({ id: 'small', threadMm: 67 })

export const foreign = zoom({ id: 'foreign', family: 'other', optics: { autofocus: true } })

export const withForeign = { lenses: [{ partId: 'foreign', share: 30 }] }
