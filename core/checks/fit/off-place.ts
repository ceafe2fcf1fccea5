import { guestsOf, type OffPart, offPlaceWords } from '../../assembly/index.ts'
import { defineCheck, noOptions } from '../check.ts'

/** A piece that goes along off the rig, where it can not be or where nothing joins it. */
export const offPlace = defineCheck<OffPart, object, 'leads'>({
  id: 'off-place',
  family: 'fit',
  title: 'Off the rig, out of reach',
  why: 'What is worn or stands beside works through its lead alone; without one, or without a leg to clamp it to, it is baggage.',
  level: 'hint',
  source: 'The places off the rig, the support of the set-up and its leads.',
  ...noOptions,
  needs: ['leads'],
  messages: {
    speaks: {
      legless: '{part} has no leg to hang on. This set-up stands on no sticks.',
      alone: '{part} is joined to nothing. It is {place}, and no lead goes from it to the rig.',
    },
    silent: { joined: '{part} is {place}, on its lead.', apart: '{part} needs no lead.' },
    cannotTell: {},
  },
  subjects: ({ assembly }) => assembly.off.filter(({ piece }) => piece.joint === undefined),
  judge: ({ piece, at }, { assembly, leads }) => {
    const names = { part: piece.part.name, place: offPlaceWords[at] }
    const said = { names, key: piece.instance.id, parts: [piece.instance.id] }
    const legs = assembly.placed.some(({ part }) => part.under?.kind === 'legs')
    if (at === 'stand-leg' && !legs && assembly.setup.support !== 'tripod')
      return { group: 'speaks', message: 'legless', level: 'risk', ...said }
    const group = [piece, ...(guestsOf(assembly.off.map((one) => one.piece)).get(piece) ?? [])]
    if (!group.some(({ part }) => (part.sockets ?? []).length > 0)) return { group: 'silent', message: 'apart', names }
    return leads.some(({ from, to }) => group.includes(from.piece) || group.includes(to.piece))
      ? { group: 'silent', message: 'joined', names }
      : { group: 'speaks', message: 'alone', ...said }
  },
})
