import type { Run } from '../../cabling/index.ts'
import { connectors } from '../../catalogue/index.ts'
import { defineCheck, noOptions } from '../check.ts'
import { endsOf, runNames, runParts } from '../wires.ts'

/** A DC plug that goes over the wrong pin. */
export const polarityPlug = defineCheck<Run, object, 'leads'>({
  id: 'polarity-plug',
  family: 'power',
  title: 'The DC plug is the other size',
  why: 'It goes in and touches now and then: the piece cuts out when it is moved, and nobody knows which way round it is wired.',
  level: 'risk',
  source: 'The two common barrel plugs differ by 0.4 mm in the pin.',
  ...noOptions,
  about: 'electric',
  needs: ['leads'],
  messages: {
    speaks: {
      differs:
        'The DC plug is the other size. {cable} ends in {plug}; {end} is {socket}. It goes in and makes no sure contact; check the polarity too.',
    },
    silent: { same: '{cable} has the plugs its sockets want.' },
    cannotTell: {},
  },
  subjects: ({ leads }) =>
    leads.filter(({ from, to }) => [from, to].some(({ plug }) => plug.connector.startsWith('dc-'))),
  judge: (run) => {
    const found = endsOf(run).find(
      ([end]) => end.fits && end.plug.connector !== end.socket.connector && end.plug.connector.startsWith('dc-'),
    )
    const names = runNames(run)
    const key = run.link.cable
    if (!found) return { group: 'silent', message: 'same', names, key }
    const [end] = found
    return {
      group: 'speaks',
      message: 'differs',
      names: {
        ...names,
        plug: connectors[end.plug.connector].title,
        socket: connectors[end.socket.connector].title,
        end: end.piece.part.name,
      },
      parts: runParts(run),
      at: end.at,
    }
  },
  aims: (run) => [{ do: 'lead', run }],
})
