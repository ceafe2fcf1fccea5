import { z } from 'zod'
import type { Instance, Setup } from '../../assembly/index.ts'
import { bagRoles, type Part, type Role } from '../../catalogue/index.ts'
import { perThing } from '../../kernel/index.ts'
import { goesBefore, lensOf, sizeOn } from '../../optics/index.ts'
import { defineCheck } from '../check.ts'
import type { Sees } from '../../facts/index.ts'
import { noPlaceFor } from '../nowhere.ts'

/** What may wait in the bag for another lens. */
const glassRoles: ReadonlySet<Role> = new Set(['lens', 'lens-adapter', 'filter', 'step-ring'])

/** The lens of the kit that a lens, adapter, filter or ring in the bag is for. */
const lensServed = ({ lensKit, assembly }: Sees<'lensKit'>, part: Part): string | undefined => {
  if (!glassRoles.has(part.role) || assembly.rig.brief.lenses.length === 0) return undefined
  const mounted = lensOf(assembly)?.lens.part
  const kit = () => [...assembly.placed, ...assembly.loose].map((piece) => piece.part)
  const serves = lensKit.find(({ part: lens, adapter, threadMm }) => {
    if (part === lens || part === adapter) return true
    if (lens === mounted) return false
    return part.role === 'filter'
      ? goesBefore(part, lens, kit())
      : part.role === 'step-ring' && sizeOn(part, 'filter', 'sits') === threadMm
  })
  return serves?.part.name
}

/** A filter that the light of the day is planned with on the mounted lens, or the ring that one takes there. */
const isForTheDay = ({ light, assembly, context }: Sees<'light'>, part: Part): boolean => {
  if (part.role === 'filter') return light.filters.some(({ id }) => id === part.id)
  const mounted = part.role === 'step-ring' ? lensOf(assembly)?.lens.part : undefined
  const threadMm = mounted && sizeOn(mounted, 'filter')
  if (threadMm === undefined || sizeOn(part, 'filter', 'sits') !== threadMm) return false
  return light.filters.some(({ id }) => {
    const filter = context.catalogue.parts.get(id)
    return filter !== undefined && sizeOn(filter, 'filter', 'sits') !== threadMm
  })
}

const seated = perThing('pieces that sit', (joints: Setup['joints']) => new Set(joints.map(({ guest }) => guest)))
const plugged = perThing(
  'leads that are plugged in',
  (links: Setup['links']) => new Set(links.map(({ cable }) => cable)),
)

/** Does a piece sit on something, or is it plugged in, or worn? */
const isUsed = ({ joints, links, off = [] }: Setup, id: string): boolean =>
  seated(joints).has(id) || plugged(links).has(id) || off.some(({ instance }) => instance === id)

/** A piece of the kit that sits on nothing in any set-up. */
export const loosePart = defineCheck<{ instance: Instance; part: Part }, object, 'lensKit' | 'light' | 'points'>({
  id: 'loose-part',
  family: 'need',
  title: 'In the kit, on nothing',
  why: 'It is paid for and carried, and does no work.',
  level: 'hint',
  source: 'The joints of every set-up.',
  options: z.object({}),
  defaults: {},
  needs: ['lensKit', 'light', 'points'],
  messages: {
    speaks: {
      loose: '{part} sits on nothing. Leaving it out saves {massG:g} in the bag.',
      blocked:
        '{part} has no place. At {point} it would go on, and runs {depthMm:mm} into {by}; leaving it out saves {massG:g}.',
      taken: '{part} has no place. {by} sits on {point}, where it would go; leaving it out saves {massG:g}.',
      foreign: '{part} has no place. Nothing on this set-up takes its {point}; leaving it out saves {massG:g}.',
    },
    silent: {
      used: '{part} has its place in another set-up.',
      spare: '{part} is a spare in the bag.',
      glass: '{part} is for {lens}.',
      light: '{part} is planned with for the light of the day.',
    },
    cannotTell: {},
  },
  subjects: ({ assembly }) =>
    assembly.loose.filter(({ instance, part }) => instance.status === 'in' && !bagRoles.has(part.role)),
  judge: ({ instance, part }, facts) => {
    const { assembly } = facts
    const names = { part: part.name, lens: '' }
    const used = assembly.rig.setups.some((setup) => isUsed(setup, instance.id))
    if (part.power?.store && !used) return { group: 'silent', message: 'spare', names }
    const lens = used ? undefined : lensServed(facts, part)
    if (lens) return { group: 'silent', message: 'glass', names: { ...names, lens } }
    if (used) return { group: 'silent', message: 'used', names }
    // Whether the day wants it is for the rule on filters that add nothing.
    if (isForTheDay(facts, part)) return { group: 'silent', message: 'light', names }
    const none = part.mounts.length > 0 ? noPlaceFor(facts, part) : undefined
    return {
      group: 'speaks',
      message: none?.why ?? 'loose',
      names: { ...names, point: none?.point ?? '', by: none?.by ?? '' },
      numbers: { massG: part.massG, depthMm: none?.depthMm ?? 0 },
      parts: [instance.id],
    }
  },
  aims: ({ instance, part }) => [
    { do: 'add', parts: [part], made: true },
    { do: 'leave-out', instance: instance.id, part },
  ],
})
