import type { Family, Finding, Remedy, WayKind } from '../checks/index.ts'
import type { Facts } from '../facts/index.ts'
import { add } from './add.ts'
import { concernOf, type Proposer } from './concern.ts'
import { insert } from './insert.ts'
import { lead } from './lead.ts'
import { leaveOut } from './leave-out.ts'
import { move } from './move.ts'
import { pose } from './pose.ts'
import { slide } from './slide.ts'
import { support } from './support.ts'
import { swap } from './swap.ts'
import { turn } from './turn.ts'

export { figuresAfter } from './after.ts'
export { namedWays } from './aims.ts'
export { placeMade, placesMade, putOn, takenOff } from './seats.ts'
export { rivalsOf, swappedFor } from './swap.ts'

/** The kinds of move there are, and who proposes them. */
const proposers = {
  slide,
  turn,
  pose,
  move,
  lead,
  support,
  insert,
  swap,
  add,
  'leave-out': leaveOut,
} satisfies Partial<Record<WayKind, Proposer>>
export type MoveKind = keyof typeof proposers

/** Which kinds make sense for what is wrong, the gentlest first. */
const kindsFor: Readonly<Record<Family, readonly MoveKind[]>> = {
  fit: ['slide', 'turn', 'move', 'support', 'insert', 'swap', 'leave-out'],
  clearance: ['slide', 'turn', 'pose', 'move', 'lead', 'insert', 'swap', 'leave-out'],
  balance: ['slide', 'turn', 'pose', 'move', 'swap', 'insert', 'leave-out'],
  glass: ['slide', 'support', 'add', 'swap', 'insert', 'leave-out'],
  power: ['lead', 'add', 'swap', 'leave-out'],
  picture: ['lead', 'turn', 'move', 'insert', 'support', 'add', 'swap', 'leave-out'],
  sound: ['lead', 'move', 'swap', 'leave-out'],
  need: ['add', 'swap', 'leave-out'],
  money: ['swap'],
}

/** What each kind proposes for a finding; nothing of it was tried, and nothing is made before it is asked for. */
export const proposalsFor = (
  facts: Facts,
  finding: Finding,
): readonly { readonly kind: MoveKind; readonly proposals: () => Iterable<Remedy> }[] => {
  const concern = concernOf(facts, finding)
  return kindsFor[finding.family].map((kind) => ({ kind, proposals: () => proposers[kind](facts, concern) }))
}

/** What one kind of move proposes for a finding, whether or not that kind makes sense for it by itself. */
export const movesOf = (facts: Facts, finding: Finding, kind: MoveKind): Iterable<Remedy> =>
  proposers[kind](facts, concernOf(facts, finding))
