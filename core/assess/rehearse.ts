import { flatMap } from '../kernel/index.ts'
import { everywhere } from '../assembly/index.ts'
import { dayOf, type Phase, temperatureOf } from '../brief/index.ts'
import { marginsOf } from '../context/index.ts'
import {
  type Bays,
  batteryKind,
  DEPTH,
  type Network,
  type Rehearsal,
  startRehearsal,
  usableWh,
} from '../power/index.ts'
import type { Assessment } from './evaluate.ts'

/** All that is needed to play the day of a set-up. */
export interface Stage {
  readonly network: Network
  readonly phases: readonly Phase[]
  readonly bays: readonly Bays[]
  readonly start: Rehearsal
  /** What each pack and piece is called; packs of one kind are told apart by a number. */
  readonly names: ReadonlyMap<string, string>
}

const numbered = (list: readonly { readonly id: string; readonly name: string }[]): ReadonlyMap<string, string> => {
  const count = new Map<string, number>()
  const all = new Map<string, number>()
  for (const { name } of list) all.set(name, (all.get(name) ?? 0) + 1)
  return new Map(
    list.map(({ id, name }) => {
      const n = (count.get(name) ?? 0) + 1
      count.set(name, n)
      return [id, (all.get(name) ?? 0) > 1 ? `${name}, no. ${n}` : name]
    }),
  )
}

/** The stage for a rehearsal: the set-up’s own packs in their seats, the kit’s spares in the bag, all of them full. */
export const stageOf = ({ assembly, facts }: Assessment): Stage => {
  const { brief, kit } = assembly.rig
  const celsius = temperatureOf(brief)
  // The rehearsal knows packs by their health alone: an own depth of use is put into it.
  const { depth, healthOf: learnt } = marginsOf(facts.context).power
  const healthOf = (id: string) => {
    const instance = kit.find((one) => one.id === id)
    return ((instance?.health ?? learnt?.(instance?.partId ?? '') ?? 1) * depth) / DEPTH
  }
  const spares = flatMap(assembly.loose, ({ instance, part }) => {
    const { store } = part.power ?? {}
    if (!store || instance.status !== 'in') return []
    const health = healthOf(instance.id)
    const kind = batteryKind(part) ?? part.id
    return [
      {
        id: instance.id,
        kind,
        capacityWh: store.capacityWh,
        health,
        usableWh: usableWh(store.capacityWh, celsius, health),
      },
    ]
  })
  const named = [...everywhere(assembly), ...assembly.loose].map(({ instance, part }) => ({
    id: instance.id,
    name: part.name,
  }))
  return {
    network: facts.network,
    phases: dayOf(brief),
    bays: facts.bays,
    start: startRehearsal(facts.network, spares, celsius, healthOf),
    names: numbered(named),
  }
}
