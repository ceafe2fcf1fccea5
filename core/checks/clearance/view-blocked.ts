import { z } from 'zod'
import type { Watched } from '../../clearance/index.ts'
import { exceeds } from '../../kernel/index.ts'
import { defineCheck } from '../check.ts'

/** How much of a picture may be hidden, and how far off its face it is still read; for monitors and for the camera's own. */
export const watching = {
  options: z.object({ mostPercent: z.number().min(0).max(100), mostDeg: z.number().positive() }),
  defaults: { mostPercent: 10, mostDeg: 60 },
  units: { mostPercent: '%', mostDeg: 'deg' },
} as const

/** A screen that the operator can not see from where the eye is. */
export const viewBlocked = defineCheck<Watched, { mostPercent: number; mostDeg: number }, 'screens'>({
  id: 'view-blocked',
  family: 'clearance',
  title: 'The screen can not be seen',
  why: 'You frame by guess, or crane the neck all day.',
  level: 'risk',
  source:
    'Forty-five lines of sight from the eye of this way of holding, over the whole picture: a tenth hidden is a bar across it. A screen is read well up to 60 degrees off its face.',
  ...watching,
  retired: ['mostLines'],
  needs: ['screens'],
  limit: { measured: 'offDeg', allowed: 'mostDeg' },
  messages: {
    speaks: {
      hidden:
        '{by} hides {hiddenPercent:%} of the picture. So much of {screen} lies behind it from where your eye is; {mostPercent:%} is let pass.',
      away: '{screen} looks away from you. It is turned {offDeg:deg} off your eye; {mostDeg:deg} can be read.',
    },
    silent: { seen: '{screen} is seen, {offDeg:deg} off your eye.' },
    cannotTell: {},
  },
  subjects: (facts) => facts.screens,
  judge: (screen, _, { mostPercent, mostDeg }) => {
    const names = { screen: screen.piece.part.name, by: screen.by?.part.name ?? '' }
    const hiddenPercent = Math.round(100 * screen.hidden)
    const numbers = { offDeg: screen.offDeg, mostDeg, hiddenPercent, mostPercent }
    const own = screen.piece.instance.id
    if (exceeds(screen.offDeg, mostDeg))
      return { group: 'speaks', message: 'away', names, numbers, parts: [own], at: screen.at }
    if (hiddenPercent > mostPercent && screen.by)
      return { group: 'speaks', message: 'hidden', names, numbers, parts: [screen.by.instance.id, own], at: screen.at }
    return { group: 'silent', message: 'seen', names, numbers }
  },
})
