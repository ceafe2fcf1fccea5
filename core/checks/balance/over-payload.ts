import { z } from 'zod'
import type { PlacedPart } from '../../assembly/index.ts'
import { exceeds } from '../../kernel/index.ts'
import { defineCheck } from '../check.ts'

/** More on a head or gimbal than it carries. */
export const overPayload = defineCheck<PlacedPart, object, 'mass' | 'onPlate'>({
  id: 'over-payload',
  family: 'balance',
  title: 'Too heavy for what it stands on',
  why: 'The head sinks in every tilt, the gimbal shakes and then switches off.',
  level: 'stop',
  source: 'The rating of the head, gimbal or clamp.',
  options: z.object({}),
  defaults: {},
  needs: ['mass', 'onPlate'],
  limit: { measured: 'carriedG', allowed: 'limitG', sum: true },
  messages: {
    speaks: { over: '{stand} carries too much. {carriedG:g} sits on it; it takes {limitG:g}.' },
    silent: { within: '{stand} carries {carriedG:g} of {limitG:g}.' },
    cannotTell: {
      unweighed: '{stand} carries at least {carriedG:g} of {limitG:g}. Nobody knows what {part} weighs; weigh it.',
    },
  },
  subjects: ({ onPlate }) => (onPlate ? [onPlate.stand] : []),
  judge: (stand, { mass }) => {
    const limitG = stand.mate?.ok ? stand.mate.value.limitG : Infinity
    const names = { stand: stand.part.name }
    const numbers = { carriedG: mass.inHandG, limitG }
    if (exceeds(mass.inHandG, limitG))
      return { group: 'speaks', message: 'over', names, numbers, parts: [stand.instance.id], at: stand.centre }
    const [unweighed] = mass.unknown
    return unweighed && Number.isFinite(limitG)
      ? {
          group: 'cannotTell',
          message: 'unweighed',
          names: { ...names, part: unweighed.part.name },
          numbers,
          parts: [unweighed.instance.id],
        }
      : { group: 'silent', message: 'within', names, numbers }
  },
  aims: (stand, { mass }, { message }) => {
    if (message === 'unweighed') return []
    const carries = ({ side, limitG = Infinity }: { side: string; limitG?: number | undefined }) =>
      side === 'sits' && limitG >= mass.inHandG
    return [
      { do: 'swap', piece: stand, for: ({ mounts }) => mounts.some(carries) },
      { do: 'take-off', piece: stand },
    ]
  },
})
