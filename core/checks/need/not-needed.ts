import { z } from 'zod'
import type { PlacedPart } from '../../assembly/index.ts'
import { inHand } from '../../balance/index.ts'
import { type Role, joiningRoles } from '../../catalogue/index.ts'
import { defineCheck, piecesThat } from '../check.ts'
import { takenFrom } from '../../facts/index.ts'
import { isLeaf, priceOf } from '../places.ts'

const carriers: ReadonlySet<Role> = new Set([
  ...joiningRoles,
  'arm',
  'monitor-mount',
  'mic-mount',
  'rod-clamp',
  'battery-plate',
  'drive-holder',
  'lens-support',
])

/** Parts that are there either to carry something or to give something. */
const isCandidate = (piece: PlacedPart): boolean =>
  piece.host !== undefined &&
  inHand(piece) &&
  piece.part.role !== 'lens' &&
  (carriers.has(piece.part.role) || piece.part.provides.length > 0)

/** A part that this job does not ask for. */
export const notNeeded = defineCheck<PlacedPart, object, 'cost' | 'asked'>({
  id: 'not-needed',
  family: 'need',
  title: 'Not needed for this job',
  why: 'Every part costs grams, money, seconds, and is one more thing to come loose.',
  level: 'hint',
  source: 'What the part gives, against what the brief asks.',
  options: z.object({}),
  defaults: {},
  needs: ['cost', 'asked'],
  messages: {
    speaks: {
      idle: '{part} carries nothing. Leaving it out saves {massG:g}, {priceMinor:minor} and {seconds} s.',
      unasked:
        "{part} isn't earning its place. Nothing in the brief asks for it; leaving it out saves {massG:g}, {priceMinor:minor} and {seconds} s.",
    },
    silent: { carries: '{part} carries something.', needed: '{part} gives what the brief asks for.' },
    cannotTell: {},
  },
  subjects: piecesThat(isCandidate),
  judge: (piece, facts) => {
    const named = { part: piece.part.name }
    // What can be left out ends a branch.
    if (!takenFrom(facts, piece, isLeaf)) return { group: 'silent', message: 'carries', names: named }
    // What another set-up of the rig has a use for is not for nothing in this one.
    const { asked: wanted } = facts
    const priceMinor = takenFrom(facts, piece.instance.id, priceOf)
    const numbers = {
      massG: piece.part.massG,
      priceMinor,
      seconds: piece.mate?.ok ? piece.mate.value.seconds : 0,
    }
    const names = named
    const parts = [piece.instance.id]
    if (piece.part.provides.length === 0)
      return { group: 'speaks', message: 'idle', numbers, names, parts, at: piece.centre }
    const asked = piece.part.provides.some((gift) => wanted.has(gift))
    return asked
      ? { group: 'silent', message: 'needed', numbers, names }
      : { group: 'speaks', message: 'unasked', numbers, names, parts, at: piece.centre }
  },
  aims: (piece) => [{ do: 'take-off', piece }],
})
