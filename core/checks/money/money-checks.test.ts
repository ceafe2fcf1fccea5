import type { Part } from '../../catalogue/index.ts'
import type { PriceView } from '../../money/index.ts'
import { inBay, pack, wiredCamera } from '../../testing/wired.ts'
import { on, plug, tinyPart, tinyRig, type TinyRig } from '../../testing/index.ts'
import { bundleWaste } from './bundle-waste.ts'
import { cheaperEqual } from './cheaper-equal.ts'
import { forgottenCost } from './forgotten-cost.ts'
import { likelyOver } from './likely-over.ts'
import { priceStale } from './price-stale.ts'
import { testCheck } from '../tester.ts'
import { unavailable } from './unavailable.ts'

const cube = (id: string, usual: number, more: Partial<Part> = {}): Part =>
  tinyPart({ id, mounts: [plug('foot', 'thread-1/4')], price: { low: usual - 200, usual, high: usual + 200 }, ...more })
const held = (id: string) => on(id, 'foot', 'camera', 'hole')
/** A kit of one cube on the camera's hole, with a cap on money and other parts known. */
const bought = (
  part: Part,
  budgetMinor: number,
  extra: readonly Part[] = [],
  more: Parameters<typeof tinyRig>[2] = {},
) => tinyRig([part], [held(part.id)], { brief: { budgetMinor }, extra, ...more })
/** Without sending and tax, so that the figures stay round. */
const bare = { taxPercent: 0, taxIncluded: true, shippingMinor: 0, freeFromMinor: 0 }
const ruled = (tiny: TinyRig, rules = bare): TinyRig => ({ ...tiny, context: { ...tiny.context, rules } })

const view = (more: Partial<PriceView> = {}): PriceView => ({
  partId: 'cube',
  low: 900,
  usual: 1000,
  high: 1100,
  usedMinor: undefined,
  shippingMinor: 0,
  newestMinor: 1000,
  newestOn: '2026-07-01',
  ageDays: 10,
  driftMinor: 0,
  sale: false,
  unavailable: false,
  points: 3,
  ...more,
})

const seenOnce = (tiny: TinyRig): TinyRig => ({
  ...tiny,
  context: { ...tiny.context, prices: new Map([['cube', view({ points: 1 })]]) },
})
const unpriced = bought(cube('cube', 1000), 1100, [], {
  kit: [
    { id: 'cube', partId: 'cube', status: 'in' },
    { id: 'gift', partId: 'gift', status: 'in' },
  ],
  extra: [tinyPart({ id: 'gift', price: { low: 0, usual: 0, high: 0 } })],
})

testCheck(likelyOver, {
  cannotTell: [
    {
      name: 'one price was seen, and no more',
      message: 'thin',
      numbers: { capMinor: 1100 },
      ...seenOnce(ruled(bought(cube('cube', 1000), 1100))),
    },
    { name: 'a piece without a price', message: 'unpriced', ...ruled(unpriced) },
  ],
  speaks: [
    {
      name: 'usual 10.00 of 10.50, and 1.00 of sending on top',
      message: 'likely',
      level: 'hint',
      numbers: { toBuyMinor: 1100, extraMinor: 100, capMinor: 1050 },
      ...ruled(bought(cube('cube', 1000), 1050), { ...bare, shippingMinor: 100 }),
    },
  ],
  silent: [
    {
      name: 'as likely under as over',
      message: 'sure',
      numbers: { chancePercent: 50, surePercent: 50 },
      ...ruled(bought(cube('cube', 1000), 1000)),
    },
    { name: 'over at usual prices is told elsewhere', message: 'over', ...ruled(bought(cube('cube', 1000), 900)) },
  ],
})

const priced = (tiny: TinyRig, ...views: PriceView[]): TinyRig => ({
  ...tiny,
  context: { ...tiny.context, prices: new Map(views.map((one) => [one.partId, one])) },
})

testCheck(priceStale, {
  speaks: [
    {
      name: 'last looked at 121 days ago',
      message: 'stale',
      level: 'hint',
      numbers: { ageDays: 121, freshDays: 120, usualMinor: 1000 },
      parts: ['cube'],
      ...priced(bought(cube('cube', 1000), 0), view({ ageDays: 121 })),
    },
  ],
  silent: [
    {
      name: '120 days',
      message: 'fresh',
      numbers: { ageDays: 120 },
      ...priced(bought(cube('cube', 1000), 0), view({ ageDays: 120 })),
    },
  ],
})

testCheck(unavailable, {
  speaks: [
    {
      name: 'no shop has it; another that does the same is to be had, a third is gone as well',
      message: 'gone',
      level: 'risk',
      parts: ['cube'],
      remedies: 1,
      ...priced(
        bought(cube('cube', 1000), 0, [cube('other', 1200), cube('third', 900)]),
        view({ unavailable: true }),
        view({ partId: 'third', unavailable: true }),
      ),
    },
  ],
  silent: [{ name: 'to be had', message: 'there', ...priced(bought(cube('cube', 1000), 0), view()) }],
})

testCheck(cheaperEqual, {
  speaks: [
    {
      name: 'the same for 25.00 less',
      message: 'cheaper',
      level: 'hint',
      numbers: { savesMinor: 2500, priceMinor: 6000, otherMinor: 3500 },
      parts: ['cube'],
      remedies: 1,
      ...bought(cube('cube', 6000, { provides: ['screen'] }), 0, [
        cube('other', 3500, { provides: ['screen', 'sun-view'] }),
        cube('less', 1000),
      ]),
    },
  ],
  silent: [
    {
      name: 'twenty at least',
      message: 'little',
      numbers: { savesMinor: 2000, leastMinor: 2000 },
      ...bought(cube('cube', 6000), 0, [cube('other', 4000)]),
    },
    {
      name: 'what nobody has priced is not cheaper',
      message: 'dear',
      ...bought(cube('cube', 6000), 0, [
        tinyPart({ id: 'other', mounts: [plug('foot', 'thread-1/4')], price: { low: 0, usual: 0, high: 0 } }),
      ]),
    },
    {
      name: 'what is much heavier is not the same',
      message: 'dear',
      ...bought(cube('cube', 6000), 0, [cube('other', 1000, { massG: 126 })]),
    },
  ],
})

const inBox = cube('box', 5000, { includes: ['hex', 'strap'] })
const alone = cube('alone', 3000)
const [hex, strap] = ['hex', 'strap'].map((id) =>
  tinyPart({ id, role: 'tool', price: { low: 800, usual: 1000, high: 1200 } }),
) as [Part, Part]

testCheck(bundleWaste, {
  speaks: [
    {
      name: 'one of two is used: 30.00 alone and 10.00 for what is used are 10.00 less',
      message: 'waste',
      level: 'hint',
      numbers: { count: 1, savesMinor: 1000 },
      parts: ['box'],
      remedies: 1,
      ...tinyRig([inBox, hex], [held('box')], { extra: [alone, strap] }),
    },
  ],
  silent: [
    {
      name: 'both are used',
      message: 'all',
      numbers: { count: 0 },
      ...tinyRig([inBox, hex, strap], [held('box')], { extra: [alone] }),
    },
    {
      name: 'five at most are not worth a word',
      message: 'worth',
      numbers: { savesMinor: 500, leastMinor: 500 },
      ...tinyRig([{ ...inBox, price: { low: 4000, usual: 4500, high: 5000 } }, hex], [held('box')], {
        extra: [alone, strap],
      }),
    },
  ],
})

const day = (minutes: number) => ({
  budgetMinor: 100_000,
  phases: [{ name: 'all', kind: 'roll' as const, minutes, mains: false }],
})
/** 20 Wh, of which 18 are used: three hours at 6 W. Its card takes what there is, so only packs are asked for. */
const filming = (minutes: number, owned: Record<string, number> = {}) =>
  tinyRig([pack('pack')], [inBay()], { extra: [{ ...wiredCamera, media: undefined }], brief: day(minutes), owned })

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
