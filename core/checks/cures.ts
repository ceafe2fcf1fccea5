import { type Command, edit, type PlacedPart, placeSetup, slideWay, travelOf, wayName } from '../assembly/index.ts'
import { mate, mountOf } from '../catalogue/index.ts'
import { clashWith } from '../clearance/index.ts'
import { scale, zero } from '../kernel/index.ts'
import { type Remedy, wayKindOf, type WayKind } from './check.ts'
import { type Facts, factsAfter as factsNext } from '../facts/index.ts'
import { moveRemedy, takeOffRemedy } from './places.ts'

const MOST_STEPS = 40

/** The slides of a piece, the nearest first. */
const slides = function* (facts: Facts, piece: PlacedPart): Generator<Remedy> {
  const travel = travelOf(piece)
  const { joint } = piece
  if (!travel || !joint) return
  for (let n = 1; n <= MOST_STEPS; n++)
    for (const sign of [1, -1]) {
      const slideMm = joint.slideMm + sign * n * travel.stepMm
      if (slideMm < travel.minMm || slideMm > travel.maxMm) continue
      yield {
        text: 'slide {part} {byMm:mm} {way}',
        numbers: { byMm: n * travel.stepMm },
        names: { part: piece.part.name, way: wayName(scale(slideWay(piece) ?? zero, sign)) },
        commands: [{ do: 'set', setup: facts.assembly.setup.id, instance: piece.instance.id, slideMm }],
      }
    }
}

const turns = function* (facts: Facts, piece: PlacedPart): Generator<Remedy> {
  const { joint, mate: mated } = piece
  if (!joint || !mated?.ok) return
  const step = Math.max(90, mated.value.turnStepDeg)
  for (let turn = step; turn < 360; turn += step) {
    const turnDeg = ((joint.turnDeg + turn + 180) % 360) - 180
    yield {
      text: 'turn {part} to {turnDeg:deg}',
      numbers: { turnDeg },
      names: { part: piece.part.name },
      commands: [{ do: 'set', setup: facts.assembly.setup.id, instance: piece.instance.id, turnDeg }],
    }
  }
}

/** Facts of the set-up after some edits; undefined when they can't be done. */
export const factsAfter = (facts: Facts, commands: readonly Command[]): Facts | undefined => {
  const edited = edit(facts.assembly.rig, commands, facts.context.catalogue)
  const setup = edited.ok ? edited.value.setups.find(({ id }) => id === facts.assembly.setup.id) : undefined
  return edited.ok && setup
    ? factsNext(facts, placeSetup(edited.value, setup, facts.context.catalogue), facts.context, true)
    : undefined
}

/**
 * Ways to get a piece out of the way: the nearest slide, a turn, another point, coming off. The first slide and the
 * first turn that clear the trouble without running into something are taken.
 */
export const getOutOfTheWay = (
  facts: Facts,
  piece: PlacedPart,
  cleared: (after: Facts) => boolean,
): readonly Remedy[] => {
  if (!piece.joint || !piece.host) return []
  const before = clashWith(piece, facts.assembly.placed)
  const good = ({ commands }: Remedy): boolean => {
    const after = factsAfter(facts, commands)
    const moved = after?.assembly.byInstance.get(piece.instance.id)
    return (
      after !== undefined && moved !== undefined && clashWith(moved, after.assembly.placed) <= before && cleared(after)
    )
  }
  const first = (proposals: Iterable<Remedy>): Remedy[] => {
    for (const proposal of proposals) if (good(proposal)) return [proposal]
    return []
  }
  const mount = mountOf(piece.part, piece.joint.guestMount)
  const elsewhere =
    mount &&
    moveRemedy(
      facts,
      piece,
      (point) => mate({ part: point.piece.part, mount: point.mount }, { part: piece.part, mount }).ok,
    )
  return [
    ...first(slides(facts, piece)),
    ...first(turns(facts, piece)),
    ...(elsewhere && good(elsewhere) ? [elsewhere] : []),
    takeOffRemedy(facts, piece),
  ]
}

const GENTLEST: readonly WayKind[] = ['slide', 'turn', 'move', 'take-off']

/**
 * The gentlest ways to part several pieces, whichever of them moves: one slide, one turn, one other point, one coming
 * off.
 */
export const oneOutOfTheWay = (
  facts: Facts,
  pieces: readonly PlacedPart[],
  cleared: (after: Facts) => boolean,
): readonly Remedy[] => {
  const all = pieces.flatMap((piece) => getOutOfTheWay(facts, piece, cleared))
  return GENTLEST.flatMap((way) => all.find(({ commands }) => wayKindOf(commands) === way) ?? [])
}
