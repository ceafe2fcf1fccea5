import { type SocketHere, socketName, socketsOf } from '../../assembly/index.ts'
import { exceeds, flatMap } from '../../kernel/index.ts'
import type { Run } from '../../cabling/index.ts'
import { defineCheck, noOptions } from '../check.ts'
import type { Sees } from '../../facts/index.ts'

interface Plugged {
  readonly here: SocketHere
  readonly runs: readonly Run[]
}

const plugged = ({ assembly, leads }: Sees<'leads'>): readonly Plugged[] =>
  socketsOf(assembly)
    .map((here) => ({
      here,
      runs: leads.filter(({ from, to }) =>
        [from, to].some(({ piece, socket }) => piece === here.piece && socket.id === here.socket.id),
      ),
    }))
    .filter(({ runs }) => runs.length > 0)

/** Two leads in one socket. */
export const socketTwice = defineCheck<Plugged, object, 'leads'>({
  id: 'socket-twice',
  family: 'picture',
  title: 'Two leads in one socket',
  why: 'One of them will hang loose; two sources on one input harm each other.',
  level: 'stop',
  source: 'One socket takes one plug.',
  ...noOptions,
  about: 'electric',
  needs: ['leads'],
  limit: { measured: 'plugs', allowed: 'mostPlugs' },
  messages: {
    speaks: { twice: '{plugs} leads in one socket. {socket} takes {mostPlugs}.' },
    silent: { once: '{socket} has one lead.' },
    cannotTell: {},
  },
  subjects: plugged,
  judge: ({ here, runs }) => {
    const key = here.socket.id
    const names = { socket: socketName(here) }
    const numbers = { plugs: runs.length, mostPlugs: 1 }
    return exceeds(runs.length, 1)
      ? {
          group: 'speaks',
          message: 'twice',
          names,
          key,
          numbers,
          parts: [here.piece.instance.id, ...runs.map(({ link }) => link.cable)],
        }
      : { group: 'silent', message: 'once', names, key, numbers }
  },
  aims: ({ runs }) =>
    runs.length === 2
      ? flatMap(runs, (run) => [
          { do: 'replug' as const, run },
          { do: 'unplug' as const, run },
        ])
      : [],
})
