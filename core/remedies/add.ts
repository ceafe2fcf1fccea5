import { type Capability, isCapability, offeredParts, type Part, standardOf } from '../catalogue/index.ts'
import { byReadiness, type Remedy } from '../checks/index.ts'
import type { Facts } from '../facts/index.ts'
import { relayed } from './aims.ts'
import type { Proposer } from './concern.ts'
import { placesMade, putOn } from './seats.ts'

/**
 * A cage to build on can't turn on its body, and has firm points: one on top and one at a side, on which nothing turns
 * and by which the rig may be lifted.
 */
const isFirm = ({ role, mounts }: Part): boolean => {
  if (role !== 'cage') return true
  if (!mounts.some(({ side, screws = 1, antiTwist }) => side === 'sits' && (screws > 1 || antiTwist))) return false
  const firm = mounts.filter(({ side, standard }) => {
    const { holdsTwist, mayLift } = standardOf(standard)
    return side === 'holds' && holdsTwist && mayLift
  })
  return firm.some(({ out }) => out[1] > 0.9) && firm.some(({ out }) => Math.abs(out[0]) > 0.9)
}

/** What gives a need, put on where it works, or on something that makes its place. */
const givers = function* (facts: Facts, wish: Capability): Generator<Remedy> {
  const ready = byReadiness(facts)
  const parts = offeredParts(facts.context.catalogue)
    .filter(({ role, provides }) => role !== 'camera' && provides.includes(wish))
    .sort((a, b) => Number(isFirm(b)) - Number(isFirm(a)) || ready(a, b))
  for (const part of parts) {
    const put = putOn(facts, part)
    if (put) yield put
  }
  for (const part of parts.slice(0, MOST_MADE.parts)) {
    let ways = 0
    for (const made of placesMade(facts, part)) {
      yield made
      if (++ways >= MOST_MADE.ways) break
    }
  }
}
const MOST_MADE = { parts: 4, ways: 2 } as const

/** A battery, which feeds others from its own sockets or through the plate it sits on. */
const givesPower = (part: Part): boolean => part.power?.store !== undefined

/** What is missing, with what it needs to be there: what gives a need; for what is dark a supply with its lead. */
export const add: Proposer = function* (facts, { finding }) {
  if (finding.family === 'need' && isCapability(finding.key)) yield* givers(facts, finding.key)
  else if (finding.family === 'power') yield* relayed(facts, finding, givesPower)
}
