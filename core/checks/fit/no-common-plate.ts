import { mountOf, standardOf } from '../../catalogue/index.ts'
import { defineCheck, noOptions } from '../check.ts'
import type { Sees } from '../../facts/index.ts'
import { standRoles } from '../../balance/index.ts'

/** What the rig is set on its stands by, in all its set-ups: the set-up's name and the standard. */
type Feet = readonly { readonly setup: string; readonly standard: string }[]
const feet = ({ assembly: { rig }, context }: Sees): Feet => {
  const stands = new Map(
    rig.kit.flatMap(({ id, partId }) => {
      const part = context.catalogue.parts.get(partId)
      return part && standRoles.has(part.role) ? [[id, part] as const] : []
    }),
  )
  if (stands.size === 0) return []
  return rig.setups.flatMap((setup) =>
    setup.joints.flatMap((joint) => {
      const guest = stands.get(joint.guest)
      if (!guest || stands.has(joint.host)) return []
      const mount = mountOf(guest, joint.guestMount)
      return mount ? [{ setup: setup.name, standard: mount.standard }] : []
    }),
  )
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
