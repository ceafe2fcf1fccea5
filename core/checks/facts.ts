import { type Assembly, type Brace, type PlacedPart, type Point, pointsOf } from '../assembly/index.ts'
import {
  beyondGimbal,
  gripsOf,
  type Grip,
  type Ground,
  groundOf,
  type Hang,
  hangsOf,
  inHand,
  isPosture,
  type JointLoad,
  jointLoadOf,
  type LeadWeight,
  type Mass,
  massOf,
  type OnPlate,
  onPlateOf,
  type Operator,
  type Shoulder,
  shoulderOf,
  type Stand,
  standOf,
  type Tip,
  tipOf,
  type TwoHands,
  twoHandsOf,
} from '../balance/index.ts'
import { type Need, needsOf, unmet } from '../brief/index.ts'
import { capabilities, type Catalogue, type Concern, type Part, type Room } from '../catalogue/index.ts'
import {
  type Clash,
  clashesOf,
  type Crowd,
  crowdsOf,
  entriesOf,
  type Entry,
  inShotOf,
  type Sight,
  sightOf,
  type Intruder,
  type Invasion,
  invasionsOf,
  type PlugRoom,
  plugRoomsOf,
  type Size,
  sizeOf,
  type Watched,
  watchedScreens,
} from '../clearance/index.ts'
import { FactFailure } from './failure.ts'
import type { Limits } from './limits.ts'
import { marginsOf } from './margins.ts'
import { firstMoment, type Moment, nextMoment, queriesFor, type Question } from './moment.ts'
import { type AspectId, aspects, dayOf, type LensUse, minutesOf, temperatureOf } from '../brief/index.ts'
import { type PicturePath, picturesOf, type Run, runsOf, type SoundSource, soundsOf } from '../cabling/index.ts'
import { type Recording, recordingsOf } from '../media/index.ts'
import {
  type Bill,
  billOf,
  type BillRules,
  type Chance,
  chanceOf,
  type Cost,
  costOf,
  plainRules,
  type PriceView,
  type Rate,
} from '../money/index.ts'
import {
  type Clean,
  cleanOf,
  type Delivery,
  type Drive,
  drivesOf,
  type EconomyWay,
  economyOf,
  type Front,
  frontOf,
  type LensFit,
  lensFits,
  type LightPlan,
  lightPlan,
  pictureOf,
  type Sensor,
  sensorOf,
  type SupportReach,
  supportsOf,
} from '../optics/index.ts'
import {
  batteriesOf,
  type Bays,
  baysOf,
  cablesOf,
  type DayPlan,
  drawIn,
  type Network,
  networkOf,
  planDay,
  type RunDown,
  runDown,
  type Spare,
  sparesOf,
} from '../power/index.ts'

import { type Demand, demandsOf } from '../wiring/index.ts'

/** What surrounds a rig: all known parts, and how many of each lie in the locker. */
export interface Shelf {
  readonly catalogue: Catalogue
  readonly owned: ReadonlyMap<string, number>
  /**
   * What the price ledger says today, by part; and how bills are made up. Without them only the catalogue's prices
   * count.
   */
  readonly prices?: ReadonlyMap<string, PriceView>
  readonly rules?: BillRules
  /**
   * The currency that catalogue and ledger are kept in, and what others are worth in it. Without it they are the rig's
   * own.
   */
  readonly home?: string
  readonly rates?: readonly Rate[]
  /**
   * The currency that all prices above were put into, tax in them; what they were made from; and whether no rate
   * between the two is known.
   */
  readonly pricedIn?: { readonly currency: string; readonly kept: Shelf; readonly noRate: boolean }
  /** The parts whose mass was weighed, and on which day; and those whose figures the operator typed in. */
  readonly weighed?: ReadonlyMap<string, string>
  readonly typed?: ReadonlySet<string>
  /** Limits the operator has set for the checks. */
  readonly limits?: Limits
  /** Who holds the rig; without it an average adult. */
  readonly operator?: Operator
}

/** Two mounts of a brace meet when they stand no farther apart than this: a washer, a turn of the screw. mm */
export const BRACE_MM = 3

/** Does a second hold really hold? */
export const isFirm = ({ mate, gapMm }: Brace): boolean => mate.ok && gapMm <= BRACE_MM

/** Figures that others are made from. */
interface Earlier {
  readonly cost: Cost
  readonly mass: Mass
  readonly hangs: readonly Hang[]
  readonly needs: readonly Need[]
  readonly cables: ReadonlyMap<string, Part>
  readonly leads: readonly Run[]
  readonly leadWeights: readonly LeadWeight[]
  readonly ground: Ground
  readonly network: Network
  readonly spares: readonly Spare[]
  readonly bays: readonly Bays[]
  readonly front: Front | undefined
  readonly picture: Sensor | undefined
  readonly deliveries: readonly { readonly aspect: AspectId; readonly picture: Sensor }[]
  readonly lensKit: readonly LensFit[]
}

/** The figures a check can ask for, each worked out when first asked for, then kept. */
const makers = {
  points: (assembly: Assembly): readonly Point[] => pointsOf(assembly),
  /** The parts of the leads that are plugged in, by instance. */
  cables: (assembly: Assembly, shelf: Shelf): ReadonlyMap<string, Part> =>
    cablesOf(assembly, (id) => shelf.catalogue.parts.get(id)),
  leads: (assembly: Assembly, _: Shelf, facts: Earlier): readonly Run[] => runsOf(assembly, facts.cables),
  mass: (assembly: Assembly, _: Shelf, facts: Earlier): Mass =>
    massOf(
      assembly,
      facts.leads.map(({ link, part, middle }) => ({ massG: part.massG, at: middle, instance: link.cable, part })),
    ),
  leadWeights: (_: Assembly, __: Shelf, facts: Earlier): readonly LeadWeight[] =>
    facts.leads.map(({ part, middle, from, to }) => ({ massG: part.massG, at: middle, ends: [from.piece, to.piece] })),
  /** What bears this set-up: palms, pad, stand or knees, each with its part. */
  ground: (assembly: Assembly, _: Shelf, facts: Earlier): Ground => groundOf(assembly, facts.mass, facts.leadWeights),
  /** What each joint has to carry, by the piece that sits by it. */
  loads: (assembly: Assembly, _: Shelf, facts: Earlier): ReadonlyMap<string, JointLoad> => {
    const firm = assembly.braces.filter(isFirm)
    return new Map(
      assembly.placed.flatMap((piece) => {
        const load = jointLoadOf(assembly, facts.ground, facts.leadWeights, firm, piece)
        return load ? [[piece.instance.id, load] as const] : []
      }),
    )
  },
  network: (assembly: Assembly, { limits }: Shelf, facts: Earlier): Network =>
    networkOf(assembly, facts.cables, temperatureOf(assembly.rig.brief), marginsOf(limits).power),
  spares: (assembly: Assembly, { limits }: Shelf): readonly Spare[] =>
    sparesOf(assembly, temperatureOf(assembly.rig.brief), marginsOf(limits).power),
  bays: (assembly: Assembly, shelf: Shelf): readonly Bays[] =>
    baysOf(
      assembly,
      batteriesOf(assembly).map(({ part }) => part),
      (id) => shelf.catalogue.parts.get(id),
    ),
  /** Everything on and recording without a break: what is empty when, and what goes dark. */
  runDown: (_: Assembly, __: Shelf, facts: Earlier): RunDown => runDown(facts.network, drawIn('roll')),
  day: (assembly: Assembly, _: Shelf, facts: Earlier): DayPlan =>
    planDay(facts.network, dayOf(assembly.rig.brief), facts.spares, facts.bays),
  /** What would have to be joined if no lead were plugged in. */
  demands: (assembly: Assembly): readonly Demand[] => demandsOf(assembly, []),
  pictures: (assembly: Assembly, _: Shelf, facts: Earlier): readonly PicturePath[] => picturesOf(assembly, facts.leads),
  sounds: (assembly: Assembly, _: Shelf, facts: Earlier): readonly SoundSource[] => soundsOf(assembly, facts.leads),
  recordings: (assembly: Assembly, { limits }: Shelf): readonly Recording[] =>
    recordingsOf(
      assembly,
      minutesOf(dayOf(assembly.rig.brief), 'roll'),
      assembly.rig.brief.codec,
      marginsOf(limits).record,
    ),
  /** How it hangs from each top handle, the best first; and from that one. */
  hangs: (assembly: Assembly, _: Shelf, facts: Earlier): readonly Hang[] => hangsOf(assembly, facts.mass),
  hang: (_: Assembly, __: Shelf, facts: Earlier): Hang | undefined => facts.hangs[0],
  cost: (assembly: Assembly, shelf: Shelf): Cost => costOf(assembly.rig, shelf.catalogue, shelf.owned),
  /** The bill over what is still to buy, with sending and tax. */
  bill: (_: Assembly, shelf: Shelf, facts: Earlier): Bill => billOf(facts.cost.usual, shelf.rules ?? plainRules),
  /** How likely the bill stays within the brief's money; sending is taken as it is at usual prices. */
  chance: (assembly: Assembly, shelf: Shelf, facts: Earlier): Chance =>
    chanceOf(facts.cost, assembly.rig.brief.budgetMinor, shelf),
  clashes: (assembly: Assembly): readonly Clash[] => clashesOf(assembly),
  size: (assembly: Assembly): Size => sizeOf(assembly.placed.filter(inHand)),
  /** What the brief asks of this set-up: on a stand nobody wants a handle. */
  needs: (assembly: Assembly): readonly Need[] =>
    needsOf(assembly.rig.brief).filter(
      ({ capability }) =>
        isPosture(assembly.setup.support) || capabilities[capability].station !== 'grip' || capability === 'tether',
    ),
  unmet: (assembly: Assembly, _: Shelf, facts: Earlier): readonly Need[] =>
    unmet(
      facts.needs,
      assembly.placed.map((piece) => piece.part),
    ),
  /** The first invasion of every room; hands are taken with gloves when the brief is cold. */
  invasions: (assembly: Assembly): readonly Invasion[] =>
    assembly.placed.flatMap((piece) =>
      kindsOf(piece.part).flatMap((kind) =>
        invasionsOf(assembly, piece, kind, kind === 'hand' ? gloveMm(assembly) : 0),
      ),
    ),
  /** Levers and knobs that a gloved hand can not reach; empty when it is warm. */
  gloved: (assembly: Assembly): readonly Invasion[] =>
    gloveMm(assembly) > 0
      ? assembly.placed.flatMap((piece) => invasionsOf(assembly, piece, 'lever', gloveMm(assembly)))
      : [],
  stand: (assembly: Assembly, _: Shelf, facts: Earlier): Stand => standOf(assembly, facts.mass),
  hands: (assembly: Assembly, _: Shelf, facts: Earlier): TwoHands | undefined => twoHandsOf(assembly, facts.mass),
  grips: (assembly: Assembly): readonly Grip[] => gripsOf(assembly),
  onPlate: (assembly: Assembly, _: Shelf, facts: Earlier): OnPlate | undefined => onPlateOf(assembly, facts.mass),
  gimbal: (assembly: Assembly, _: Shelf, facts: Earlier): ReturnType<typeof beyondGimbal> =>
    beyondGimbal(assembly, facts.mass),
  shoulder: (assembly: Assembly, _: Shelf, facts: Earlier): Shoulder | undefined => shoulderOf(assembly, facts.mass),
  tip: (assembly: Assembly, _: Shelf, facts: Earlier): Tip | undefined => tipOf(assembly, facts.leadWeights),
  /** The lens on the camera and what stands before it. */
  front: (assembly: Assembly): Front | undefined => frontOf(assembly),
  /**
   * All pictures that are delivered from a take of this set-up, the chief one first, as the parts of the sensor they
   * use.
   */
  deliveries: (assembly: Assembly): readonly { readonly aspect: AspectId; readonly picture: Sensor }[] => {
    const sensor = sensorOf(assembly)
    return aspectsOf(assembly).flatMap((aspect) =>
      sensor ? [{ aspect, picture: pictureOf(sensor, aspects[aspect], assembly.setup.orientation === 'upright') }] : [],
    )
  },
  /** The part of the sensor that the chief picture uses, as this set-up holds the camera. */
  picture: (_: Assembly, __: Shelf, { deliveries: [chief] }: Earlier): Sensor | undefined => chief?.picture,
  /** From where on the front of the lens is clear of every picture that is delivered. */
  clean: (_: Assembly, __: Shelf, { front, deliveries }: Earlier): Clean | undefined =>
    front && cleanOfAll(front, deliveries),
  /** The lenses that come along on this camera: the brief's, or else those on the set-ups. */
  lensKit: (assembly: Assembly, shelf: Shelf): readonly LensFit[] => {
    const [camera] = assembly.placed
    return camera
      ? lensFits(camera.part, lensUses(assembly, shelf), shelf.catalogue, atHand(assembly, shelf), deliveryOf(assembly))
      : []
  },
  light: (assembly: Assembly): LightPlan => lightPlan(assembly),
  /** Neutral density for the whole lens kit, variable or fixed, by the ways there are. */
  economy: (
    _: Assembly,
    shelf: Shelf,
    facts: Earlier,
  ): readonly { readonly effect: 'variable-nd' | 'nd'; readonly ways: readonly EconomyWay[] }[] =>
    (['variable-nd', 'nd'] as const).map((effect) => ({
      effect,
      ways: economyOf(facts.lensKit, effect, shelf.catalogue, shelf.owned),
    })),
  supports: (assembly: Assembly): readonly SupportReach[] => supportsOf(assembly),
  drives: (assembly: Assembly): readonly Drive[] => drivesOf(assembly),
  /** What the lens on the camera sees at its widest. */
  sight: (assembly: Assembly): Sight | undefined => sightOf(assembly),
  /** What stands into any of the pictures, by the one it stands into deepest. */
  inShot: (assembly: Assembly, _: Shelf, facts: Earlier): readonly Intruder[] => {
    if (facts.deliveries.length < 2) return inShotOf(assembly, facts.picture)
    const worst = new Map<PlacedPart, Intruder>()
    for (const { picture } of facts.deliveries)
      for (const found of inShotOf(assembly, picture))
        if (found.intoMm > (worst.get(found.piece)?.intoMm ?? 0)) worst.set(found.piece, found)
    return [...worst.values()].sort((a, b) => b.intoMm - a.intoMm)
  },
  screens: (assembly: Assembly): readonly Watched[] => watchedScreens(assembly),
  plugs: (assembly: Assembly): readonly PlugRoom[] => plugRoomsOf(assembly),
  entries: (assembly: Assembly): readonly Entry[] => entriesOf(assembly),
  crowds: (assembly: Assembly): readonly Crowd[] => crowdsOf(assembly),
} satisfies Record<string, (assembly: Assembly, shelf: Shelf, facts: Earlier) => unknown>

export type FactName = keyof typeof makers
export const factNames = Object.keys(makers) as readonly FactName[]

/** One placed set-up, what surrounds it, and its figures. */
export type Facts = { readonly assembly: Assembly; readonly shelf: Shelf } & {
  readonly [K in FactName]: ReturnType<(typeof makers)[K]>
}

/** A set-up with some of its figures: what a rule sees is what it needs and nothing else. */
export type Sees<N extends FactName = never> = Pick<Facts, 'assembly' | 'shelf' | N>

/**
 * The pictures a take of this set-up is for. A camera is turned on its side for the upright ones of the brief; held
 * level it takes the chief one
 * and all that are cut from it.
 */
const aspectsOf = ({ rig, setup }: Assembly): readonly AspectId[] => {
  const all = [...new Set([rig.brief.light.aspect, ...rig.brief.light.also])]
  const tall = all.filter((id) => aspects[id] > 0 && aspects[id] < 1)
  return setup.orientation === 'upright' && tall.length > 0 ? tall : all
}

/** The chief picture of a set-up. */
export const deliveryOf = (assembly: Assembly): Delivery => ({
  aspect: aspects[aspectsOf(assembly)[0] ?? 'full'],
  upright: assembly.setup.orientation === 'upright',
})

/** The picture that is clear last counts; one that never is, most of all. */
const cleanOfAll = (front: Front, deliveries: readonly { readonly picture: Sensor }[]): Clean | undefined =>
  deliveries
    .map(({ picture }) => cleanOf(front, picture))
    .reduce<Clean | undefined>(
      (worst, one) => (!worst || (one.fromMm ?? Infinity) > (worst.fromMm ?? Infinity) ? one : worst),
      undefined,
    )

/** What is owned, and what the kit brings anyway. */
const atHand = ({ rig }: Assembly, { owned }: Shelf): ReadonlyMap<string, number> => {
  const all = new Map(owned)
  for (const { partId, status } of rig.kit) if (status === 'in') all.set(partId, Math.max(1, all.get(partId) ?? 0))
  return all
}

const lensUses = ({ rig }: Assembly, { catalogue }: Shelf): readonly LensUse[] => {
  if (rig.brief.lenses.length > 0) return rig.brief.lenses
  const ids = [...new Set(rig.kit.filter(({ status }) => status === 'in').map(({ partId }) => partId))]
  const lenses = ids.filter((id) => catalogue.parts.get(id)?.role === 'lens')
  return lenses.map((partId) => ({ partId, share: 100 / lenses.length }))
}

/** What a glove adds under a grip and round a knob, mm. */
export const GLOVE_MM = 8
const gloveMm = ({ rig }: Assembly): number => (rig.brief.conditions.includes('cold') ? GLOVE_MM : 0)

const kindsOf = ({ rooms }: Part): readonly Room['kind'][] => [...new Set(rooms.map(({ kind }) => kind))]

type Made = Readonly<Record<string, (assembly: Assembly, shelf: Shelf, facts: Facts) => unknown>>

/** What a figure is made of may have failed: then that is what is told. */
const told =
  (name: FactName, make: Made[string]): Made[string] =>
  (assembly, shelf, facts) => {
    try {
      return make(assembly, shelf, facts)
    } catch (error) {
      throw error instanceof FactFailure ? error : new FactFailure(name, error)
    }
  }
const rules = new Map<string, Question>()
/** Makes a rule one of the questions that can be asked about a moment. */
export const askable = (id: string, question: Question): void => void rules.set(id, question)

/** The figures that look at pieces of one concern only. */
const about: Partial<Record<FactName, Concern>> = {
  network: 'electric',
  day: 'electric',
  spares: 'electric',
  bays: 'electric',
  runDown: 'electric',
  pictures: 'electric',
  sounds: 'electric',
  demands: 'electric',
  recordings: 'electric',
  front: 'glass',
  deliveries: 'glass',
  picture: 'glass',
  clean: 'glass',
  lensKit: 'glass',
  light: 'glass',
  economy: 'glass',
  sight: 'glass',
  drives: 'glass',
}

const queries = queriesFor(
  Object.fromEntries(
    factNames.map((name) => {
      const make = told(name, makers[name] as Made[string])
      return [
        name,
        { about: about[name], answer: (facts) => make(facts.assembly, facts.shelf, facts) } satisfies Question,
      ]
    }),
  ),
  (id) => rules.get(id),
)

const moments = new WeakMap<Facts, Moment>()
/** The moment whose figures these are. @throws {RangeError} for figures put together by hand */
export const momentOf = (facts: Facts): Moment => {
  const moment = moments.get(facts)
  if (!moment) throw new RangeError('These figures belong to no moment; they come from factsOf.')
  return moment
}

/** Lets other figures be about the same moment. */
export const sharingMoment = (facts: Facts, of: Facts): void => void moments.set(facts, momentOf(of))

/** A prototype with every figure, each read in its own way. */
export const figureFields = (read: (facts: Facts, name: FactName, query: string) => unknown): object =>
  Object.defineProperties(
    {},
    Object.fromEntries(
      factNames.map((name) => {
        const query = `fact ${name}`
        return [
          name,
          {
            enumerable: true,
            get(this: Facts) {
              return read(this, name, query)
            },
          },
        ]
      }),
    ),
  )
const figures = figureFields((facts, _, query) => momentOf(facts).evaluator.get(query))

const factsAt = (moment: Moment, assembly: Assembly, shelf: Shelf): Facts => {
  const facts = Object.assign(Object.create(figures) as object, { assembly, shelf }) as Facts
  moments.set(facts, moment)
  return facts
}

/**
 * The same figures in the plainest way: each from all the pieces, with nothing taken over from anywhere. What tests
 * hold the questions of a moment to.
 */
export const plainFactsOf = (assembly: Assembly, shelf: Shelf): Facts => {
  const facts = { assembly, shelf } as Facts
  for (const name of factNames) {
    let made: { readonly value: unknown } | undefined
    const make = told(name, makers[name] as Made[string])
    Object.defineProperty(facts, name, {
      enumerable: true,
      get: () => (made ??= { value: make(assembly, shelf, facts) }).value,
    })
  }
  return facts
}

/**
 * The figures of one placed set-up. Reading one that can't be worked out throws a `FactFailure`, again at each reading.
 */
export const factsOf = (assembly: Assembly, shelf: Shelf): Facts =>
  factsAt(firstMoment(queries, assembly, shelf), assembly, shelf)

/**
 * The figures after an edit: what it does not reach stands as it was worked out before.
 * @param tried the edit is only tried: the figures before it take nothing over from it
 */
export const factsAfter = (before: Facts, assembly: Assembly, shelf: Shelf, tried: boolean): Facts =>
  factsAt(nextMoment(momentOf(before), assembly, shelf, tried), assembly, shelf)
