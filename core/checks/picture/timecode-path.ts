import { type SocketHere, socketsOf } from '../../assembly/index.ts'
import { gives, passes } from '../../cabling/index.ts'
import { defineCheck, noOptions } from '../check.ts'

/** A timecode box that is joined to nothing. */
export const timecodePath = defineCheck<SocketHere, object, 'leads'>({
  id: 'timecode-path',
  family: 'picture',
  title: 'The timecode goes nowhere',
  why: 'It blinks all day and nothing is in step.',
  level: 'risk',
  source: 'The leads of the set-up.',
  ...noOptions,
  about: 'electric',
  needs: ['leads'],
  messages: {
    speaks: { nowhere: 'Timecode goes nowhere. {part} is joined to nothing that records it.' },
    silent: { led: '{part} is joined to {other}.' },
    cannotTell: {},
  },
  subjects: ({ assembly }) =>
    socketsOf(assembly).filter(({ socket }) => socket.direction === 'out' && gives(socket, 'timecode')),
  judge: ({ piece, socket }, { leads }) => {
    const run = leads.find(
      (lead) => lead.from.piece === piece && lead.from.socket.id === socket.id && passes(lead, 'timecode'),
    )
    const names = { part: piece.part.name, other: run?.to.piece.part.name ?? '' }
    return run
      ? { group: 'silent', message: 'led', names }
      : { group: 'speaks', message: 'nowhere', names, parts: [piece.instance.id], at: piece.centre }
  },
  aims: (here) => [{ do: 'join', most: 2, demand: { what: 'timecode', piece: here.piece, way: 'out', own: [here] } }],
})
