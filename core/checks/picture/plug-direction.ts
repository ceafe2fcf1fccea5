import { z } from 'zod'
import type { Run, RunEnd } from '../../cabling/index.ts'
import { exceeds, flatMap } from '../../kernel/index.ts'
import { TWIST_DEG } from '../../wiring/index.ts'
import { defineCheck } from '../check.ts'
import type { Sees } from '../../facts/index.ts'
import { endsOf, freeMm, runNames } from '../wires.ts'
import { socketName } from '../../assembly/index.ts'

const options = z.object({ mostDeg: z.number().positive() })
interface Plug {
  readonly run: Run
  readonly end: RunEnd
}

const tight = (facts: Sees<'plugs'>, end: RunEnd): number | undefined => {
  const free = freeMm(facts, end)
  return free !== undefined && exceeds(end.roomMm, free) ? free : undefined
}

/** What stands before a plug. */
const before = ({ plugs }: Sees<'plugs'>, { piece, socket }: RunEnd): readonly string[] => {
  const by = plugs.find((room) => room.piece === piece && room.socket.id === socket.id)?.by
  return by ? [by.instance.id] : []
}

/** A plug whose cable leaves the wrong way, or that has no room to stand. */
export const plugDirection = defineCheck<Plug, z.infer<typeof options>, 'leads' | 'plugs'>({
  id: 'plug-direction',
  family: 'picture',
  title: 'The plug points the wrong way',
  why: 'The cable is bent back over its own plug; the socket breaks first.',
  level: 'hint',
  source: 'The way the cable has to go from the plug; room for the plug and a bend of five cable thicknesses.',
  options,
  defaults: { mostDeg: TWIST_DEG },
  units: { mostDeg: 'deg' },
  about: 'electric',
  needs: ['leads', 'plugs'],
  limit: { measured: 'turnsDeg', allowed: 'mostDeg' },
  messages: {
    speaks: {
      away: 'Bent back over its plug. At {end} the cable leaves {turnsDeg:deg} away from where it has to go.',
      tight: 'No room for the plug. {cable} needs {roomMm:mm} in front of {end}; {freeMm:mm} are free.',
    },
    silent: { flat: 'At {end} the cable leaves where it has to go.' },
    cannotTell: {},
  },
  subjects: ({ leads }) =>
    flatMap(
      leads.filter(({ from, to }) => from.fits && to.fits),
      (run) => endsOf(run).map(([end]) => ({ run, end })),
    ),
  judge: ({ run, end }, facts, { mostDeg }) => {
    const free = tight(facts, end)
    const key = `${run.link.cable} ${end.socket.id}`
    const names = { ...runNames(run), end: socketName(end) }
    const numbers = {
      turnsDeg: end.turnsDeg,
      mostDeg,
      roomMm: end.roomMm,
      ...(free === undefined ? {} : { freeMm: free }),
    }
    const place = { parts: [run.link.cable, end.piece.instance.id], at: end.at }
    if (free !== undefined) {
      const parts = [...new Set([...place.parts, ...before(facts, end)])]
      return { group: 'speaks', message: 'tight', level: 'risk', names, key, numbers, ...place, parts }
    }
    return exceeds(end.turnsDeg, mostDeg)
      ? { group: 'speaks', message: 'away', names, key, numbers, ...place }
      : { group: 'silent', message: 'flat', names, key, numbers }
  },
  aims: ({ run, end }, _, { message }, { mostDeg }) => [
    {
      do: 'lead',
      run,
      most: 1,
      wanted: (option) => {
        const same = [option.run.from, option.run.to].find(
          ({ piece, socket }) => piece === end.piece && socket.id === end.socket.id,
        )
        return same !== undefined && (message === 'tight' || same.turnsDeg <= mostDeg)
      },
    },
  ],
})
