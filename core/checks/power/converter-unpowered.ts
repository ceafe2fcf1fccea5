import { everywhere, type PlacedPart } from '../../assembly/index.ts'
import { defineCheck, noOptions } from '../check.ts'
import { powerDemand } from './unpowered.ts'

/** A converter in the way of the picture that has no power of its own. */
export const converterUnpowered = defineCheck<PlacedPart, object, 'runDown'>({
  id: 'converter-unpowered',
  family: 'power',
  title: 'The converter has no power',
  why: 'The picture stops at the converter; it looks like a broken lead.',
  level: 'risk',
  source: 'The seats and leads of the set-up.',
  ...noOptions,
  about: 'electric',
  needs: ['runDown'],
  messages: {
    speaks: { dark: 'No picture gets through {part}. It wants {watts:W} of its own and has none.' },
    silent: { fed: '{part} has power.' },
    cannotTell: {},
  },
  subjects: ({ assembly }) =>
    everywhere(assembly).filter(({ part }) => part.role === 'converter' && part.power?.drawW !== undefined),
  judge: ({ instance, part, centre }, { runDown }) => {
    const names = { part: part.name }
    const numbers = { watts: part.power?.drawW ?? 0 }
    return runDown.first.dark.has(instance.id)
      ? { group: 'speaks', message: 'dark', names, numbers, parts: [instance.id], at: centre }
      : { group: 'silent', message: 'fed', names, numbers }
  },
  aims: (piece, facts) => {
    const demand = powerDemand(piece, facts)
    return demand ? [{ do: 'join', most: 2, demand }] : []
  },
})
