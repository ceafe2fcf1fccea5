import { type Assembly, type PlacedPart, pointsOf } from '../assembly/index.ts'
import { inHand } from '../balance/index.ts'
import { jamsIn, jamsStand } from '../build-order/index.ts'
import type { Part, Room } from '../catalogue/index.ts'
import {
  clashesAfter,
  clashesAny,
  clashesOf,
  closeFitsOf,
  crowdsOf,
  entriesOf,
  inShotOf,
  isClamped,
  touchesEnds,
  touchesPicture,
  touchesPlugs,
  touchesRooms,
  touchesSights,
  type Intruder,
  invasionsOf,
  leadIntrusionsOf,
  plugRoomsAt,
  sightOf,
  sizeOf,
  ownScreenOf,
  watchedScreens,
} from '../clearance/index.ts'
import { numberOf, perThing, flatMap } from '../kernel/index.ts'
import { startingFrom, startingFromEach, wholeStartingFrom } from './before.ts'
import { fact, type FactTable } from './define.ts'
import type { Sees } from './figures.ts'
import { lotOf, lotOfParts } from './lots.ts'

type Names =
  | 'points'
  | 'clashes'
  | 'size'
  | 'invasions'
  | 'gloved'
  | 'closeFits'
  | 'screens'
  | 'ownScreen'
  | 'leadIntrusions'
  | 'plugs'
  | 'entries'
  | 'crowds'
  | 'sight'
  | 'inShot'
  | 'jams'

/** What a glove adds under a grip and round a knob, mm. */
export const GLOVE_MM = 8
const gloveMm = ({ rig }: Assembly): number => (rig.brief.conditions.includes('cold') ? GLOVE_MM : 0)

const kindsOf = perThing('kinds of rooms', ({ rooms }: Part): readonly Room['kind'][] => [
  ...new Set(rooms.map(({ kind }) => kind)),
])

const withSockets = lotOfParts(({ sockets }) => (sockets?.length ?? 0) > 0)
const clamped = lotOf(isClamped)
const withRooms = lotOfParts(({ rooms }) => rooms.length > 0)

/** What is where, and what is in the way of what. */
export const clearanceFacts: FactTable<Names> = {
  points: fact([], ({ assembly }) => pointsOf(assembly)),
  clashes: fact(
    [],
    startingFrom({
      find: ({ assembly }: Sees) => clashesOf(assembly),
      after: (was, change, { assembly }) => clashesAfter(was, change, assembly),
      touches: (piece, { assembly }) => clashesAny(piece, assembly),
      about: ({ a, b }) => [a, b],
    }),
  ),
  size: fact([], ({ assembly }) => sizeOf(assembly.placed.filter(inHand))),
  /** The first invasion of every room; hands are taken with gloves when the brief is cold. */
  invasions: fact(
    [],
    startingFromEach({
      at: (facts: Sees) => withRooms(facts),
      find: (piece, { assembly }) =>
        flatMap(kindsOf(piece.part), (kind) =>
          invasionsOf(assembly, piece, kind, kind === 'hand' ? gloveMm(assembly) : 0),
        ),
      touches: (piece, roomy, { assembly }) => touchesRooms(piece, roomy, gloveMm(assembly)),
      key: ({ assembly }) => String(gloveMm(assembly)),
    }),
  ),
  /** Levers and knobs that a gloved hand can not reach; empty when it is warm. */
  gloved: fact(
    [],
    startingFromEach({
      at: (facts: Sees) => (gloveMm(facts.assembly) > 0 ? withRooms(facts) : []),
      find: (piece, { assembly }) => invasionsOf(assembly, piece, 'lever', gloveMm(assembly)),
      touches: (piece, roomy, { assembly }) => touchesRooms(piece, roomy, gloveMm(assembly)),
      key: ({ assembly }) => String(gloveMm(assembly)),
    }),
  ),
  /** Rooms that are free by less than 5 mm; nobody judges them, they are shown to who asks. */
  closeFits: fact([], ({ assembly }) => closeFitsOf(assembly, (kind) => (kind === 'hand' ? gloveMm(assembly) : 0))),
  screens: fact(
    [],
    startingFrom({
      find: ({ assembly }: Sees) => watchedScreens(assembly),
      touches: (piece, { assembly }, was) =>
        piece.part.optics?.kind === 'screen' ||
        touchesSights(
          piece,
          was.map((one) => one.piece),
          assembly,
        ),
      about: ({ piece, by }) => [piece, by],
      key: ({ assembly }) => assembly.setup.support,
    }),
  ),
  /** Rooms that a plug, a cable or a coil lies in. */
  leadIntrusions: fact(['leads'], ({ assembly, leads }) => leadIntrusionsOf(assembly.placed, leads)),
  ownScreen: fact(
    [],
    wholeStartingFrom(
      ({ assembly }: Sees) => ownScreenOf(assembly),
      ({ piece, by }, { came, went }, { assembly }) =>
        ![...came, ...went].some((one) => one === by || touchesSights(one, [piece], assembly)),
      ({ assembly }) => assembly.setup.support,
    ),
  ),
  plugs: fact(
    [],
    startingFromEach({
      at: (facts: Sees) => withSockets(facts),
      find: (piece, { assembly }) => plugRoomsAt(piece, assembly),
      touches: touchesPlugs,
    }),
  ),
  entries: fact(
    [],
    startingFromEach({
      at: (facts: Sees) => clamped(facts),
      find: (piece, { assembly }) => entriesOf(assembly, [piece]),
      touches: touchesEnds,
    }),
  ),
  crowds: fact([], (facts) => crowdsOf({ placed: withSockets(facts) })),
  /** What the lens on the camera sees at its widest. */
  sight: fact([], ({ assembly }) => sightOf(assembly), 'glass'),
  /** What stands into any of the pictures, by the one it stands into deepest. */
  inShot: fact(
    ['deliveries', 'picture'],
    startingFrom({
      find: ({ assembly, deliveries, picture: chief }: Sees<'deliveries' | 'picture'>) => {
        if (deliveries.length < 2) return inShotOf(assembly, chief)
        const worst = new Map<PlacedPart, Intruder>()
        for (const { picture } of deliveries)
          for (const found of inShotOf(assembly, picture))
            if (found.intoMm > (worst.get(found.piece)?.intoMm ?? 0)) worst.set(found.piece, found)
        return [...worst.values()].sort((a, b) => b.intoMm - a.intoMm)
      },
      touches: (piece, { assembly, deliveries, picture: chief }) =>
        deliveries.length < 2
          ? touchesPicture(piece, assembly, chief)
          : deliveries.some(({ picture }) => touchesPicture(piece, assembly, picture)),
      about: ({ piece }) => [piece],
      key: ({ deliveries, picture: chief }) => `${numberOf(deliveries)} ${chief ? numberOf(chief) : ''}`,
    }),
  ),
  /** What locks each other, whatever is put on last. */
  jams: fact(
    [],
    wholeStartingFrom(
      ({ assembly }: Sees) => jamsIn(assembly.placed),
      (was, change, { assembly }) => jamsStand(was, change, assembly.placed),
    ),
  ),
}
