import { everywhere, type PlacedPart } from '../../assembly/index.ts'
import { sitsAsBattery } from '../../power/index.ts'
import { defineCheck, noOptions } from '../check.ts'

/** A dummy pack whose lead keeps the battery door open where it is wet. */
export const dummyDoorOpen = defineCheck<PlacedPart, object>({
  id: 'dummy-door-open',
  family: 'power',
  title: 'The battery door stays open',
  why: 'Spray runs along the lead into the body.',
  level: 'risk',
  source: 'The brief’s spray, and a lead through the door.',
  ...noOptions,
  about: 'electric',
  needs: [],
  messages: {
    speaks: {
      open: 'The battery door stays open. {part} holds it, and there is spray: feed the body by its own socket, or cover the door.',
    },
    silent: { dry: '{part} keeps the door open; it is dry.', shut: 'The door shuts over {part}.' },
    cannotTell: {},
  },
  subjects: ({ assembly }) =>
    everywhere(assembly).filter((piece) => piece.part.role === 'dummy' && sitsAsBattery(piece)),
  judge: ({ instance, part, centre }, { assembly }) => {
    const names = { part: part.name }
    if (!part.power?.doorOpen) return { group: 'silent', message: 'shut', names }
    return assembly.rig.brief.conditions.includes('spray')
      ? { group: 'speaks', message: 'open', names, parts: [instance.id], at: centre }
      : { group: 'silent', message: 'dry', names }
  },
  aims: (piece) => [{ do: 'swap', piece, for: ({ power }) => !power?.doorOpen }],
})
