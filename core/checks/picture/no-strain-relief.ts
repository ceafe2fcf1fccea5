import { z } from 'zod'
import { type Command, type Point, socketName } from '../../assembly/index.ts'
import type { Run } from '../../cabling/index.ts'
import { exceeds } from '../../kernel/index.ts'
import { defineCheck, type Remedy } from '../check.ts'
import { factsAfter } from '../cures.ts'
import type { Facts, Sees } from '../../facts/index.ts'
import { addRemedy, byReadiness, onTheRun } from '../places.ts'
import { runNames, runParts } from '../wires.ts'

const options = z.object({ mostMm: z.number().positive() })

/** Leads with a picture in a camera's socket: the ones that break. */
const fromCamera = ({ leads }: Sees<'leads'>): readonly Run[] =>
  leads.filter(({ from, cable }) => from.piece.part.role === 'camera' && cable.carries.includes('picture') && from.fits)

/** Where the lead is first held, counted from the camera, mm. */
const heldAt = ({ held }: Run): number =>
  Math.min(Infinity, ...held.map(({ piece, fromMm }) => (piece.part.holdsCable?.plug ? 0 : fromMm)))

const near = (run: Run) => (a: Point, b: Point) =>
  Math.hypot(...a.at.map((value, i) => value - (run.from.at[i] ?? 0))) -
  Math.hypot(...b.at.map((value, i) => value - (run.from.at[i] ?? 0)))

const MOST_POINTS = 6

/** A clamp on one of the nearest open points, with the lead laid through it. */
const clampRemedies = (run: Run, facts: Facts, mostMm: number): readonly Remedy[] => {
  const clamps = [...(facts.context.catalogue.byRole.get('cable-clamp') ?? [])].sort(byReadiness(facts))
  const points = facts.points
    .filter(({ open }) => open)
    .sort(near(run))
    .slice(0, MOST_POINTS)
  for (const part of clamps)
    for (const point of points) {
      const put = addRemedy(facts, part, [point])
      const placed = put?.commands.find((command) => command.do === 'place')
      if (!put || placed?.do !== 'place') continue
      const link: Command = {
        do: 'link',
        setup: facts.assembly.setup.id,
        link: { ...run.link, through: [placed.joint.guest, ...run.link.through] },
      }
      const commands = [...put.commands, link]
      const after = factsAfter(facts, commands)?.leads.find((other) => other.link.cable === run.link.cable)
      if (after && heldAt(after) <= mostMm && after.needMm <= after.reachMm)
        return [{ ...put, text: 'put on {part}, at {point}, and lay the lead through it', commands }]
    }
  return []
}

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
      parts: runParts(run),
      at: run.from.at,
    }
  },
  remedies: (run, facts, _, { mostMm }) => clampRemedies(run, facts, mostMm),
})
