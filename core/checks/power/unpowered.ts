import { everywhere, type PlacedPart } from '../../assembly/index.ts'
import { demandsOf } from '../../wiring/index.ts'
import { defineCheck, noOptions } from '../check.ts'
import type { Sees } from '../../facts/index.ts'

/** Pieces that draw power and are not converters: those have a check of their own. */
const drawing = ({ assembly }: Sees): readonly PlacedPart[] =>
  everywhere(assembly).filter(
    ({ part }) =>
      part.power?.drawW !== undefined &&
      part.power.ownMin === undefined &&
      !part.power.mains &&
      !part.power.store &&
      part.role !== 'converter',
  )

/** The demand for power of a piece, whether or not something feeds it. */
export const powerDemand = (piece: PlacedPart, facts: Sees) =>
  demandsOf(facts.assembly, []).find((demand) => demand.what === 'power' && demand.piece === piece)

/** The plate that a piece is, if nothing sits on it that gives power. */
const emptyPlate = ({ assembly }: Sees, id: string): PlacedPart | undefined => {
  const plate = assembly.byInstance.get(id)
  const isLoaded = everywhere(assembly).some(({ host, part }) => host === plate && part.power?.store)
  return plate?.part.role === 'battery-plate' && !isLoaded ? plate : undefined
}

/** A piece that wants power and has none from the start. */
export const unpowered = defineCheck<PlacedPart, object, 'network' | 'runDown'>({
  id: 'unpowered',
  family: 'power',
  title: 'Nothing feeds it',
  why: 'It stays dark on the first take.',
  level: 'risk',
  source: 'The seats and leads of the set-up.',
  ...noOptions,
  about: 'electric',
  needs: ['network', 'runDown'],
  messages: {
    speaks: {
      none: '{part} has no power. It wants {watts:W} and nothing feeds it: give it a battery or a lead.',
      empty: '{part} has no power. It wants {watts:W}; {plate} feeds it, and has no battery on it.',
      little: '{part} gets too little power. It wants {watts:W}; what feeds it gives less.',
    },
    silent: { fed: '{part} has power.' },
    cannotTell: {},
  },
  subjects: drawing,
  judge: ({ instance, part, centre }, facts) => {
    const { network, runDown } = facts
    const names = { part: part.name }
    const numbers = { watts: part.power?.drawW ?? 0 }
    if (!runDown.first.dark.has(instance.id)) return { group: 'silent', message: 'fed', names, numbers }
    const feeds = network.feeds.filter(({ to }) => to === instance.id)
    const plates = feeds.map(({ from }) => emptyPlate(facts, from))
    const [plate] = plates
    const message = feeds.length === 0 ? 'none' : plate && plates.every(Boolean) ? 'empty' : 'little'
    // Without the camera there is nothing to film with: an only battery left out stops the day.
    const level = part.role === 'camera' && message !== 'little' ? 'stop' : 'risk'
    return {
      group: 'speaks',
      message,
      level,
      names: { ...names, plate: plate?.part.name ?? '' },
      numbers,
      parts: [instance.id],
      at: centre,
    }
  },
  aims: (piece, facts, { message }) => {
    const demand = powerDemand(piece, facts)
    const plated = demand ? [{ do: 'plate-battery' as const, demand, most: 6 }] : []
    if (message === 'empty') return plated
    if (message !== 'none') return []
    return [{ do: 'battery', piece }, ...plated, ...(demand ? [{ do: 'join' as const, demand }] : [])]
  },
})
