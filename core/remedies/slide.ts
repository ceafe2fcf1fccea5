import { type PlacedPart, slideWay, travelOf, wayName } from '../assembly/index.ts'
import { farOf, type Finding, findingsOfCheck, type Remedy, troubleOf } from '../checks/index.ts'
import type { Facts } from '../facts/index.ts'
import { scale, zero, flatMap } from '../kernel/index.ts'
import { figuresAfter } from './after.ts'
import { moversOf, type Proposer } from './concern.ts'

/** So far pieces are slid, mm: a little first, then in longer strides. */
const STRIDES = [1, 2, 4, 7, 11, 16, 22, 30, 40, 55, 75, 100, 140, 200] as const
/** So far a piece is pushed to see what that does, mm. */
const PROBE_MM = 4
/** Of the way that would do, as far as that tells: a little more, three quarters, a half. */
const SHARES = [1.1, 0.75, 0.5] as const

interface Sliding {
  readonly piece: PlacedPart
  readonly travel: NonNullable<ReturnType<typeof travelOf>>
  readonly now: number
}

const slid = (setup: string, piece: PlacedPart, byMm: number, slideMm: number): Remedy => ({
  text: 'slide {part} {byMm:mm} {way}',
  numbers: { byMm: Math.abs(byMm) },
  names: { part: piece.part.name, way: wayName(scale(slideWay(piece) ?? zero, Math.sign(byMm))) },
  commands: [{ do: 'set', setup, instance: piece.instance.id, slideMm }],
})

/** Where a piece comes to lie by so much, on a step of its scale and within its travel. */
const ledTo = ({ travel, now }: Sliding, byMm: number): number => {
  const steps = Math.sign(byMm) * Math.max(1, Math.round(Math.abs(byMm) / travel.stepMm))
  return Math.min(travel.maxMm, Math.max(travel.minMm, now + steps * travel.stepMm))
}

/** How far over its limit a finding is once a piece lies elsewhere; 0 when it is gone, undefined where nothing tells. */
const overAt = (facts: Facts, finding: Finding, piece: PlacedPart, slideMm: number): number | undefined => {
  const { id: setup } = facts.assembly.setup
  const after = figuresAfter(facts, [{ do: 'set', setup, instance: piece.instance.id, slideMm }])
  if (!after) return undefined
  const left = findingsOfCheck(after, finding.check).find((one) => troubleOf(one) === troubleOf(finding))
  return left ? farOf(left)?.over : 0
}

/**
 * How far a piece would have to go: it is pushed a little either way, and what that brings is taken on in a straight
 * line, to the limit and, where the figure should rather be nothing, to nothing.
 */
const wanted = (facts: Facts, finding: Finding, sliding: Sliding): readonly number[] => {
  const far = farOf(finding)
  // What is endlessly far over tells no distance.
  if (!far || !Number.isFinite(far.over)) return []
  const { over, toNothing } = far
  for (const sign of [1, -1]) {
    const to = ledTo(sliding, sign * PROBE_MM)
    const moved = Math.abs(to - sliding.now)
    const left = moved > 0 ? overAt(facts, finding, sliding.piece, to) : undefined
    if (left === undefined || !(left < over)) continue
    // So little does: the strides begin with less.
    if (left === 0) return []
    const perMm = (over - left) / moved
    const shares = SHARES.map((share) => (share * over) / perMm)
    const nothing = (toNothing ?? 0) / perMm
    const room = sign > 0 ? sliding.travel.maxMm - sliding.now : sliding.now - sliding.travel.minMm
    const all = toNothing !== undefined && nothing <= room ? [nothing, ...shares] : shares
    return all.map((byMm) => sign * byMm)
  }
  return []
}

/** Every piece along its travel: as far as seems to do, then either way, all of them a little before any of them far. */
export const slide: Proposer = function* (facts, concern) {
  const { id } = facts.assembly.setup
  const slides = flatMap(moversOf(concern), (piece): Sliding[] => {
    const travel = travelOf(piece)
    return travel && piece.joint ? [{ piece, travel, now: piece.joint.slideMm }] : []
  })
  const seen = new Set<string>()
  const led = function* (sliding: Sliding, byMm: number): Generator<Remedy> {
    const { piece, travel, now } = sliding
    // The end of the travel is tried before the stride that would leave it.
    const to = ledTo(sliding, byMm)
    const key = `${piece.instance.id} ${to}`
    if (Math.abs(to - now) < travel.stepMm / 2 || seen.has(key)) return
    seen.add(key)
    yield slid(id, piece, to - now, to)
  }
  for (const sliding of slides) for (const byMm of wanted(facts, concern.finding, sliding)) yield* led(sliding, byMm)
  for (const stride of STRIDES)
    for (const sliding of slides) for (const sign of [1, -1]) yield* led(sliding, sign * stride)
}
