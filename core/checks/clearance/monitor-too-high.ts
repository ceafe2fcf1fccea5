import { z } from 'zod'
import type { Watched } from '../../clearance/index.ts'
import { exceeds } from '../../kernel/index.ts'
import { defineCheck } from '../check.ts'
import { carried } from '../places.ts'

/** A monitor that stands far over the lens. */
export const monitorTooHigh = defineCheck<Watched, { goodMm: number; riskMm: number }, 'screens'>({
  id: 'monitor-too-high',
  family: 'clearance',
  title: 'Monitor high over the lens',
  why: 'It catches on every door frame, rocks the rig, and you look past the lens instead of along it.',
  level: 'hint',
  source:
    'Workshop practice: low and close beats tall and far; on a small handle a monitor stands about 200 mm over the axis.',
  options: z.object({ goodMm: z.number(), riskMm: z.number() }),
  defaults: { goodMm: 200, riskMm: 260 },
  units: { goodMm: 'mm', riskMm: 'mm' },
  needs: ['screens'],
  limit: { measured: 'aboveMm', allowed: 'goodMm' },
  messages: {
    speaks: { high: '{screen} stands {aboveMm:mm} over the optical axis. Up to {goodMm:mm} sits well.' },
    silent: { low: '{screen} stands {aboveMm:mm} over the optical axis.' },
    cannotTell: {},
  },
  subjects: (facts) => (carried(facts) ? facts.screens : []),
  judge: (screen, _, { goodMm, riskMm }) => {
    const names = { screen: screen.piece.part.name }
    const numbers = { aboveMm: screen.aboveMm, goodMm, riskMm }
    if (!exceeds(screen.aboveMm, goodMm)) return { group: 'silent', message: 'low', names, numbers }
    const level = exceeds(screen.aboveMm, riskMm) ? 'risk' : 'hint'
    return { group: 'speaks', message: 'high', level, names, numbers, parts: [screen.piece.instance.id], at: screen.at }
  },
})
