import type { z } from 'zod'
import type { PlacedPart } from '../../assembly/index.ts'
import type { Watched } from '../../clearance/index.ts'
import { exceeds } from '../../kernel/index.ts'
import { defineCheck } from '../check.ts'
import type { Sees } from '../../facts/index.ts'
import { watching } from './view-blocked.ts'

type Watching = z.infer<typeof watching.options>

/** Is a screen near enough to straight, and free enough, to be read? */
export const isSeen = ({ hidden, offDeg }: Watched, { mostPercent, mostDeg }: Watching): boolean =>
  Math.round(100 * hidden) <= mostPercent && !exceeds(offDeg, mostDeg)

/** The eye goes to a free finder where the rig is held up to it. */
export const throughFinder = ({ assembly, invasions }: Sees<'invasions'>, camera: PlacedPart): boolean =>
  (assembly.setup.support === 'two-hand' || assembly.setup.support === 'shoulder') &&
  camera.part.rooms.some(({ kind }) => kind === 'view') &&
  !invasions.some(({ piece, room }) => piece === camera && room.kind === 'view')

/** The camera's own screen, where nothing else shows the picture. */
export const ownScreen = defineCheck<Watched, z.infer<typeof watching.options>, 'ownScreen' | 'screens' | 'invasions'>({
  id: 'own-screen',
  family: 'clearance',
  title: 'No picture to look at',
  why: 'The only screen there is lies behind something, and you frame by guess.',
  level: 'risk',
  source:
    'Lines of sight from the eye of this way of holding to the camera’s own screen, as for a monitor: a tenth hidden, 60 degrees off its face. In two hands and on the shoulder the finder will do.',
  ...watching,
  needs: ['ownScreen', 'screens', 'invasions'],
  messages: {
    speaks: {
      hidden:
        '{by} hides {hiddenPercent:%} of the screen of {camera}. Nothing else on this set-up shows the picture; {mostPercent:%} is let pass.',
      away: 'The screen of {camera} looks {offDeg:deg} away from your eye. Nothing else on this set-up shows the picture; {mostDeg:deg} can be read.',
    },
    silent: {
      both: '{other} and the screen of {camera} both stay seen.',
      other: '{other} shows the picture; the screen of {camera} is covered.',
      finder: 'The picture is seen through the finder of {camera}.',
      seen: 'The screen of {camera} is seen, {offDeg:deg} off your eye.',
    },
    cannotTell: {},
  },
  subjects: ({ ownScreen: own }) => (own ? [own] : []),
  judge: (own, facts, limits) => {
    const { mostPercent, mostDeg } = limits
    const other = facts.screens[0]
    const names = { camera: own.piece.part.name, by: own.by?.part.name ?? '', other: other?.piece.part.name ?? '' }
    const hiddenPercent = Math.round(100 * own.hidden)
    const numbers = { hiddenPercent, mostPercent, offDeg: own.offDeg, mostDeg }
    if (other) return { group: 'silent', message: isSeen(own, limits) ? 'both' : 'other', names, numbers }
    if (isSeen(own, limits)) return { group: 'silent', message: 'seen', names, numbers }
    if (throughFinder(facts, own.piece)) return { group: 'silent', message: 'finder', names, numbers }
    const camera = own.piece.instance.id
    if (hiddenPercent > mostPercent && own.by)
      return { group: 'speaks', message: 'hidden', names, numbers, parts: [own.by.instance.id, camera], at: own.at }
    return { group: 'speaks', message: 'away', names, numbers, parts: [camera], at: own.at }
  },
})
