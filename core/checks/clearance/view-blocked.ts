import { z } from 'zod'
import type { Watched } from '../../clearance/index.ts'
import { exceeds } from '../../kernel/index.ts'
import { defineCheck, wayKindOf } from '../check.ts'
import { getOutOfTheWay } from '../cures.ts'
import type { Facts, Sees } from '../../facts/index.ts'

const again = (after: Sees<'screens'>, { piece }: Watched) =>
  after.screens.find((screen) => screen.piece.instance.id === piece.instance.id)

/** A screen that the operator can not see from where the eye is. */
export const viewBlocked = defineCheck<Watched, { mostLines: number; mostDeg: number }, 'screens'>({
  id: 'view-blocked',
  family: 'clearance',
  title: 'The screen can not be seen',
  why: 'You frame by guess, or crane the neck all day.',
  level: 'risk',
  source:
    'Five lines of sight from the eye of this way of holding; a screen is read well up to 60 degrees off its face.',
  options: z.object({ mostLines: z.int(), mostDeg: z.number().positive() }),
  defaults: { mostLines: 1, mostDeg: 60 },
  units: { mostDeg: 'deg' },
  needs: ['screens'],
  limit: { measured: 'offDeg', allowed: 'mostDeg' },
  messages: {
    speaks: {
      hidden: '{by} hides {screen}. {hiddenCount} of five lines of sight end on it.',
      away: '{screen} looks away from you. It is turned {offDeg:deg} off your eye; {mostDeg:deg} can be read.',
    },
    silent: { seen: '{screen} is seen, {offDeg:deg} off your eye.' },
    cannotTell: {},
  },
  subjects: (facts) => facts.screens,
  judge: (screen, _, { mostLines, mostDeg }) => {
    const names = { screen: screen.piece.part.name, by: screen.by?.part.name ?? '' }
    const numbers = { offDeg: screen.offDeg, mostDeg, hiddenCount: screen.hidden }
    const own = screen.piece.instance.id
    if (exceeds(screen.offDeg, mostDeg))
      return { group: 'speaks', message: 'away', names, numbers, parts: [own], at: screen.at }
    if (screen.hidden > mostLines && screen.by)
      return { group: 'speaks', message: 'hidden', names, numbers, parts: [screen.by.instance.id, own], at: screen.at }
    return { group: 'silent', message: 'seen', names, numbers }
  },
  remedies: (screen, facts, _, { mostLines, mostDeg }) => {
    const cleared = (after: Facts) => {
      const now = again(after, screen)
      return now === undefined || (now.hidden <= mostLines && !exceeds(now.offDeg, mostDeg))
    }
    const carrier = screen.piece.host?.part.role === 'camera' ? screen.piece : (screen.piece.host ?? screen.piece)
    const movers =
      screen.by?.joint && !exceeds(screen.offDeg, mostDeg)
        ? [screen.by, screen.piece, carrier]
        : [screen.piece, carrier]
    const all = [...new Set(movers)].flatMap((piece) => getOutOfTheWay(facts, piece, cleared))
    return [
      ...all.filter(({ commands }) => wayKindOf(commands) !== 'take-off').slice(0, 2),
      ...all.filter(({ commands }) => wayKindOf(commands) === 'take-off').slice(0, 1),
    ]
  },
})
