import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { demoParts } from '../demo/catalogue/index.ts'
import { adapterChains } from './assembly/index.ts'
import { drawsIn, evaluate } from './assess/index.ts'
import { lowCloudStops, lowSunStops, type Phase, sunTimesOf, towns } from './brief/index.ts'
import { changeoverOf } from './build-order/index.ts'
import { lengthAlong, LOOP_MM, plugRoomMm, routeOf } from './cabling/index.ts'
import { catalogueOf, HANGS_MM, mountOf, type Part } from './catalogue/index.ts'
import { coilMm, sightOf, sizeOf, viewfinderOf } from './clearance/index.ts'
import { point, turnAbout } from './kernel/index.ts'
import { type FieldEntry, learntOf, lessonsOf, type Measured } from './log/index.ts'
import { newPiece, rigWeighing, valueOn } from './locker/index.ts'
import { dayGb, offloadMinutes, recordMinutes, wantedMBs } from './media/index.ts'
import {
  asKnown,
  billOf,
  chanceWithin,
  costOf,
  monthFor,
  plainRules,
  priceIn,
  quantile,
  termsOf,
} from './money/index.ts'
import {
  adaptersFor,
  angleDeg,
  choicesOf,
  depthOfField,
  equivalentMm,
  ev100,
  irisWithout,
  ndStops,
  neededMm,
  openSeconds,
  pictureOf,
  SCREW_SECONDS,
  stepChain,
} from './optics/index.ts'
import {
  AIR_ASK_WH,
  AIR_FREE_WH,
  airBand,
  drawIn,
  fillMinutes,
  flowAt,
  fullCells,
  packVolts,
  planDay,
  runDown,
  suits,
  usableWh,
} from './power/index.ts'
import { disc, seeingCamera, zoom } from './testing/glass.ts'
import { on, plug, socket, tinyPart, tinyRig } from './testing/index.ts'
import { place, factsIn, put, cube, lens, fed, feed, digits, type Example, limit } from './testing/worked.ts'
import { balanceExamples } from './testing/worked-balance.ts'
import { bodyExamples } from './testing/worked-bodies.ts'
import { GRAM_COST, LOOSE_COST, LOOSE_MM_COST, THIN_COST, TWIST_COST } from './wiring/index.ts'

// Every formula of the documentation, with an example that the code works out: the words on the left stand in its
// paragraph, and are what the
// code comes to. A paragraph without an example fails, and so does an example whose paragraph is gone or says something
// else.

const paragraphs = new Map(
  readFileSync(join(import.meta.dirname, '../docs/formulas.md'), 'utf8')
    .split('\n\n')
    .flatMap((paragraph) => {
      const title = /^\*\*(.+?)\.?\*\*/.exec(paragraph)?.[1]
      return title === undefined ? [] : [[title, paragraph] as const]
    }),
)

const clock = (minute: number | undefined): string => {
  const whole = Math.round(minute ?? NaN)
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`
}

const rolling: Phase = { name: 'all day', kind: 'roll', minutes: 540, mains: false }

const setting = { fNumber: 4, iso: 400, fps: 25, shutterDeg: 180 }
const fullFrame = { wideMm: 36, tallMm: 24 }
const abroad = termsOf('GBP', {
  home: 'EUR',
  rates: [{ currency: 'GBP', rate: 1.25, seenOn: '2026-01-01' }],
  rules: { ...plainRules, taxPercent: 20, taxIncluded: false },
})

/** A day on which one thing was measured. */
const dayOf = (n: number, measured: Measured): FieldEntry => ({
  id: `00000000-0000-4000-8000-00000000000${n}`,
  rigId: 'rig',
  revision: 1,
  at: '2026-11-17T20:00:00.000Z',
  what: {
    kind: 'day',
    shoot: 'the ferry',
    day: '2026-11-17',
    setups: [],
    carried: [],
    loose: [],
    ranOut: [],
    inTheWay: [],
    unused: [],
    gaps: [],
    measured: [measured],
    line: '',
  },
})

const examples: Readonly<Record<string, () => readonly Example[]>> = {
  ...balanceExamples,
  ...bodyExamples,
  'In the picture': () => {
    const [edge] = sightOf(place(lens()))?.pyramid.edges ?? []
    return [
      [
        '77° across',
        `${digits(edge && (2 * Math.atan2(Math.abs(edge[0]), Math.abs(edge[2])) * 180) / Math.PI)}° across`,
      ],
    ]
  },
  'Seen or hidden': () => [['More than 60°', `More than ${limit('view-blocked', 'mostDeg')}°`]],
  Plugs: () => [
    ['wants 44 mm', `wants ${plugRoomMm({ connector: 'hdmi-a', angle: 'straight' }, 4)} mm`],
    ['a ball of 16.5 mm', `a ball of ${digits(coilMm(600, 4), 1)} mm`],
  ],
  'Poses and upright': () => {
    const [x, y, z] = point(turnAbout([1, 0, 0], 90, [0, 0, 0]), [0, 10, 0])
    return [['(0, 0, 10)', `(${[x, y, z].map((value) => digits(Math.round(value) + 0)).join(', ')})`]]
  },
  Adapters: () => {
    const bushing = tinyPart({
      id: 'bushing',
      mounts: [plug('in', 'thread-1/4'), socket('out', 'thread-3/8', [0, 20, 0])],
    })
    const foot = cube('big', { mounts: [plug('foot', 'thread-3/8')] })
    const { rig, context } = tinyRig([bushing, foot], [])
    const camera = context.catalogue.parts.get(rig.kit[0]?.partId ?? '')
    const [hole, screw] = [camera && mountOf(camera, 'hole'), mountOf(foot, 'foot')]
    const [chain] =
      camera && hole && screw
        ? adapterChains({ part: camera, mount: hole }, { part: foot, mount: screw }, context.catalogue, context.owned)
        : []
    return [
      [
        'by one bushing',
        `by ${chain?.links.length === 1 ? 'one' : String(chain?.links.length)} ${chain?.links[0]?.part.id}`,
      ],
    ]
  },
  Changeover: () => {
    const rail = cube('rail', {
      mounts: [plug('foot', 'thread-1/4', { travel: { along: [1, 0, 0], minMm: -5, maxMm: 5, stepMm: 1 } })],
    })
    const [from, to] = [0, 5].map((slideMm) => put(rail, on('rail', 'foot', 'camera', 'hole', { slideMm })))
    return [['takes 4 s', `takes ${digits(from && to && changeoverOf(from, to).seconds)} s`]]
  },
  'What a battery gives': () => [
    ['11.52 Wh, 57.6 min', `${digits(usableWh(16, 0), 2)} Wh, ${digits((usableWh(16, 0) / 12) * 60, 1)} min`],
  ],
  'Who feeds whom': () => {
    const network = fed(9, [feed('pack', 0.9)])
    return [
      ['takes 10 W', `takes ${digits(flowAt(network, fullCells(network.cells), drawIn('roll')).cellW.get('pack'))} W`],
    ]
  },
  'What goes dark when': () => {
    const network = fed(6, [feed('wall', 1, 3), feed('pack')])
    const walled = {
      ...network,
      nodes: [...network.nodes, { id: 'wall', name: 'wall', drawW: 0, standbyW: 0, fullW: 0, mains: true }],
      order: ['pack', 'wall', 'piece'],
    }
    return [['lasts 6 h', `lasts ${digits((runDown(walled, drawIn('roll')).cellMin.get('pack') ?? NaN) / 60)} h`]]
  },
  'The day': () => [
    ['takes 3 packs', `takes ${planDay(fed(6, [feed('pack')]), [rolling], [], []).kinds[0]?.needed} packs`],
  ],
  Charging: () => [['5 W: 4 h', `5 W: ${digits(fillMinutes([18, 12], [5, 5]) / 60)} h`]],
  Rehearsal: () => [['stands at 7.2 V', `stands at ${digits(packVolts(0.5, { min: 6, max: 8.4 }), 1)} V`]],
  Volts: () => [
    [
      '7.0 to 17 V suits an input of 7 to 17 V, 6.0 to 8.4 V does not',
      [7, 6]
        .map(
          (min) =>
            `${digits(min, 1)} to ${min === 7 ? '17' : '8.4'} V ${suits({ min, max: min === 7 ? 17 : 8.4 }, { min: 7, max: 17 }, 'dc-5.5x2.1') ? 'suits an input of 7 to 17 V' : 'does not'}`,
        )
        .join(', '),
    ],
  ],
  'The way of a lead': () => {
    const { points } = routeOf(
      [
        [0, 0, 0],
        [100, 0, 0],
      ],
      [],
      4,
    )
    return [
      ['100 mm long', `${digits(lengthAlong(points))} mm long`],
      ['60 mm of slack', `${LOOP_MM} mm of slack`],
    ]
  },
  'Choosing leads': () => [
    [
      '2 minor units a gram, 200 and 1 a mm when more than 150 mm hang over, 100 for an angled plug that points away, 500 when',
      `${GRAM_COST} minor units a gram, ${LOOSE_COST} and ${LOOSE_MM_COST} a mm when more than ${HANGS_MM} mm hang over, ${TWIST_COST} for an angled plug that points away, ${THIN_COST} when`,
    ],
  ],
  Recording: () => [
    ['79.4 min', `${digits(recordMinutes(128, 200), 1)} min`],
    ['276.8 GB', `${digits(dayGb(132, 200), 1)} GB`],
    ['32.5 MB/s', `${digits(wantedMBs(200), 1)} MB/s`],
    ['23.1 min', `${digits(offloadMinutes(dayGb(132, 200), 200), 1)} min`],
  ],
  Flights: () => [
    [
      'Up to 100 Wh carried, to 160 Wh',
      `Up to ${AIR_FREE_WH} Wh ${airBand(AIR_FREE_WH) === 'carry' ? 'carried' : 'not'}, to ${AIR_ASK_WH} Wh`,
    ],
  ],
  Exposure: () => {
    const ev = ev100(setting.fNumber, openSeconds(setting))
    return [
      ['EV 9.64, 7.4 stops', `EV ${digits(ev, 2)}, ${digits(ndStops(15, setting), 1)} stops`],
      ['f/51', `f/${digits(irisWithout(15, setting))}`],
    ]
  },
  'The sun': () => {
    const london = towns.find(({ name }) => name === 'London')
    const times = london && sunTimesOf('2026-06-21', london)
    return [['4:43 to 21:22', `${clock(times?.rise)} to ${clock(times?.set)}`]]
  },
  'The light of the day': () => [
    ['1.3 and 1.9 stops', `${digits(lowSunStops(10), 1)} and ${digits(lowCloudStops(10), 1)} stops`],
  ],
  'Which filters hold it': () => {
    const nd = (id: string, minStops: number, maxStops: number) => ({
      id,
      minStops,
      maxStops,
      variable: minStops < maxStops,
      costMinor: 0,
    })
    const both = choicesOf([nd('fixed', 3, 3), nd('variable', 2, 5)]).find(({ ids }) => ids.length === 2)
    return [['5 to 8 stops', `${both?.minStops} to ${both?.maxStops} stops`]]
  },
  'A filter for every lens': () => [['15 to screw a filter off', `${SCREW_SECONDS} to screw a filter off`]],
  'Field of view': () => [
    [
      'sees 37°, not 84°',
      `sees ${digits(angleDeg(20, pictureOf(fullFrame, 9 / 16, false).wideMm))}°, not ${digits(angleDeg(20, 36))}°`,
    ],
    ['50 mm is one of 75 mm', `50 mm is one of ${digits(equivalentMm(50, { wideMm: 24, tallMm: 16 }))} mm`],
  ],
  'Depth of field': () => {
    const found = depthOfField(50, 2.8, 0.03, 3000)
    return [
      ['2.73 to 3.33 m', `${digits((found?.nearMm ?? NaN) / 1000, 2)} to ${digits((found?.farMm ?? NaN) / 1000, 2)} m`],
    ]
  },
  'Adapters of lenses': () => {
    const flange = (part: Part) =>
      part.mounts.find(
        ({ standard, side }) => standard === 'lens-mount' && side === (part.role === 'camera' ? 'holds' : 'sits'),
      )?.flangeMm ?? NaN
    const catalogue = catalogueOf(demoParts)
    const found = (catalogue.byRole.get('camera') ?? []).flatMap((camera) =>
      (catalogue.byRole.get('lens') ?? []).flatMap((glass) =>
        adaptersFor(camera, glass, catalogue, new Map()).map(() => flange(glass) - flange(camera)),
      ),
    )
    return [
      [
        'only from the longer to the shorter',
        found.length > 0 && found.every((mm) => mm > 0) ? 'only from the longer to the shorter' : found.join(),
      ],
    ]
  },
  'What the lens sees': () => {
    const edge = viewfinderOf(place(lens(disc('slim', 5, undefined))), 25, { wideMm: 40, tallMm: 30 })?.edges.find(
      ({ piece }) => piece.part.id === 'slim',
    )
    return [
      [
        'clear to 1.25 and dark from 1.75',
        `clear to ${digits(edge?.clear[0], 2)} and dark from ${digits(edge?.dark[0], 2)}`,
      ],
    ]
  },
  Vignetting: () => [['40.3 mm', `${digits(neededMm({ depthMm: 40, acrossMm: 43.27 }, 24, 2.8), 1)} mm`]],
  'Support and focus': () => {
    const wheel = tinyPart({
      id: 'drive',
      role: 'follow-focus',
      mounts: [
        plug('foot', 'thread-1/4'),
        plug('gear', 'gear-0.8', { at: [0, 20, -20], out: [0, 1, 0], odMm: 20, carries: true }),
      ],
    })
    const { drives } = factsIn(
      tinyRig(
        [zoom({ geared: true, optics: { throwDeg: 270 } }), wheel],
        [on('lens', 'bayonet', 'camera', 'lens'), on('drive', 'foot', 'camera', 'hole')],
        { extra: [seeingCamera()] },
      ),
    )
    return [['3 turns', `${digits(drives[0]?.turns)} turns`]]
  },
  'Step rings': () => {
    const ring = (id: string, fromMm: number, toMm: number) => ({ id, fromMm, toMm, costMinor: 1, massG: 1 })
    return [
      [
        'takes 2 rings',
        `takes ${stepChain(67, 82, [ring('a', 67, 72), ring('b', 72, 77), ring('c', 77, 82), ring('d', 67, 77)])?.ids.length} rings`,
      ],
    ]
  },
  Height: () => [['100 mm', `${digits(sizeOf(put(cube('one')).placed).tallMm)} mm`]],
  Money: () => {
    const { rig, context } = tinyRig([cube('one')], [on('one', 'foot', 'camera', 'hole')])
    const cost = costOf(rig, context.catalogue, context.owned)
    return [
      [
        '10.00, between 8.00 and 12.00',
        `${digits(cost.usual / 100, 2)}, between ${digits(cost.low / 100, 2)} and ${digits(cost.high / 100, 2)}`,
      ],
    ]
  },
  "A part's price": () => [['2.5 of 1, 2, 3, 4', `${quantile([1, 2, 3, 4], 0.5)} of 1, 2, 3, 4`]],
  "Prices in a rig's own money": () => [
    [
      '96.00 GBP',
      `${digits(priceIn({ price: { low: 10_000, usual: 10_000, high: 10_000 } }, abroad).usual / 100, 2)} GBP`,
    ],
  ],
  'The bill': () => [
    [
      '104.28',
      digits(
        billOf(9600, { ...plainRules, taxPercent: 20, taxIncluded: false, shippingMinor: 690, freeFromMinor: 0 })
          .totalMinor / 100,
        2,
      ),
    ],
  ],
  'Chance of staying within': () => [
    ['50 %', `${digits(100 * chanceWithin([{ low: 8, usual: 10, high: 12, kind: 'range' }], 10))} %`],
  ],
  'What to buy when': () => [['after 3 months', `after ${monthFor(25_000, 10_000, 5000)} months`]],
  Worth: () => [
    [
      '640.20',
      digits(
        (valueOn(
          newPiece('p', 'part', { condition: 'good', paidMinor: 100_000, boughtOn: '2024-11-25' }),
          '2026-11-25',
        ) ?? NaN) / 100,
        2,
      ),
    ],
  ],
  'Weigh-in': () => {
    const piece = (name: string, massG: number, measured: boolean) => ({ name, massG, measured })
    const found = rigWeighing([piece('a', 700, true), piece('b', 200, false), piece('c', 100, false)], 1007)
    return [['7.1 g', `${digits(found.allowedG, 1)} g`]]
  },
  'What a battery still holds': () => {
    const lasted = (value: number) => ({ what: 'run' as const, piece: 'slab', partId: 'slab', value, asNew: 100 })
    const learnt = learntOf(lessonsOf([80, 72].map((minutes, i) => dayOf(i, lasted(minutes)))))
    return [['0.76', digits(learnt.health.get('slab')?.value ?? NaN, 2)]]
  },
  'A measured draw': () => {
    const read = (value: number) => ({ what: 'draw' as const, piece: 'screen', partId: 'screen', value, planned: 6 })
    const learnt = learntOf(lessonsOf([7, 9, 7.5].map((watts, i) => dayOf(i, read(watts)))))
    const screen = tinyPart({ id: 'screen', power: { drawW: 6, standbyW: 3 } })
    const [known] = asKnown([screen], new Map(), new Map(), drawsIn(learnt))
    return [
      ['7.5 W', `${known?.power?.drawW} W`],
      ['3.75 W', `${known?.power?.standbyW} W`],
    ]
  },
  'Set-up time': () => {
    const { rig, context } = tinyRig([cube('one')], [on('one', 'foot', 'camera', 'hole')])
    return [['25 s', `${evaluate(rig, 'main', context).setupSeconds} s`]]
  },
}

test('every formula of the documentation has an example, and every example its formula', () => {
  expect([...paragraphs.keys()].sort()).toEqual(Object.keys(examples).sort())
})

test.each(Object.entries(examples))('%s: what the documentation says is what the code comes to', (title, exampleOf) => {
  const found = exampleOf()
  expect(found.length).toBeGreaterThan(0)
  for (const [words, computed] of found) {
    expect(computed).toBe(words)
    expect(paragraphs.get(title)).toContain(words)
  }
})
