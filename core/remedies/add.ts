import { type Capability, isCapability, offeredParts, type Part, standardOf } from '../catalogue/index.ts'
import {
  addRemedy,
  bothOf,
  byReadiness,
  figuresAfter,
  findingsOfCheck,
  firstOf,
  placeMade,
  type Remedy,
  troubleOf,
} from '../checks/index.ts'
import type { Facts } from '../facts/index.ts'
import type { Concern, Proposer } from './concern.ts'

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
    const put = addRemedy(facts, part)
    if (put) yield put
  }
  for (const part of parts.slice(0, MOST_MADE)) yield* firstOf(1, [placeMade(facts, part)])
}
const MOST_MADE = 4

const lenses = function* (facts: Facts): Generator<Remedy> {
  const parts = offeredParts(facts.context.catalogue).filter(({ role }) => role === 'lens')
  for (const part of parts.sort(byReadiness(facts))) {
    const put = addRemedy(facts, part)
    if (put) yield put
  }
}

/** A battery, which feeds others from its own sockets or through the plate it sits on. */
const givesPower = (part: Part): boolean => part.power?.store !== undefined
const passesSound = ({ role }: Part): boolean => role === 'preamp'

/** A relay put on, with the lead from what wants it: a supply for what is dark, a preamp for what nobody hears. */
const relays = function* (facts: Facts, { finding }: Concern, wanted: (part: Part) => boolean): Generator<Remedy> {
  const parts = offeredParts(facts.context.catalogue).filter(wanted).sort(byReadiness(facts))
  for (const part of parts.slice(0, MOST_RELAYS)) {
    const put = addRemedy(facts, part) ?? placeMade(facts, part)
    const after = put && figuresAfter(facts, put.commands)
    const left = after && findingsOfCheck(after, finding.check).find((one) => troubleOf(one) === troubleOf(finding))
    const [lead] = left?.remedies ?? []
    if (put && lead) yield bothOf(put, lead)
  }
}
const MOST_RELAYS = 8

/** What is missing, with what it needs to be there. */
export const add: Proposer = function* (facts, concern) {
  const { finding } = concern
  if (finding.check === 'lens-missing') yield* lenses(facts)
  else if (finding.family === 'need' && isCapability(finding.key)) yield* givers(facts, finding.key)
  else if (finding.family === 'power') yield* relays(facts, concern, givesPower)
  else if (finding.check === 'no-cable' && finding.key === 'sound') yield* relays(facts, concern, passesSound)
}
