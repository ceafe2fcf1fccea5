import type { Run } from '../cabling/index.ts'
import type { Facts } from '../facts/index.ts'
import { type Concern, moversOf, type Proposer } from './concern.ts'
import { otherLeads, replugged, saved } from './wires.ts'

/** The leads a finding names, then those plugged into the pieces it names. */
const leadsOf = (facts: Facts, concern: Concern): readonly Run[] => {
  const pieces = new Set(moversOf(concern))
  const near = facts.leads.filter(({ from, to }) => pieces.has(from.piece) || pieces.has(to.piece))
  return [...new Set([...concern.leads, ...near])]
}

/** Other leads, other angles, another socket, a saver between plug and socket. */
export const lead: Proposer = function* (facts, concern) {
  for (const run of leadsOf(facts, concern)) {
    yield* otherLeads(facts, run)
    yield* replugged(facts, run)
    for (const end of ['from', 'to'] as const) yield* saved(facts, run, end)
  }
}
