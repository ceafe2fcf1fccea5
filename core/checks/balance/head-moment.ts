import type { Sees } from '../../facts/index.ts'
import { exceeds } from '../../kernel/index.ts'
import { defineCheck, noOptions } from '../check.ts'

const ratedNm = ({ onPlate }: Sees<'onPlate'>): number | undefined => onPlate?.mount.momentNm

/** A tall rig that a head can not hold when it is tilted. */
export const headMoment = defineCheck<Sees<'onPlate' | 'mass'>, object, 'onPlate' | 'mass'>({
  id: 'head-moment',
  family: 'balance',
  title: 'Too tall for the head',
  why: 'Tilted down it falls on, tilted up it falls back; the drag is locked all day.',
  level: 'risk',
  source: 'The head’s rating, kilograms at a height over its plate, as a moment.',
  ...noOptions,
  needs: ['onPlate', 'mass'],
  limit: { measured: 'momentNm', allowed: 'ratedNm', sum: true },
  messages: {
    speaks: {
      over: '{stand} does not hold it tilted. {inHandG:g} stand {aboveMm:mm} over the plate and {besideMm:mm} off it: {momentNm:N m}; it is rated for {ratedNm:N m}.',
    },
    silent: { holds: '{stand} holds {momentNm:N m} of {ratedNm:N m}.' },
    cannotTell: {},
  },
  subjects: (facts) => (ratedNm(facts) === undefined ? [] : [facts]),
  judge: (facts) => {
    const { onPlate, mass } = facts
    const names = { stand: onPlate?.stand.part.name ?? '' }
    const numbers = {
      momentNm: onPlate?.momentNm ?? 0,
      ratedNm: ratedNm(facts) ?? Infinity,
      aboveMm: onPlate?.aboveMm ?? 0,
      besideMm: Math.abs(onPlate?.aheadMm ?? 0),
      inHandG: mass.inHandG,
    }
    return exceeds(numbers.momentNm, numbers.ratedNm)
      ? {
          group: 'speaks',
          message: 'over',
          names,
          numbers,
          parts: onPlate ? [onPlate.stand.instance.id] : [],
          at: onPlate?.at,
        }
      : { group: 'silent', message: 'holds', names, numbers }
  },
  aims: ({ onPlate }) =>
    onPlate
      ? [
          {
            do: 'swap',
            piece: onPlate.stand,
            for: ({ mounts }) =>
              mounts.some(({ side, momentNm = 0 }) => side === 'sits' && momentNm >= onPlate.momentNm),
          },
          { do: 'take-off', piece: onPlate.stand },
        ]
      : [],
})
