import { inBay, pack, wiredCamera } from '../../testing/wired.ts'
import { placeSetup } from '../../assembly/index.ts'
import { factsOf } from '../../facts/index.ts'
import { seeingCamera, stepUp, zoom } from '../../testing/glass.ts'
import { on, plug, socket, tinyPart, tinyRig } from '../../testing/index.ts'
import { forgottenCost } from './forgotten-cost.ts'
import { testCheck } from '../tester.ts'
import { held } from '../../testing/money-rigs.ts'

const day = (minutes: number) => ({
  budgetMinor: 100_000,
  phases: [{ name: 'all', kind: 'roll' as const, minutes, mains: false }],
})

/** 20 Wh, of which 18 are used: three hours at 6 W. Its card takes what there is, so only packs are asked for. */
const filming = (minutes: number, owned: Record<string, number> = {}) =>
  tinyRig([pack('pack')], [inBay()], { extra: [{ ...wiredCamera, media: undefined }], brief: day(minutes), owned })

const grey = (id: string, standard: string, family: string, usual: number) =>
  tinyPart({
    id,
    role: 'filter',
    provides: ['nd'],
    mounts: [plug('rear', standard, { family, out: [0, 0, 1], up: [0, 1, 0] })],
    price: { low: usual, usual, high: usual },
  })
/** A shoot that wants grey, a lens of 82 mm with a box of 4 x 4 trays along, and two filters in the shops. */
const greyFor = (threadMm: string) => {
  const box = tinyPart({
    id: 'box',
    role: 'matte-box',
    mounts: [socket('tray', 'tray', [0, 0, 0], [0, 1, 0], { family: '4x4' })],
  })
  return tinyRig([zoom(), box], [on('lens', 'bayonet', 'camera', 'lens')], {
    brief: { budgetMinor: 100_000, kind: 'run-and-gun', wishes: { 'scratch-sound': 'skip' } },
    extra: [seeingCamera(), grey('screwed', 'filter-thread', threadMm, 2000), grey('dropped', 'tray', '4x4', 9000)],
  })
}

testCheck(forgottenCost, {
  speaks: [
    {
      name: 'four hours want a second pack, 10.00',
      message: 'forgotten',
      level: 'hint',
      numbers: { costMinor: 1000 },
      ...filming(240),
    },
    {
      name: 'nine hours and a bit want three more',
      message: 'forgotten',
      numbers: { costMinor: 3000 },
      ...filming(550),
    },
    {
      name: 'a filter for the tray of its box, for the cheaper one has another thread',
      message: 'forgotten',
      numbers: { costMinor: 9000 },
      ...greyFor('67'),
    },
    {
      name: 'one in the thread of the lens is cheaper',
      message: 'forgotten',
      numbers: { costMinor: 2000 },
      ...greyFor('82'),
    },
  ],
  silent: [
    {
      name: 'run-and-gun wants neutral density, and a filter lies in the locker',
      message: 'free',
      numbers: { costMinor: 0 },
      ...tinyRig([], [], {
        brief: { budgetMinor: 100_000, kind: 'run-and-gun' },
        extra: [
          { ...wiredCamera, media: undefined, power: undefined },
          tinyPart({ id: 'grey', role: 'filter', provides: ['nd'] }),
        ],
        owned: { grey: 1 },
      }),
    },
    { name: 'three hours want none', message: 'whole', numbers: { costMinor: 0 }, ...filming(180) },
    {
      name: 'the lead that is missing lies in the locker',
      message: 'free',
      numbers: { costMinor: 0 },
      ...tinyRig(
        [
          tinyPart({
            id: 'screen',
            role: 'monitor',
            mounts: [plug('foot', 'thread-1/4')],
            sockets: [
              {
                id: 'in',
                connector: 'hdmi-a',
                direction: 'in',
                at: [0, 5, 10],
                out: [0, 0, 1],
                carries: ['picture'],
                formats: ['hd60'],
              },
            ],
          }),
        ],
        [held('screen')],
        {
          extra: [
            { ...wiredCamera, media: undefined, power: undefined },
            tinyPart({
              id: 'lead',
              role: 'video-cable',
              cable: {
                a: { connector: 'hdmi-a', angle: 'straight' },
                b: { connector: 'hdmi-a', angle: 'straight' },
                lengthMm: 500,
                thickMm: 4,
                carries: ['picture'],
              },
            }),
          ],
          brief: { budgetMinor: 100_000 },
          owned: { lead: 1 },
        },
      ),
    },
  ],
})

test('a ring that is only considered brings no filter before the lens: it is still to be paid', () => {
  const ring = stepUp(82, 95)
  const filter = grey('screwed', 'filter-thread', '95', 2000)
  const tiny = tinyRig([zoom(), ring], [on('lens', 'bayonet', 'camera', 'lens')], {
    brief: { budgetMinor: 100_000, kind: 'run-and-gun', wishes: { 'scratch-sound': 'skip' } },
    extra: [seeingCamera(), filter],
  })
  // The same catalogue and locker for both: only the ring's status differs.
  const costs = (['in', 'considered', 'in'] as const).map((status) => {
    const kit = tiny.rig.kit.map((one) => (one.id === ring.id ? { ...one, status } : one))
    const rig = { ...tiny.rig, kit }
    const [setup] = rig.setups
    if (!setup) throw new Error('a set-up')
    const facts = factsOf(placeSetup(rig, setup, tiny.context.catalogue), tiny.context)
    return forgottenCost.judgements(facts)[0]?.numbers?.['costMinor']
  })
  expect(costs).toEqual([2000, 3000, 2000])
})
