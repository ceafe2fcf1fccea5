import type { Sees } from '../../facts/index.ts'
import { exceeds } from '../../kernel/index.ts'
import { defineCheck, noOptions } from '../check.ts'
import { hasItsLens } from '../places.ts'

/** Less on a head or gimbal than it can be balanced with. */
export const underPayload = defineCheck<Sees<'onPlate' | 'mass'>, object, 'onPlate' | 'mass'>({
  id: 'under-payload',
  family: 'balance',
  title: 'Too light for what it stands on',
  why: 'The counterbalance throws it back up, the gimbal shivers.',
  level: 'hint',
  source: 'The least load the maker gives for the head or gimbal.',
  ...noOptions,
  needs: ['onPlate', 'mass'],
  limit: { measured: 'lacksG', allowed: 'allowedG' },
  messages: {
    speaks: { under: '{stand} carries too little. {payloadG:g} sits on it; it balances from {fromG:g}.' },
    silent: { within: '{stand} carries {payloadG:g}; it balances from {fromG:g}.' },
    cannotTell: {},
  },
  subjects: (facts) => (!hasItsLens(facts) || facts.onPlate?.mount.fromG === undefined ? [] : [facts]),
  judge: ({ onPlate, mass }) => {
    const names = { stand: onPlate?.stand.part.name ?? '' }
    const fromG = onPlate?.mount.fromG ?? 0
    const numbers = { payloadG: mass.inHandG, fromG, lacksG: fromG - mass.inHandG, allowedG: 0 }
    return exceeds(fromG, mass.inHandG)
      ? {
          group: 'speaks',
          message: 'under',
          names,
          numbers,
          parts: onPlate ? [onPlate.stand.instance.id] : [],
          at: onPlate?.at,
        }
      : { group: 'silent', message: 'within', names, numbers }
  },
})
