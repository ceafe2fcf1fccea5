import type { Run } from '../../cabling/index.ts'
import { connectors } from '../../catalogue/index.ts'
import { defineCheck, noOptions } from '../check.ts'
import { endsOf, runNames, runParts } from '../wires.ts'

const feedWords = { 'plug-in': 'plug-in power', phantom: 'phantom power' } as const

/** A sound lead with the wrong number of rings, or a mic that is not fed. */
export const plugTypeAudio = defineCheck<Run, object, 'leads'>({
  id: 'plug-type-audio',
  family: 'sound',
  title: 'The sound plug does not suit',
  why: 'It goes in, and there is hum, half a channel or nothing.',
  level: 'risk',
  source: 'TRS has two rings, TRRS three; a condenser mic wants its feed.',
  ...noOptions,
  about: 'electric',
  needs: ['leads'],
  messages: {
    speaks: {
      rings:
        'The wrong number of rings. {cable} ends in {plug}; {end} is {socket}. One channel or all of it will be missing.',
      feed: 'The mic is not fed. {from} wants {feed}; {to} gives none.',
    },
    silent: { suits: '{cable} has the plugs its sockets want.' },
    cannotTell: {},
  },
  subjects: ({ leads }) =>
    leads.filter(
      ({ cable, from }) => cable.carries.includes('sound') && !cable.carries.includes('picture') && from.fits,
    ),
  judge: (run) => {
    const names = runNames(run)
    const key = run.link.cable
    const place = { parts: runParts(run), at: run.middle }
    const wrong = endsOf(run).find(([end]) => end.fits && end.plug.connector !== end.socket.connector)
    if (wrong) {
      const [{ plug, socket, piece }] = wrong
      const words = {
        plug: connectors[plug.connector].title,
        socket: connectors[socket.connector].title,
        end: piece.part.name,
      }
      return { group: 'speaks', message: 'rings', names: { ...names, ...words }, key, ...place }
    }
    const [feed] = run.from.socket.direction === 'out' ? (run.from.socket.feeds ?? []) : []
    return feed && run.to.socket.direction === 'in' && !run.to.socket.feeds?.includes(feed)
      ? { group: 'speaks', message: 'feed', names: { ...names, feed: feedWords[feed] }, key, ...place }
      : { group: 'silent', message: 'suits', names, key }
  },
  aims: (run, _, { message }) => (message === 'rings' ? [{ do: 'lead', run }] : []),
})
