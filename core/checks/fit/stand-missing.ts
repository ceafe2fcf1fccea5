import type { Role } from '../../catalogue/index.ts'
import { defineCheck, noOptions } from '../check.ts'
import type { Sees } from '../../facts/index.ts'

/** What each support that stands by itself is made of, and what it is called. */
const madeOf = {
  tripod: { words: 'a tripod', roles: ['tripod', 'head', 'slider'] },
  gimbal: { words: 'a gimbal', roles: ['gimbal'] },
} as const satisfies Record<string, { readonly words: string; readonly roles: readonly Role[] }>

const standOf = ({ assembly: { setup } }: Sees) =>
  setup.support === 'tripod' || setup.support === 'gimbal' ? madeOf[setup.support] : undefined

const MOST_TRIED = 6

/** A set-up that stands on something, without it. */
export const standMissing = defineCheck<Sees, object>({
  id: 'stand-missing',
  family: 'fit',
  title: 'Nothing to stand on',
  why: 'What is judged of it, mass, balance and how it tips, is judged without what bears it; and on the day it is missed.',
  level: 'risk',
  source: 'The support of the set-up against the pieces on it.',
  ...noOptions,
  needs: [],
  messages: {
    speaks: { missing: 'Nothing to stand on. This set-up is for {support}, and none is on it.' },
    silent: { there: '{stand} bears it.' },
    cannotTell: {},
  },
  subjects: (facts) => (standOf(facts) && facts.assembly.placed.length > 1 ? [facts] : []),
  judge: (facts) => {
    const { assembly } = facts
    const wanted = standOf(facts)
    const roles: readonly Role[] = wanted?.roles ?? []
    const stand = assembly.placed.find(({ part }) => roles.includes(part.role))
    const names = { support: wanted?.words ?? '', stand: stand?.part.name ?? '' }
    return stand
      ? { group: 'silent', message: 'there', names }
      : { group: 'speaks', message: 'missing', names, station: 'base' }
  },
  aims: (_, facts) => {
    const roles: readonly Role[] = standOf(facts)?.roles ?? []
    return [{ do: 'add', parts: ({ role }) => roles.includes(role), tried: MOST_TRIED }]
  },
})
