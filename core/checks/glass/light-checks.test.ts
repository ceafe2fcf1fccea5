import { adapterTo, dayOfScenes, disc, nd, seeingCamera, stepUp, zoom } from '../../testing/glass.ts'
import { on, tinyPart, tinyRig } from '../../testing/index.ts'
import type { Joint } from '../../assembly/index.ts'
import type { Brief } from '../../brief/index.ts'
import type { Part, SensorOptics } from '../../catalogue/index.ts'
import { adapterNoElectronics } from './adapter-no-electronics.ts'
import { clampOnSize } from './clamp-on-size.ts'
import { fieldUncovered } from './field-uncovered.ts'
import { filterPerLens } from './filter-per-lens.ts'
import { filterThread } from './filter-thread.ts'
import { lensMount } from './lens-mount.ts'
import { ndOverlap } from './nd-overlap.ts'
import { ndShort } from './nd-short.ts'
import { testCheck } from '../tester.ts'

const mounted = on('lens', 'bayonet', 'camera', 'lens')
const bag = (parts: readonly Part[]) => parts.map(({ id }) => ({ id, partId: id, status: 'in' as const }))

/** A camera with a lens on it, other parts in the bag, others known to the catalogue. */
const shot = (
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

const sun = dayOfScenes(['water-in-sun'])
const wanted = { wishes: { nd: 'want', 'scratch-sound': 'skip' } } as const

testCheck(ndShort, {
  speaks: [
    {
      name: 'sun off water wants six stops and the bare lens takes none; a filter of six in the locker cures it',
      message: 'bright',
      level: 'risk',
      numbers: { mostStops: 6, missesStops: 6, iso: 100 },
      remedies: 1,
      ...shot({ brief: { ...sun, ...wanted }, known: [disc('six', 5, nd(6)), disc('three', 5, nd(3))] }),
    },
    {
      name: 'a larger filter comes with its ring',
      message: 'bright',
      remedies: 1,
      ...shot({
        lens: zoom({ threadMm: 77 }),
        brief: { ...sun, ...wanted },
        known: [disc('six', 5, nd(6)), stepUp(77, 82)],
      }),
    },
    {
      name: 'nobody asked for a filter and f/32 is no way out: a hint',
      message: 'bright',
      level: 'hint',
      ...shot({ brief: sun }),
    },
    {
      name: 'night is five stops short: ISO 3200, and 1600 is the end',
      message: 'dark',
      level: 'risk',
      numbers: { mostStops: -5, wantedIso: 3200, isoMax: 1600 },
      remedies: 0,
      ...shot({ brief: dayOfScenes(['night']) }),
    },
  ],
  silent: [
    {
      name: 'two to five stops and three more',
      message: 'held',
      ...shot({ brief: { ...sun, ...wanted }, bag: [disc('v', 7, nd(2, 5)), disc('three', 5, nd(3))] }),
    },
    {
      name: 'a third of a stop is let pass',
      message: 'held',
      ...shot({ brief: { ...sun, ...wanted }, bag: [disc('near', 5, nd(5.67))] }),
    },
    {
      name: 'the camera’s own',
      message: 'held',
      ...shot({ brief: { ...sun, ...wanted }, sensor: { nd: { stops: [0, 2, 4, 6], smooth: false } } }),
    },
    {
      name: 'shade at f/8, when nobody asked for a filter',
      message: 'iris',
      ...shot({ brief: dayOfScenes(['overcast']) }),
    },
    { name: 'the operator does without', message: 'waived', ...shot({ brief: { ...sun, wishes: { nd: 'skip' } } }) },
    {
      name: 'night at the end of what is fit to show',
      message: 'held',
      ...shot({ brief: dayOfScenes(['night']), sensor: { isoMax: 3200 } }),
    },
  ],
  cannotTell: [
    {
      name: 'a camera that states no end',
      message: 'unknown',
      ...shot({ brief: dayOfScenes(['night']), sensor: { isoMax: undefined } }),
    },
  ],
})

testCheck(ndOverlap, {
  speaks: [
    {
      name: 'a fixed one beside a variable one that does the same',
      message: 'spare',
      level: 'hint',
      numbers: { massG: 100 },
      parts: ['four'],
      remedies: 1,
      ...shot({
        brief: dayOfScenes(['hazy']),
        bag: [disc('v', 7, nd(2, 5)), disc('four', 5, nd(4))],
        joints: [on('v', 'rear', 'lens', 'thread')],
      }),
    },
    {
      name: 'two variable ones on each other',
      message: 'crossed',
      level: 'risk',
      parts: ['w', 'v'],
      remedies: 1,
      ...shot({
        brief: sun,
        bag: [disc('v', 7, nd(2, 5)), disc('w', 7, nd(2, 5))],
        joints: [on('v', 'rear', 'lens', 'thread'), on('w', 'rear', 'v', 'front')],
      }),
    },
  ].map((given) => given as never),
  silent: [
    {
      name: 'both are needed: four stops and six',
      message: 'useful',
      ...shot({ brief: dayOfScenes(['hazy', 'water-in-sun']), bag: [disc('four', 5, nd(4)), disc('six', 5, nd(6))] }),
    },
    { name: 'the only one', message: 'only', ...shot({ brief: sun, bag: [disc('six', 5, nd(6))] }) },
  ],
})

testCheck(filterThread, {
  speaks: [
    {
      name: 'a filter of 82 and a lens of 77: a ring cures it',
      message: 'ring',
      level: 'risk',
      numbers: { filterMm: 82 },
      parts: ['six'],
      remedies: 1,
      ...shot({ lens: zoom({ threadMm: 77 }), bag: [disc('six', 5, nd(6))], known: [stepUp(77, 82)] }),
    },
    {
      name: 'no ring goes down',
      message: 'never',
      parts: ['six'],
      remedies: 0,
      ...shot({ lens: zoom({ threadMm: 95 }), bag: [disc('six', 5, nd(6))], known: [stepUp(82, 95)] }),
    },
  ],
  silent: [
    { name: 'the same thread', message: 'fits', numbers: { filterMm: 82 }, ...shot({ bag: [disc('six', 5, nd(6))] }) },
    {
      name: 'the ring is in the bag',
      message: 'fits',
      ...shot({ lens: zoom({ threadMm: 77 }), bag: [disc('six', 5, nd(6)), stepUp(77, 82)] }),
    },
  ],
})

const two = {
  lenses: [
    { partId: 'lens', share: 60 },
    { partId: 'small', share: 40 },
  ],
}
const small = zoom({ id: 'small', threadMm: 67 })

testCheck(filterPerLens, {
  speaks: [
    {
      name: 'the small lens goes bare; a ring brings it to the large filter',
      message: 'bare',
      level: 'hint',
      numbers: { threadMm: 67 },
      remedies: 1,
      ...shot({ bag: [disc('v', 7, nd(2, 8))], known: [small, stepUp(67, 82)], brief: { ...sun, ...wanted, ...two } }),
    },
    {
      name: 'no ring is known: a filter of its own',
      message: 'bare',
      remedies: 1,
      ...shot({
        bag: [disc('v', 7, nd(2, 8))],
        known: [small, disc('v67', 7, nd(2, 8), {}, 67)],
        brief: { ...sun, ...wanted, ...two },
      }),
    },
    {
      name: 'a front without a thread',
      message: 'threadless',
      remedies: 0,
      ...shot({
        bag: [disc('v', 7, nd(2, 8))],
        known: [{ ...small, mounts: small.mounts.filter(({ id }) => id !== 'thread') }],
        brief: { ...sun, ...wanted, ...two },
      }),
    },
  ],
  silent: [
    {
      name: 'a ring in the bag serves both',
      message: 'has',
      ...shot({ bag: [disc('v', 7, nd(2, 8)), stepUp(67, 82)], known: [small], brief: { ...sun, ...wanted, ...two } }),
    },
  ],
})

const foreign = zoom({ id: 'foreign', family: 'other', optics: { autofocus: true } })
const withForeign = { lenses: [{ partId: 'foreign', share: 30 }] }

testCheck(lensMount, {
  speaks: [
    {
      name: 'another mount, and an adapter in the shop',
      message: 'adapter',
      level: 'risk',
      remedies: 1,
      ...shot({ known: [foreign, adapterTo('other', true)], brief: withForeign }),
    },
    {
      name: 'another mount, and no adapter',
      message: 'never',
      remedies: 0,
      ...shot({ known: [foreign], brief: withForeign }),
    },
  ],
  silent: [
    { name: 'the camera’s own mount', message: 'direct', ...shot() },
    {
      name: 'the adapter is in the bag',
      message: 'along',
      ...shot({ known: [foreign], bag: [adapterTo('other', true)], brief: withForeign }),
    },
  ],
})

testCheck(adapterNoElectronics, {
  speaks: [
    {
      name: 'an autofocus lens behind bare metal; one with contacts cures it',
      message: 'dead',
      level: 'risk',
      numbers: { share: 30 },
      remedies: 1,
      ...shot({
        known: [foreign, adapterTo('other', true, 'smart')],
        bag: [adapterTo('other', false)],
        brief: withForeign,
      }),
    },
  ],
  silent: [
    {
      name: 'contacts',
      message: 'joined',
      ...shot({ known: [foreign], bag: [adapterTo('other', true)], brief: withForeign }),
    },
  ],
})

// On 40 x 30 mm, 50 mm across, 25 mm shows what 21.63 shows on 36 x 24, and 50 mm what 43.27 shows.
testCheck(fieldUncovered, {
  speaks: [
    {
      name: 'nothing as long as 85; a longer lens would be',
      message: 'open',
      level: 'hint',
      numbers: { fieldMm: 85, nearestMm: (50 * Math.hypot(36, 24)) / 50 },
      remedies: 1,
      ...shot({
        known: [zoom({ id: 'long', optics: { focalMinMm: 90, focalMaxMm: 120 } })],
        brief: { fieldsMm: [85], lenses: [{ partId: 'lens', share: 100 }] },
      }),
    },
  ],
  silent: [
    {
      name: 'to the half millimetre',
      message: 'given',
      numbers: { fieldMm: 21.2 },
      ...shot({ brief: { fieldsMm: [21.2] } }),
    },
  ],
})

const box = (id: string, clampMm: number | undefined): Part =>
  tinyPart({
    id,
    role: 'matte-box',
    mounts:
      clampMm === undefined
        ? [
            {
              id: 'clamp',
              standard: 'rod-15-pair',
              side: 'holds',
              at: [0, 0, 0],
              out: [0, -1, 0],
              up: [0, 0, -1],
              lengthMm: 16,
            },
          ]
        : [
            {
              id: 'ring',
              standard: 'clamp-on',
              side: 'sits',
              at: [0, 0, 0],
              out: [0, 0, 1],
              up: [0, 1, 0],
              family: String(clampMm),
            },
          ],
  })

testCheck(clampOnSize, {
  speaks: [
    {
      name: 'a clamp of 95 and a front of 80; rods suit every lens',
      message: 'other',
      level: 'hint',
      numbers: { clampMm: 95, frontMm: 80 },
      parts: ['box'],
      remedies: 1,
      ...shot({ lens: zoom({ frontMm: 80 }), bag: [box('box', 95)], known: [box('rods', undefined)] }),
    },
    { name: 'a front that no clamp holds', message: 'none', remedies: 0, ...shot({ bag: [box('box', 95)] }) },
  ],
  silent: [
    {
      name: 'the right size',
      message: 'closes',
      numbers: { clampMm: 95, frontMm: 95 },
      ...shot({ lens: zoom({ frontMm: 95 }), bag: [box('box', 95)] }),
    },
  ],
})
