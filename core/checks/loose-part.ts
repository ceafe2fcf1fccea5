import { z } from 'zod'
import type { Instance } from '../assembly/index.ts'
import { bagRoles, type Part } from '../catalogue/index.ts'
import { defineCheck, type Remedy } from './check.ts'
import { addRemedy, firstOf } from './places.ts'

/** A piece of the kit that sits on nothing in any set-up. */
export const loosePart = defineCheck<{ instance: Instance; part: Part }, object>({
  id: 'loose-part',
  title: 'In the kit, on nothing',
  why: 'It is paid for and carried, and does no work.',
  level: 'hint',
  source: 'The joints of every set-up.',
  options: z.object({}),
  defaults: {},
  needs: ['points'],
  messages: {
    speaks: { loose: '{part} sits on nothing. Leaving it out saves {massG} in the bag.' },
    silent: { used: '{part} has its place in another set-up.', spare: '{part} is a spare in the bag.' },
    cannotTell: {},
  },
  subjects: ({ assembly }) => assembly.loose.filter(({ instance, part }) => instance.status === 'in' && !bagRoles.has(part.role)),
  judge: ({ instance, part }, { assembly }) => {
    const names = { part: part.name }
    const used = assembly.rig.setups.some(
      (setup) => setup.joints.some((joint) => joint.guest === instance.id) || setup.links.some((link) => link.cable === instance.id),
    )
    if (part.power?.store && !used) return { group: 'silent', message: 'spare', names }
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
