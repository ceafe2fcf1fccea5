import { guestsOf } from '../assembly/index.ts'
import type { Proposer } from './concern.ts'
import { takenOff } from './seats.ts'

/** Every named piece off this set-up; with it comes what rides on it. */
export const leaveOut: Proposer = function* (facts, { named }) {
  const carrying = guestsOf(facts.assembly.placed)
  for (const piece of [...named].sort((a, b) => Number(carrying.has(a)) - Number(carrying.has(b))))
    yield takenOff(facts, piece)
}
