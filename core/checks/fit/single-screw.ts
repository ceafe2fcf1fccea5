import { z } from 'zod'
import { near, type PlacedPart, ridesOn, seated } from '../../assembly/index.ts'
import { FINGERS_HOLD_NM, graspOf } from '../../balance/index.ts'
import { type Mount, standardOf, type Tool } from '../../catalogue/index.ts'
import { clashWith } from '../../clearance/index.ts'
import { type Sees, takenFrom } from '../../facts/index.ts'
import { dot, exceeds, lengthOf, overlap, perThing, subtract } from '../../kernel/index.ts'
import { defineCheck, piecesThat } from '../check.ts'
import { firmerSeats, isBraced, loadOn } from '../places.ts'

/** Joints that never were meant to hold a twist: they have checks of their own. */
const byFriction: ReadonlySet<string> = new Set(['rods', 'pad', 'clamp'])

const toolWords: Readonly<Record<Tool, string>> = {
  fingers: 'fingers',
  coin: 'a coin',
  'hex key': 'a key',
  lever: 'a lever',
}

/** Where a maker does not say how far its two screws stand apart, mm: no nearer and no farther. */
const NEXT_HOLE_MM = [9, 60] as const
/** A screw finds a hole that is this far off where it should be: it has play in its own. mm */
const PLAY_MM = 0.5
/** How far from the first hole the second may lie: as the screws stand, and as far as their slots let them wander. */
const reachOf = ({ spacingMm, slotMm = 0 }: Mount): readonly [number, number] =>
  spacingMm === undefined ? NEXT_HOLE_MM : [spacingMm - slotMm - PLAY_MM, spacingMm + slotMm + PLAY_MM]

/** Does a second screw of the joint find a hole beside the first, facing the same way? */
const secondScrewHolds = perThing('second screw', ({ host, joint, mate: made }: PlacedPart): boolean => {
  if (!host || !joint || !made?.ok) return false
  const { socket, plug } = made.value
  if ((plug.mount.screws ?? 1) < 2) return false
  // A standard that is a pair of holes says so itself: how far they are apart is another rule's.
  if (standardOf(plug.mount.standard).holdsTwist) return true
  const own = standardOf(socket.mount.standard).accepts
  const [nearest, farthest] = reachOf(plug.mount)
  return socket.part.mounts.some((other) => {
    if (other.id === socket.mount.id || other.side !== 'holds' || dot(other.out, socket.mount.out) < 0.99) return false
    if (socket.mount.shares?.includes(other.id)) return false
    const apart = lengthOf(subtract(other.at, socket.mount.at))
    return standardOf(other.standard).accepts.some((one) => own.includes(one)) && apart >= nearest && apart <= farthest
  })
})

/** Nothing but friction keeps it from turning: no pins, no lip, no second screw that finds a hole. */
const byOneScrew = (piece: PlacedPart): boolean => {
  const { mate: made } = piece
  if (!made?.ok) return false
  const { holdsTwist, plug } = made.value
  if (!holdsTwist) return true
  const firm = standardOf(plug.mount.standard).holdsTwist || plug.mount.antiTwist === true
  return !firm && !secondScrewHolds(piece)
}

/** So far it may turn before it leans on a neighbour, degrees; and so much it has to press there, mm. */
const PLAY_DEG = 4
const PRESSES_MM = 0.3

/** The piece turned by as much as it may, either way. */
const turnedALittle = perThing('pieces turned by their play', (piece: PlacedPart): readonly PlacedPart[] => {
  const { host, joint, instance, part } = piece
  if (!host || !joint) return []
  return [PLAY_DEG, -PLAY_DEG].map((byDeg) =>
    seated(host, { ...joint, turnDeg: joint.turnDeg + byDeg }, instance, part),
  )
})

/** So far a piece's corners come round while it turns by its play, for each mm it is across. */
const COMES_ROUND = 2 * Math.sin((PLAY_DEG * Math.PI) / 360)

const isHeldTwice = ({ assembly }: Sees, piece: PlacedPart): boolean => isBraced(assembly, piece)

/** Does a neighbour's face stop it, whichever way it turns? */
const stoppedBy = ({ assembly }: Sees, piece: PlacedPart): PlacedPart | undefined => {
  const { min, max } = piece.bounds
  const slackMm = -COMES_ROUND * lengthOf(subtract(max, min))
  const beside = near(assembly.placed, piece.bounds, slackMm).filter(
    (other) => other !== piece.host && !ridesOn(other, piece),
  )
  if (beside.length === 0) return undefined
  const [one, other] = turnedALittle(piece)
  if (!one || !other) return undefined
  const meets = (turned: PlacedPart) =>
    beside.find((by) => {
      if (!overlap(by.bounds, turned.bounds)) return false
      const depthMm = clashWith(turned, [by])
      return depthMm > PRESSES_MM && depthMm > clashWith(piece, [by]) + PRESSES_MM
    })
  const first = meets(one)
  return first && meets(other) ? first : undefined
}

/** A joint on one screw with nothing to stop it turning, and a load that wants to turn it. */
export const singleScrew = defineCheck<PlacedPart, { riskNm: number; stopNm: number }, 'loads'>({
  id: 'single-screw',
  family: 'fit',
  title: 'Held by one screw',
  why: 'It works loose while you walk, and turns in your hand in the middle of a take.',
  level: 'risk',
  source:
    'Friction under the foot that touches, F = T / 0.2 d: fingers tighten a screw with 0.3 N m, a coin with 0.8, a key with 2; fingers hold 0.3 N m under 20 mm. A sixth is left once it was shaken (Junker 1969); on a tripod nothing shakes it. Both limits are for fingers and 20 mm; other tools and feet in proportion.',
  options: z.object({ riskNm: z.number().positive(), stopNm: z.number().positive() }),
  defaults: { riskNm: 0.05, stopNm: 0.25 },
  units: { riskNm: 'N m', stopNm: 'N m' },
  needs: ['loads'],
  limit: { measured: 'twistNm', allowed: 'riskNm' },
  messages: {
    speaks: {
      creeps:
        '{part} can turn. One screw, no pins, tightened with {tool}; {twistNm:N m} pulls at it, {riskNm:N m} is safe.',
      turns:
        '{part} will turn. One screw, no pins, tightened with {tool}; {twistNm:N m} pulls at it while you run, {stopNm:N m} is the end.',
    },
    silent: {
      light: '{part} sits on one screw, but only {twistNm:N m} of {riskNm:N m} pulls at it.',
      braced: '{part} sits on one screw, and a second hold keeps it from turning.',
      stopped: '{part} sits on one screw, and {by} stops it whichever way it turns.',
    },
    cannotTell: {},
  },
  subjects: piecesThat(
    (piece) => piece.mate?.ok && byOneScrew(piece) && !byFriction.has(piece.mate.value.standard.kind),
  ),
  judge: (piece, facts, { riskNm, stopNm }) => {
    const { brief } = facts.assembly.rig
    const turning = loadOn(facts, piece).twistNm
    const grasp = graspOf(piece)
    const share = grasp ? grasp.holdsNm / FINGERS_HOLD_NM : 1
    const endNm = stopNm * share
    // Nothing shakes loose what stands still.
    const safeNm = facts.assembly.setup.support === 'tripod' ? endNm : riskNm * share
    const names = { part: piece.part.name, tool: toolWords[grasp?.tool ?? 'fingers'] }
    const numbers = { twistNm: turning, riskNm: safeNm, stopNm: endNm }
    const parts = [piece.instance.id]
    if (takenFrom(facts, piece, isHeldTwice)) return { group: 'silent', message: 'braced', names, numbers }
    if (!exceeds(turning, safeNm)) return { group: 'silent', message: 'light', names, numbers }
    const stop = takenFrom(facts, piece, stoppedBy)
    if (stop) return { group: 'silent', message: 'stopped', names: { ...names, by: stop.part.name }, numbers }
    const swung =
      facts.assembly.setup.support !== 'tripod' &&
      (brief.kind === 'run-and-gun' || brief.conditions.includes('running'))
    if (exceeds(turning, endNm) && swung)
      return { group: 'speaks', message: 'turns', names, numbers, parts, at: piece.centre }
    return { group: 'speaks', message: 'creeps', names, numbers, parts, at: piece.centre }
  },
  aims: firmerSeats,
})
