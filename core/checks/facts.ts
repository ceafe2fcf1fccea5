import { type Assembly, type Point, pointsOf } from '../assembly/index.ts'
import {
  beyondGimbal,
  gripsOf,
  type Grip,
  type Hang,
  hangOf,
  inHand,
  isPosture,
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
import { capabilities, type Catalogue, type Part, type Room } from '../catalogue/index.ts'
import {
  type Clash,
  clashesOf,
  type Crowd,
  crowdsOf,
  entriesOf,
  type Entry,
  inShotOf,
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
import { dayOf, minutesOf, temperatureOf } from '../brief/index.ts'
import { type PicturePath, picturesOf, type Run, runsOf, type SoundSource, soundsOf } from '../cabling/index.ts'
import { type Recording, recordingsOf } from '../media/index.ts'
import { type Cost, costOf } from '../money/index.ts'
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

/** What surrounds a rig: all known parts, and how many of each lie in the locker. */
export interface Shelf {
  readonly catalogue: Catalogue
  readonly owned: ReadonlyMap<string, number>
  /** Who holds the rig; without it an average adult. */
  readonly operator?: Operator
}

/** Figures that others are made from. */
interface Earlier {
  readonly mass: Mass
  readonly needs: readonly Need[]
  readonly cables: ReadonlyMap<string, Part>
  readonly leads: readonly Run[]
  readonly network: Network
  readonly spares: readonly Spare[]
  readonly bays: readonly Bays[]
}

/** The figures a check can ask for, each worked out when first asked for, then kept. */
const makers = {
  points: (assembly: Assembly): readonly Point[] => pointsOf(assembly),
  /** The parts of the leads that are plugged in, by instance. */
  cables: (assembly: Assembly, shelf: Shelf): ReadonlyMap<string, Part> => cablesOf(assembly, (id) => shelf.catalogue.parts.get(id)),
  leads: (assembly: Assembly, _: Shelf, facts: Earlier): readonly Run[] => runsOf(assembly, facts.cables),
  mass: (assembly: Assembly, _: Shelf, facts: Earlier): Mass =>
    massOf(
      assembly,
      facts.leads.map(({ part, middle }) => ({ massG: part.massG, at: middle })),
    ),
  network: (assembly: Assembly, _: Shelf, facts: Earlier): Network => networkOf(assembly, facts.cables, temperatureOf(assembly.rig.brief)),
  spares: (assembly: Assembly): readonly Spare[] => sparesOf(assembly, temperatureOf(assembly.rig.brief)),
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
  pictures: (assembly: Assembly, _: Shelf, facts: Earlier): readonly PicturePath[] => picturesOf(assembly, facts.leads),
  sounds: (assembly: Assembly, _: Shelf, facts: Earlier): readonly SoundSource[] => soundsOf(assembly, facts.leads),
  recordings: (assembly: Assembly): readonly Recording[] =>
    recordingsOf(assembly, minutesOf(dayOf(assembly.rig.brief), 'roll'), assembly.rig.brief.codec),
  hang: (assembly: Assembly, _: Shelf, facts: Earlier): Hang | undefined => hangOf(assembly, facts.mass),
  cost: (assembly: Assembly, shelf: Shelf): Cost => costOf(assembly.rig, shelf.catalogue, shelf.owned),
  clashes: (assembly: Assembly): readonly Clash[] => clashesOf(assembly),
  size: (assembly: Assembly): Size => sizeOf(assembly.placed.filter(inHand)),
  /** What the brief asks of this set-up: on a stand nobody wants a handle. */
  needs: (assembly: Assembly): readonly Need[] =>
    needsOf(assembly.rig.brief).filter(
      ({ capability }) => isPosture(assembly.setup.support) || capabilities[capability].station !== 'grip' || capability === 'tether',
    ),
  unmet: (assembly: Assembly, _: Shelf, facts: Earlier): readonly Need[] =>
    unmet(
      facts.needs,
      assembly.placed.map((piece) => piece.part),
    ),
  /** The first invasion of every room; hands are taken with gloves when the brief is cold. */
  invasions: (assembly: Assembly): readonly Invasion[] =>
    assembly.placed.flatMap((piece) =>
      kindsOf(piece.part).flatMap((kind) => invasionsOf(assembly, piece, kind, kind === 'hand' ? gloveMm(assembly) : 0)),
    ),
  /** Levers and knobs that a gloved hand can not reach; empty when it is warm. */
  gloved: (assembly: Assembly): readonly Invasion[] =>
    gloveMm(assembly) > 0 ? assembly.placed.flatMap((piece) => invasionsOf(assembly, piece, 'lever', gloveMm(assembly))) : [],
  stand: (assembly: Assembly, _: Shelf, facts: Earlier): Stand => standOf(assembly, facts.mass),
  hands: (assembly: Assembly, _: Shelf, facts: Earlier): TwoHands | undefined => twoHandsOf(assembly, facts.mass),
  grips: (assembly: Assembly): readonly Grip[] => gripsOf(assembly),
  onPlate: (assembly: Assembly, _: Shelf, facts: Earlier): OnPlate | undefined => onPlateOf(assembly, facts.mass),
  gimbal: (assembly: Assembly, _: Shelf, facts: Earlier): ReturnType<typeof beyondGimbal> => beyondGimbal(assembly, facts.mass),
  shoulder: (assembly: Assembly, _: Shelf, facts: Earlier): Shoulder | undefined => shoulderOf(assembly, facts.mass),
  tip: (assembly: Assembly): Tip | undefined => tipOf(assembly),
  inShot: (assembly: Assembly): readonly Intruder[] => inShotOf(assembly),
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

/** What a glove adds under a grip and round a knob, mm. */
export const GLOVE_MM = 8
const gloveMm = ({ rig }: Assembly): number => (rig.brief.conditions.includes('cold') ? GLOVE_MM : 0)

const kindsOf = ({ rooms }: Part): readonly Room['kind'][] => [...new Set(rooms.map(({ kind }) => kind))]

export const factsOf = (assembly: Assembly, shelf: Shelf): Facts => {
  const facts = { assembly, shelf } as Facts
  for (const name of factNames) {
    let made: { value: unknown } | undefined
    Object.defineProperty(facts, name, {
      enumerable: true,
      get: () => (made ??= { value: makers[name](assembly, shelf, facts) }).value,
    })
  }
  return facts
}
