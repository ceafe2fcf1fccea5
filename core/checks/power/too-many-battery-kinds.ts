import { z } from 'zod'
import type { Assembly } from '../../assembly/index.ts'
import { exceeds, flatMap } from '../../kernel/index.ts'
import { batteriesOf, batteryKind } from '../../power/index.ts'
import { defineCheck } from '../check.ts'

const options = z.object({ mostKinds: z.number().int().min(1) })

const kindsOf = (
  assembly: Assembly,
): ReadonlyMap<string, readonly { readonly id: string; readonly name: string }[]> => {
  const found = new Map<string, { id: string; name: string }[]>()
  for (const { id, part } of batteriesOf(assembly)) {
    const kind = batteryKind(part) ?? part.id
    found.set(kind, [...(found.get(kind) ?? []), { id, name: part.name }])
  }
  return found
}

/** More kinds of battery than one bag can keep apart. */
export const tooManyBatteryKinds = defineCheck<Assembly, z.infer<typeof options>>({
  id: 'too-many-battery-kinds',
  family: 'power',
  title: 'Many kinds of battery',
  why: 'Each kind wants its own charger and its own spares; the wrong one is always in the hand.',
  level: 'hint',
  source: 'Practice: one kind for the camera, one for the rest.',
  options,
  defaults: { mostKinds: 2 },
  about: 'electric',
  needs: [],
  limit: { measured: 'kinds', allowed: 'mostKinds' },
  messages: {
    speaks: { many: '{kinds} kinds of battery. Carried are {list}; each kind over {mostKinds} must earn its place.' },
    silent: { few: '{kinds} kinds of battery are carried.' },
    cannotTell: {},
  },
  subjects: ({ assembly }) => (batteriesOf(assembly).length > 0 ? [assembly] : []),
  judge: (assembly, _, { mostKinds }) => {
    const kinds = kindsOf(assembly)
    const numbers = { kinds: kinds.size, mostKinds }
    const names = { list: [...kinds.values()].map(([first]) => first?.name ?? '').join(', ') }
    return exceeds(kinds.size, mostKinds)
      ? {
          group: 'speaks',
          message: 'many',
          names,
          numbers,
          parts: flatMap([...kinds.values()], (list) => list.map(({ id }) => id)),
        }
      : { group: 'silent', message: 'few', names, numbers }
  },
})
