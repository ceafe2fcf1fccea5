import { mountOf, type Part, standardOf } from '../../catalogue/index.ts'
import { defineCheck, noOptions } from '../check.ts'
import type { Sees } from '../../facts/index.ts'
import { standRoles } from '../../balance/index.ts'

/** What the rig is set on its stands by, in all its set-ups: the set-up's name and the standard. */
type Feet = readonly { readonly setup: string; readonly standard: string }[]
const feet = ({ assembly: { rig }, context }: Sees): Feet => {
  const stands = new Map<string, Part>()
  for (const { id, partId } of rig.kit) {
    const part = context.catalogue.parts.get(partId)
    if (part && standRoles.has(part.role)) stands.set(id, part)
  }
  const all: Feet[number][] = []
  if (stands.size > 0)
    for (const { name, joints } of rig.setups)
      for (const { guest, guestMount, host } of joints) {
        const stand = stands.get(guest)
        const mount = stand && !stands.has(host) ? mountOf(stand, guestMount) : undefined
        if (mount) all.push({ setup: name, standard: mount.standard })
      }
  return all
}

/** Tripod, gimbal and slider that take different plates. */
export const noCommonPlate = defineCheck<Feet, object, 'onPlate'>({
  id: 'no-common-plate',
  family: 'fit',
  title: 'Stands that do not share a plate',
  why: 'Every move from tripod to gimbal costs a plate change, and the balance found before is gone.',
  level: 'risk',
  source: 'The plates of all set-ups of this rig.',
  ...noOptions,
  needs: ['onPlate'],
  messages: {
    speaks: {
      differ: '{first} stands on a {firstPlate}, {second} on a {secondPlate}. One plate for both saves a change.',
    },
    silent: { shared: 'Every stand takes the same {firstPlate}.' },
    cannotTell: {},
  },
  subjects: (facts) => {
    const all = feet(facts)
    return all.some(({ setup }) => setup === facts.assembly.setup.name) ? [all] : []
  },
  judge: (all, facts) => {
    const own = all.find(({ setup }) => setup === facts.assembly.setup.name) ?? all[0]
    const other = all.find(({ standard }) => standard !== own?.standard)
    const title = (id: string | undefined) => (id === undefined ? '' : standardOf(id).title)
    const names = {
      first: own?.setup ?? '',
      firstPlate: title(own?.standard),
      second: other?.setup ?? '',
      secondPlate: title(other?.standard),
    }
    const stand = facts.onPlate?.stand
    return other
      ? { group: 'speaks', message: 'differ', names, parts: stand ? [stand.instance.id] : [], at: stand?.centre }
      : { group: 'silent', message: 'shared', names }
  },
})
