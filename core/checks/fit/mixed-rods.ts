import { standardOf } from '../../catalogue/index.ts'
import { defineCheck, noOptions } from '../check.ts'
import { lotOf, type Sees } from '../../facts/index.ts'

const onRods = lotOf(({ mate }) => mate?.ok && mate.value.standard.kind === 'rods')

const systems = (facts: Sees): ReadonlyMap<string, readonly string[]> => {
  const found = new Map<string, string[]>()
  for (const { mate, instance } of onRods(facts))
    if (mate?.ok) {
      const id = mate.value.plug.mount.standard
      found.set(id, [...(found.get(id) ?? []), instance.id])
    }
  return found
}

/** Two kinds of rods on one rig. */
export const mixedRods = defineCheck<Sees, object>({
  id: 'mixed-rods',
  family: 'fit',
  title: 'Two kinds of rods',
  why: 'What fits the one pair does not fit the other, and the spare clamp is always the wrong one.',
  level: 'hint',
  source: 'One rig, one rod standard: workshop practice.',
  ...noOptions,
  needs: [],
  messages: {
    speaks: { two: 'Two kinds of rods on one rig: {kinds}. What goes on the one does not go on the other.' },
    silent: { one: 'One kind of rods.' },
    cannotTell: {},
  },
  subjects: (facts) => (systems(facts).size > 0 ? [facts] : []),
  judge: (facts) => {
    const found = systems(facts)
    const names = { kinds: [...found.keys()].map((id) => standardOf(id).title).join(' and ') }
    return found.size > 1
      ? { group: 'speaks', message: 'two', names, parts: [...found.values()].flat() }
      : { group: 'silent', message: 'one', names }
  },
})
