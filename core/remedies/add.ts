import { capabilityIds, offeredParts, type Capability } from '../catalogue/index.ts'
import { addRemedy, byReadiness, firstOf, placeMade } from '../checks/index.ts'
import type { Proposer } from './concern.ts'

const isCapability = (key: string): key is Capability => (capabilityIds as readonly string[]).includes(key)

/** What gives a need, put on where it works, or on something that makes its place. */
export const add: Proposer = function* (facts, { finding }) {
  if (finding.family !== 'need' || !isCapability(finding.key)) return
  const wish = finding.key
  const givers = offeredParts(facts.context.catalogue)
    .filter(({ role, provides }) => role !== 'camera' && provides.includes(wish))
    .sort(byReadiness(facts))
  for (const part of givers) {
    const put = addRemedy(facts, part)
    if (put) yield put
  }
  for (const part of givers) yield* firstOf(1, [placeMade(facts, part)])
}
