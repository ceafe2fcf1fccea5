import { z } from 'zod'
import { exceeds } from '../../kernel/index.ts'
import { defineCheck } from '../check.ts'
import { hasItsLens } from '../places.ts'
import type { Sees, Facts } from '../../facts/index.ts'

const offOf = ({ onPlate }: Sees<'onPlate'>): number => onPlate?.offMm ?? 0

/** The centre of mass does not lie over the plate. */
export const plateOffset = defineCheck<
  Sees<'onPlate' | 'gimbal'>,
  { goodMm: number; riskMm: number },
  'onPlate' | 'gimbal'
>({
  id: 'plate-offset',
  family: 'balance',
  title: 'Off the middle of its plate',
  why: 'The head creeps when it is let go, and the gimbal’s motors run hot and give up.',
  level: 'hint',
  source:
    'Workshop practice: a head holds 15 mm off the middle by itself; a gimbal must reach the centre with its arms.',
  options: z.object({ goodMm: z.number(), riskMm: z.number() }),
  defaults: { goodMm: 15, riskMm: 45 },
  units: { goodMm: 'mm', riskMm: 'mm' },
  needs: ['onPlate', 'gimbal'],
  limit: { measured: 'offMm', allowed: 'goodMm' },
  messages: {
    speaks: {
      off: 'Off the middle of {stand} by {offMm:mm}. The centre lies {alongMm:mm} {along} and {besideMm:mm} to the {side}; {goodMm:mm} is held without a hand.',
      beyond: '{stand} can not be balanced. The centre lies {beyondMm:mm} beyond what its arms can slide.',
    },
    silent: {
      over: 'The centre lies {offMm:mm} off the middle of {stand}.',
      reached: 'The arms of {stand} reach the centre.',
    },
    cannotTell: {},
  },
  subjects: (facts) => (hasItsLens(facts) && facts.onPlate ? [facts] : []),
  judge: (facts, _, { goodMm, riskMm }) => {
    const { onPlate, gimbal } = facts
    const stand = onPlate?.stand
    const [aheadMm, rightMm] = [onPlate?.aheadMm ?? 0, onPlate?.rightMm ?? 0]
    const names = {
      stand: stand?.part.name ?? '',
      along: aheadMm >= 0 ? 'ahead' : 'behind',
      side: rightMm >= 0 ? 'right' : 'left',
    }
    const parts = stand ? [stand.instance.id] : []
    const offMm = offOf(facts)
    const numbers = { offMm, goodMm, riskMm, alongMm: Math.abs(aheadMm), besideMm: Math.abs(rightMm) }
    if (gimbal) {
      const beyondMm = Math.max(...gimbal.beyondMm)
      return exceeds(beyondMm, 0)
        ? {
            group: 'speaks',
            message: 'beyond',
            level: 'stop',
            names,
            numbers: { ...numbers, beyondMm },
            parts,
            at: onPlate?.at,
          }
        : { group: 'silent', message: 'reached', names, numbers: { ...numbers, beyondMm } }
    }
    if (!exceeds(offMm, goodMm)) return { group: 'silent', message: 'over', names, numbers }
    return {
      group: 'speaks',
      message: 'off',
      level: exceeds(offMm, riskMm) ? 'risk' : 'hint',
      names,
      numbers,
      parts,
      at: onPlate?.at,
    }
  },
  aims: (_, facts) => {
    const { onPlate } = facts
    const slide = onPlate?.slide
    if (!onPlate || !slide || Math.abs(slide.byMm) < 1) return []
    const better = (after: Facts): boolean =>
      facts.gimbal ? beyond(after) < beyond(facts) : offOf(after) < offOf(facts)
    return [{ do: 'slide', piece: onPlate.stand, slideMm: slide.slideMm, rig: true, until: better }]
  },
})

const beyond = ({ gimbal }: Sees<'gimbal'>): number => Math.max(0, ...(gimbal?.beyondMm ?? []))
