import { z } from 'zod'
import type { Instance, Rig } from '../../assembly/index.ts'
import { bagRoles, type Part, type Role } from '../../catalogue/index.ts'
import { perThing } from '../../kernel/index.ts'
import { goesBefore, lensOf, sizeOn } from '../../optics/index.ts'
import { defineCheck, type Remedy } from '../check.ts'
import type { Sees } from '../../facts/index.ts'
import { addRemedy, firstOf } from '../places.ts'

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

/** The pieces that sit on something or are plugged in, in any set-up. */
const inUse = perThing(
  'pieces in use',
  (setups: Rig['setups']): ReadonlySet<string> =>
    new Set(
      setups.flatMap(({ joints, links }) => [...joints.map(({ guest }) => guest), ...links.map(({ cable }) => cable)]),
    ),
)

/** A piece of the kit that sits on nothing in any set-up. */
export const loosePart = defineCheck<{ instance: Instance; part: Part }, object, 'lensKit'>({
  id: 'loose-part',
  family: 'need',
  title: 'In the kit, on nothing',
  why: 'It is paid for and carried, and does no work.',
  level: 'hint',
  source: 'The joints of every set-up.',
  options: z.object({}),
  defaults: {},
  needs: ['lensKit'],
  messages: {
    speaks: { loose: '{part} sits on nothing. Leaving it out saves {massG:g} in the bag.' },
    silent: {
      used: '{part} has its place in another set-up.',
      spare: '{part} is a spare in the bag.',
      glass: '{part} is for {lens}.',
    },
    cannotTell: {},
  },
  subjects: ({ assembly }) =>
    assembly.loose.filter(({ instance, part }) => instance.status === 'in' && !bagRoles.has(part.role)),
  judge: ({ instance, part }, facts) => {
    const { assembly } = facts
    const names = { part: part.name, lens: '' }
    const used = inUse(assembly.rig.setups).has(instance.id)
    if (part.power?.store && !used) return { group: 'silent', message: 'spare', names }
    const lens = used ? undefined : lensServed(facts, part)
    if (lens) return { group: 'silent', message: 'glass', names: { ...names, lens } }
    return used
      ? { group: 'silent', message: 'used', names }
      : { group: 'speaks', message: 'loose', names, numbers: { massG: part.massG }, parts: [instance.id] }
  },
  remedies: ({ instance, part }, facts) => {
    const discard: Remedy = {
      text: 'leave out {part}',
      numbers: {},
      names: { part: part.name },
      commands: [{ do: 'discard', instance: instance.id }],
    }
    return [...firstOf(1, [addRemedy(facts, part)]), discard]
  },
})
