import { isPlugged, type PlacedPart } from '../../assembly/index.ts'
import { connectors } from '../../catalogue/index.ts'
import type { Crowd, Plugged } from '../../clearance/index.ts'
import { pluggedOf } from '../../clearance/index.ts'
import { CLASH_MM, exceeds, penetration, perThing, flatMap } from '../../kernel/index.ts'
import { defineCheck, noOptions } from '../check.ts'
import { leadsOfSetups, lotOfParts, type Sees } from '../../facts/index.ts'

interface Neighbours {
  readonly a: Plugged
  readonly b: Plugged
}

/** Is a lead plugged in there, in any set-up of the rig? A socket that stays empty crowds nobody. */
const isUsed = (facts: Sees, { piece, socket }: Plugged): boolean =>
  leadsOfSetups(facts).some((links) => isPlugged(links, piece.instance.id, socket.id))

const withSockets = lotOfParts(({ sockets }) => (sockets?.length ?? 0) > 1)

/** Neighbours on one piece, one after the other in its data, and whatever else crowds, where both are used. */
const neighbours = (facts: Sees<'crowds'>): readonly Neighbours[] =>
  [
    ...facts.crowds,
    ...flatMap(withSockets(facts), (piece) =>
      inARow(piece).filter((pair) => !facts.crowds.some((crowd) => sameSockets(crowd, pair))),
    ),
  ].filter(({ a, b }) => isUsed(facts, a) && isUsed(facts, b))

const inARow = perThing('sockets in a row', (piece: PlacedPart): readonly Neighbours[] => {
  const sockets = pluggedOf(piece)
  return sockets.slice(1).map((b, i) => ({ a: sockets[i] ?? b, b }))
})

const sameSockets = (crowd: Crowd | Neighbours, { a, b }: Neighbours): boolean =>
  crowd.a.piece.instance.id === a.piece.instance.id &&
  crowd.b.piece.instance.id === b.piece.instance.id &&
  crowd.a.socket.id === a.socket.id &&
  crowd.b.socket.id === b.socket.id

/** Two sockets so close that only one of them takes a plug. */
export const socketCrowding = defineCheck<Neighbours, object, 'crowds'>({
  id: 'socket-crowding',
  family: 'clearance',
  title: 'Two plugs side by side do not go in',
  why: 'Picture or power: one of the two leads stays in the bag.',
  level: 'hint',
  source: 'The bodies of usual straight plugs, 0.5 mm apart.',
  ...noOptions,
  needs: ['crowds'],
  limit: { measured: 'overlapMm', allowed: 'allowedMm' },
  messages: {
    speaks: {
      crowded:
        '{first} and {second} of {part} do not take two plugs at once. Usual plugs overlap by {overlapMm:mm}; slim or angled ones may pass.',
    },
    silent: { apart: '{first} and {second} of {part} take a plug each.' },
    cannotTell: {},
  },
  subjects: neighbours,
  judge: ({ a, b }) => {
    const overlapMm = Math.max(0, penetration(a.plug, b.plug))
    const key = `${a.socket.id} ${b.socket.id}`
    const names = {
      part: a.piece.part.name,
      first: connectors[a.socket.connector].title,
      second: connectors[b.socket.connector].title,
    }
    const numbers = { overlapMm: overlapMm > CLASH_MM ? overlapMm : 0, allowedMm: 0 }
    const parts = [...new Set([a.piece.instance.id, b.piece.instance.id])]
    return exceeds(numbers.overlapMm, 0)
      ? { group: 'speaks', message: 'crowded', names, key, numbers, parts, at: a.plug.centre }
      : { group: 'silent', message: 'apart', names, key, numbers }
  },
})
