import type { Remedy } from '../checks/index.ts'
import { moversOf, type Proposer } from './concern.ts'

/** Turns that are tried, degrees: quarters and halves first, then what lies between. */
const TURNS = [90, -90, 180, 30, -30, 60, -60, 15, -15, 120, -120, 150, -150] as const

/** Every piece about its own joint, as far as the joint lets it. */
export const turn: Proposer = function* (facts, concern) {
  for (const by of TURNS)
    for (const { joint, mate, instance, part } of moversOf(concern)) {
      if (!joint || !mate?.ok) continue
      const step = mate.value.turnStepDeg
      if (step >= 360) continue
      const turned = Math.round(by / step) * step
      if (step > 0 && Math.abs(turned - by) > 8) continue
      const turnDeg = ((joint.turnDeg + (step > 0 ? turned : by) + 540) % 360) - 180
      const remedy: Remedy = {
        text: 'turn {part} to {turnDeg:deg}',
        numbers: { turnDeg },
        names: { part: part.name },
        commands: [{ do: 'set', setup: facts.assembly.setup.id, instance: instance.id, turnDeg }],
      }
      yield remedy
    }
}
