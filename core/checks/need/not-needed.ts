import { z } from 'zod'
import type { PlacedPart } from '../../assembly/index.ts'
import { inHand } from '../../balance/index.ts'
import { needsOf } from '../../brief/index.ts'
import { joiningRoles, type Role } from '../../catalogue/index.ts'
import { lineOf } from '../../money/index.ts'
import { defineCheck } from '../check.ts'
import type { Sees } from '../../facts/index.ts'
import { isLeaf, takeOffRemedy } from '../places.ts'

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

/** Parts that can be left out: they end a branch, and are there either to carry something or to give something. */
const candidates = (facts: Sees): PlacedPart[] =>
  facts.assembly.placed.filter(
    (piece) =>
      piece.host &&
      inHand(piece) &&
      isLeaf(facts, piece) &&
      piece.part.role !== 'lens' &&
      (carriers.has(piece.part.role) || piece.part.provides.length > 0),
  )

/** A part that this job does not ask for. */
export const notNeeded = defineCheck<PlacedPart, object, 'cost'>({
  id: 'not-needed',
  family: 'need',
  title: 'Not needed for this job',
  why: 'Every part costs grams, money, seconds, and is one more thing to come loose.',
  level: 'hint',
  source: 'What the part gives, against what the brief asks.',
  options: z.object({}),
  defaults: {},
  needs: ['cost'],
  messages: {
    speaks: {
      idle: '{part} carries nothing. Leaving it out saves {massG:g}, {priceMinor:minor} and {seconds} s.',
      unasked:
        "{part} isn't earning its place. Nothing in the brief asks for it; leaving it out saves {massG:g}, {priceMinor:minor} and {seconds} s.",
    },
    silent: { needed: '{part} gives what the brief asks for.' },
    cannotTell: {},
  },
  subjects: candidates,
  judge: (piece, { assembly, cost }) => {
    // What another set-up of the rig has a use for is not for nothing in this one.
    const wanted = needsOf(assembly.rig.brief)
    const line = lineOf(cost, piece.instance.id)
    const numbers = {
      massG: piece.part.massG,
      priceMinor: line?.usual ?? 0,
      seconds: piece.mate?.ok ? piece.mate.value.seconds : 0,
    }
    const names = { part: piece.part.name }
    const parts = [piece.instance.id]
    if (piece.part.provides.length === 0)
      return { group: 'speaks', message: 'idle', numbers, names, parts, at: piece.centre }
    const asked = piece.part.provides.some((gift) => wanted.some((need) => need.capability === gift))
    return asked
      ? { group: 'silent', message: 'needed', numbers, names }
      : { group: 'speaks', message: 'unasked', numbers, names, parts, at: piece.centre }
  },
  remedies: (piece, facts) => [takeOffRemedy(facts, piece)],
})
