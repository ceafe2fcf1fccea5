import { z } from 'zod'
import { type PlacedPart, seat, slideWay, travelOf, wayName } from '../assembly/index.ts'
import { mate, mountOf } from '../catalogue/index.ts'
import { type Clash, clashDepth, clashWith } from '../clearance/index.ts'
import { CLASH_MM, scale, zero } from '../kernel/index.ts'
import { defineCheck, type Remedy } from './check.ts'
import type { Facts } from './facts.ts'
import { firstOf, moveRemedy, takeOffRemedy } from './places.ts'

interface Neighbours extends Clash {
  readonly touching: boolean
}

/** Two on one mounting point are another check's business. */
const sameSeat = ({ a, b }: Clash): boolean => a.host !== undefined && a.host === b.host && a.joint?.hostMount === b.joint?.hostMount

const MOST_STEPS = 60

/** The nearest other slide of a piece that sits clear of everything. */
const slideClear = (facts: Facts, piece: PlacedPart): Remedy | undefined => {
  const travel = travelOf(piece)
  const { joint, host } = piece
  if (!travel || !joint || !host) return undefined
  const others = facts.assembly.placed.filter((other) => other !== piece)
  for (let n = 1; n <= MOST_STEPS; n++)
    for (const sign of [1, -1]) {
      const slideMm = joint.slideMm + sign * n * travel.stepMm
      if (slideMm < travel.minMm || slideMm > travel.maxMm) continue
      if (clashWith(seat(host, { ...joint, slideMm }, piece.instance, piece.part), others) > 0) continue
      return {
        text: 'slide {part} {byMm} {way}',
        numbers: { byMm: n * travel.stepMm },
        names: { part: piece.part.name, way: wayName(scale(slideWay(piece) ?? zero, sign)) },
        commands: [{ do: 'set', setup: facts.assembly.setup.id, instance: piece.instance.id, slideMm }],
      }
    }
  return undefined
}

const turnClear = (facts: Facts, piece: PlacedPart): Remedy | undefined => {
  const { joint, host } = piece
  if (!joint || !host || !piece.mate?.ok) return undefined
  const others = facts.assembly.placed.filter((other) => other !== piece)
  const step = Math.max(45, piece.mate.value.turnStepDeg)
  for (let turn = step; turn < 360; turn += step) {
    const turnDeg = ((joint.turnDeg + turn + 180) % 360) - 180
    if (clashWith(seat(host, { ...joint, turnDeg }, piece.instance, piece.part), others) > 0) continue
    return {
      text: 'turn {part} to {turnDeg}',
      numbers: { turnDeg },
      names: { part: piece.part.name },
      commands: [{ do: 'set', setup: facts.assembly.setup.id, instance: piece.instance.id, turnDeg }],
    }
  }
  return undefined
}

const elsewhere = (facts: Facts, piece: PlacedPart): Remedy | undefined => {
  const mount = mountOf(piece.part, piece.joint?.guestMount ?? '')
  if (!mount) return undefined
  return moveRemedy(facts, piece, (point) => mate({ part: point.piece.part, mount: point.mount }, { part: piece.part, mount }).ok)
}

/** Two solid parts in the same place. */
export const solidClash = defineCheck<Neighbours, object>({
  id: 'solid-clash',
  title: 'Parts in each other’s way',
  why: 'They can not both be there: one of them will not seat, or scratches the other.',
  level: 'stop',
  source: 'Drawn solids of both parts; 0.5 mm is allowed for paint, rubber and drawing error.',
  options: z.object({}),
  defaults: {},
  needs: ['clashes', 'points'],
  messages: {
    speaks: { clash: '{a} and {b} want the same space. They press {depthMm} into each other; {allowedMm} is allowed.' },
    silent: { clear: '{a} and {b} clear each other.' },
    cannotTell: {},
  },
  subjects: ({ assembly, clashes }) => [
    ...clashes.filter((clash) => !sameSeat(clash)).map((clash) => ({ ...clash, touching: true })),
    ...assembly.placed.flatMap((b) => (b.host && clashDepth(b.host, b) === 0 ? [{ a: b.host, b, depthMm: 0, touching: false }] : [])),
  ],
  judge: ({ a, b, depthMm, touching }) => {
    const names = { a: a.part.name, b: b.part.name }
    const numbers = { depthMm, allowedMm: CLASH_MM }
    return touching
      ? { group: 'speaks', message: 'clash', names, numbers, parts: [b.instance.id, a.instance.id], at: b.centre }
      : { group: 'silent', message: 'clear', names, numbers }
  },
  remedies: ({ a, b }, facts) => [
    ...firstOf(1, [slideClear(facts, b), slideClear(facts, a)]),
    ...firstOf(1, [turnClear(facts, b), turnClear(facts, a)]),
    ...firstOf(1, [elsewhere(facts, b), elsewhere(facts, a)]),
    takeOffRemedy(facts, b.joint ? b : a),
  ],
})
