import { type PlacedPart, slideWay, travelOf, wayName } from '../assembly/index.ts'
import type { Remedy } from '../checks/index.ts'
import { scale, zero } from '../kernel/index.ts'
import { moversOf, type Proposer } from './concern.ts'

/** So far pieces are slid, mm: a little first, then in longer strides. */
const STRIDES = [1, 2, 4, 7, 11, 16, 22, 30, 40, 55, 75, 100, 140, 200] as const

const slid = (setup: string, piece: PlacedPart, byMm: number, slideMm: number): Remedy => ({
  text: 'slide {part} {byMm:mm} {way}',
  numbers: { byMm: Math.abs(byMm) },
  names: { part: piece.part.name, way: wayName(scale(slideWay(piece) ?? zero, Math.sign(byMm))) },
  commands: [{ do: 'set', setup, instance: piece.instance.id, slideMm }],
})

/** Every piece along its travel, either way, all of them a little before any of them far. */
export const slide: Proposer = function* (facts, concern) {
  const { id } = facts.assembly.setup
  const slides = moversOf(concern).flatMap((piece) => {
    const travel = travelOf(piece)
    return travel && piece.joint ? [{ piece, travel, now: piece.joint.slideMm }] : []
  })
  const seen = new Set<string>()
  for (const stride of STRIDES)
    for (const { piece, travel, now } of slides)
      for (const sign of [1, -1]) {
        const steps = Math.max(1, Math.round(stride / travel.stepMm))
        const wanted = now + sign * steps * travel.stepMm
        // The end of the travel is tried before the stride that would leave it.
        const to = Math.min(travel.maxMm, Math.max(travel.minMm, wanted))
        const key = `${piece.instance.id} ${to}`
        if (Math.abs(to - now) < travel.stepMm / 2 || seen.has(key)) continue
        seen.add(key)
        yield slid(id, piece, to - now, to)
      }
}
