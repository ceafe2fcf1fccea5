import { z } from 'zod'
import { socketName } from '../../assembly/index.ts'
import type { Run } from '../../cabling/index.ts'
import { exceeds } from '../../kernel/index.ts'
import { defineCheck } from '../check.ts'
import type { Facts, Sees } from '../../facts/index.ts'
import { onTheRun } from '../places.ts'
import { runNames } from '../wires.ts'

const options = z.object({ mostMm: z.number().positive() })

/** Leads with a picture in a camera's socket: the ones that break. */
const fromCamera = ({ leads }: Sees<'leads'>): readonly Run[] =>
  leads.filter(({ from, cable }) => from.piece.part.role === 'camera' && cable.carries.includes('picture') && from.fits)

/** Where the lead is first held, counted from the camera, mm. */
const heldAt = ({ held }: Run): number =>
  Math.min(Infinity, ...held.map(({ piece, fromMm }) => (piece.part.holdsCable?.plug ? 0 : fromMm)))

/** A picture lead that hangs on the camera's socket alone. */
export const noStrainRelief = defineCheck<Run, z.infer<typeof options>, 'leads'>({
  id: 'no-strain-relief',
  family: 'picture',
  title: 'The picture lead hangs on its socket',
  why: 'One tug and the camera’s socket is loose for good; it is soldered to the main board.',
  level: 'hint',
  source: 'A clamp within a thumb’s length of the socket.',
  options,
  defaults: { mostMm: 60 },
  units: { mostMm: 'mm' },
  about: 'electric',
  needs: ['leads'],
  limit: { measured: 'heldMm', allowed: 'mostMm' },
  messages: {
    speaks: {
      loose: 'The lead hangs on its socket. Nothing holds {cable} near {end}; clamp it within {mostMm:mm}.',
      far: 'The lead is held too far off. {cable} is first held {heldMm:mm} from {end}; {mostMm:mm} is the most.',
    },
    silent: { held: '{cable} is held near {end}.' },
    cannotTell: {},
  },
  subjects: fromCamera,
  judge: (run, facts, { mostMm }) => {
    const heldMm = heldAt(run)
    const names = { ...runNames(run), end: socketName(run.from) }
    const key = run.link.cable
    const numbers = { mostMm, ...(heldMm < Infinity ? { heldMm } : {}) }
    if (!exceeds(heldMm, mostMm)) return { group: 'silent', message: 'held', names, key, numbers }
    const level = onTheRun(facts) ? 'risk' : 'hint'
    return {
      group: 'speaks',
      message: heldMm === Infinity ? 'loose' : 'far',
      level,
      names,
      key,
      numbers,
      parts: [run.link.cable, run.from.piece.instance.id],
      at: run.from.at,
    }
  },
  aims: (run, _, __, { mostMm }) => {
    const isHeld = ({ leads }: Facts): boolean => {
      const now = leads.find(({ link }) => link.cable === run.link.cable)
      return now !== undefined && heldAt(now) <= mostMm && now.needMm <= now.reachMm
    }
    return [
      {
        do: 'add',
        parts: ({ role }) => role === 'cable-clamp',
        holds: run,
        supports: true,
        until: isHeld,
        tried: Infinity,
      },
    ]
  },
})
