import { flatMap } from '../kernel/index.ts'
import { type PlacedPart, ridesOn } from '../assembly/index.ts'
import type { Remedy } from '../checks/index.ts'
import type { Facts } from '../facts/index.ts'
import { moversOf, type Proposer } from './concern.ts'

const positionsOf = (facts: Facts, piece: PlacedPart) => {
  const { setup } = facts.assembly
  const part = facts.context.catalogue.parts.get(piece.part.id) ?? piece.part
  return flatMap(part.hinges ?? [], (hinge) => {
    const pose = setup.poses.find((one) => one.instance === piece.instance.id && one.hinge === hinge.id)
    const now = hinge.positions.find(({ id }) => id === pose?.position) ?? hinge.positions[0]
    return hinge.positions
      .filter((position) => position !== now)
      .map((position) => ({ hinge, position, byDeg: Math.abs(position.deg - (now?.deg ?? 0)) }))
  })
}

/** Every hinge of the pieces, of their carriers and of the camera in its other positions, the smallest turn first. */
export const pose: Proposer = function* (facts, concern) {
  const { placed, setup } = facts.assembly
  const parts = new Set(concern.finding.parts)
  const named = placed.filter((piece) => parts.has(piece.instance.id))
  const movers = new Set([
    ...named,
    ...moversOf(concern),
    ...placed.filter((piece) => named.some((one) => ridesOn(one, piece))),
  ])
  const all = flatMap([...movers], (piece) => positionsOf(facts, piece).map((one) => ({ piece, ...one })))
  for (const { piece, hinge, position } of all.sort((a, b) => a.byDeg - b.byDeg)) {
    const remedy: Remedy = {
      text: 'set {hinge} of {part} to {position}',
      numbers: {},
      names: { part: piece.part.name, hinge: hinge.label, position: position.label },
      commands: [{ do: 'pose', setup: setup.id, instance: piece.instance.id, hinge: hinge.id, position: position.id }],
    }
    yield remedy
  }
}
