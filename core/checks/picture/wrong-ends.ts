import { type Run, type RunEnd, gives, takes } from '../../cabling/index.ts'
import { connectors } from '../../catalogue/index.ts'
import { defineCheck, noOptions } from '../check.ts'
import { purposeOf, runNames, runParts } from '../wires.ts'
import { socketName } from '../../assembly/index.ts'

const misfit = ({ from, to }: Run): RunEnd | undefined => [from, to].find(({ fits }) => !fits)
const runsBackwards = ({ from, to, cable }: Run): boolean =>
  cable.carries.some((what) => gives(to.socket, what) && takes(from.socket, what)) &&
  !cable.carries.some((what) => gives(from.socket, what) && takes(to.socket, what))

/** A lead whose plug does not go in, or that runs from an input to an output. */
export const wrongEnds = defineCheck<Run, object, 'leads'>({
  id: 'wrong-ends',
  family: 'picture',
  title: 'The lead does not go there',
  why: 'The plug stands in the hand on the slip and there is no hole for it.',
  level: 'stop',
  source: 'The connectors of sockets and plugs, and which way each socket works.',
  ...noOptions,
  about: 'electric',
  needs: ['leads'],
  messages: {
    speaks: {
      plug: 'It does not go in. {cable} ends in {plug}; {end} is {socket}.',
      backwards: 'The wrong way round. {cable} runs from {from} to {to}: from an input to an output.',
      nothing: 'Nothing gets through. {cable} joins {from} to {to}; the one gives what the other does not take.',
    },
    silent: { goes: '{cable} goes in at both ends and passes what it should.' },
    cannotTell: {},
  },
  subjects: ({ leads }) => leads,
  judge: (run) => {
    const names = runNames(run)
    const key = run.link.cable
    const at = run.middle
    const parts = runParts(run)
    const end = misfit(run)
    if (end)
      return {
        group: 'speaks',
        message: 'plug',
        names: {
          ...names,
          plug: connectors[end.plug.connector].title,
          socket: connectors[end.socket.connector].title,
          end: socketName(end),
        },
        parts,
        at: end.at,
      }
    if (purposeOf(run)) return { group: 'silent', message: 'goes', names, key }
    return { group: 'speaks', message: runsBackwards(run) ? 'backwards' : 'nothing', names, key, parts, at }
  },
  aims: (run) => [...(misfit(run) ? [{ do: 'lead' as const, run }] : []), { do: 'replug', run }, { do: 'unplug', run }],
})
