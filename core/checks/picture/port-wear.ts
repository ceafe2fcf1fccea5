import type { Run } from '../../cabling/index.ts'
import { connectors } from '../../catalogue/index.ts'
import { defineCheck, noOptions } from '../check.ts'
import { leadsOfSetups, type Sees } from '../../facts/index.ts'
import { runParts, runNames } from '../wires.ts'
import { isPlugged, socketName } from '../../assembly/index.ts'

/** Sockets held by little more than solder. */
const small: ReadonlySet<string> = new Set(['hdmi-c', 'hdmi-d'])

/** In how many set-ups a socket of the camera has a lead, and in how many it has none. */
const comesAndGoes = (facts: Sees, { link: { from } }: Run) => {
  const all = leadsOfSetups(facts)
  const plugged = all.filter((links) => isPlugged(links, from.instance, from.socket)).length
  return { plugged, without: all.length - plugged }
}

/** A small picture socket that is plugged and unplugged between set-ups. */
export const portWear = defineCheck<Run, object, 'leads'>({
  id: 'port-wear',
  family: 'picture',
  title: 'A small socket is worn out by changing over',
  why: 'It was made for a few thousand times in, and it is the first thing to fail.',
  level: 'hint',
  source: 'Micro and mini picture sockets; how the set-ups use them.',
  ...noOptions,
  about: 'electric',
  needs: ['leads'],
  messages: {
    speaks: {
      worn: 'A small socket wears out. {end} is {socket}, plugged in {plugged} set-ups and bare in {without}. Leave a short lead in and change over at its far end.',
    },
    silent: {
      stays: '{end} keeps its lead, or is sturdy.',
      held: 'A clamp holds the plug at {end}.',
      saved: '{saver} stays in {end} and takes the wear.',
    },
    cannotTell: {},
  },
  subjects: ({ leads }) =>
    leads.filter(({ from, cable }) => from.piece.part.role === 'camera' && cable.carries.includes('picture')),
  judge: (run, facts) => {
    const { plugged, without } = comesAndGoes(facts, run)
    const names = { ...runNames(run), end: socketName(run.from), socket: connectors[run.from.socket.connector].title }
    const key = run.link.cable
    const numbers = { plugged, without }
    if (run.from.coupler)
      return { group: 'silent', message: 'saved', names: { ...names, saver: run.from.coupler.part.name }, key, numbers }
    if (run.held.some(({ piece }) => piece.part.holdsCable?.plug))
      return { group: 'silent', message: 'held', names, key, numbers }
    return small.has(run.from.socket.connector) && without > 0
      ? { group: 'speaks', message: 'worn', names, key, numbers, parts: runParts(run), at: run.from.at }
      : { group: 'silent', message: 'stays', names, key, numbers }
  },
  aims: (run) => [{ do: 'saver', run, end: 'from' }],
})
