import { z } from 'zod'
import { guestsOf, type PlacedPart } from '../../assembly/index.ts'
import type { Watched } from '../../clearance/index.ts'
import type { Sees } from '../../facts/index.ts'
import { defineCheck } from '../check.ts'
import { isSeen, throughFinder } from './own-screen.ts'
import { watching } from './view-blocked.ts'

/**
 * The camera's own screen, where it is what the picture is seen on and no monitor lies in the bag either; its brightness
 * may be unknown.
 */
const ownOf = (facts: Sees<'screens' | 'ownScreen' | 'invasions'>) => {
  const { assembly, screens, ownScreen: own } = facts
  const spare = assembly.loose.some(({ part }) => part.optics?.kind === 'screen')
  if (!own || own.nits === 0 || screens.length > 0 || spare) return []
  return isSeen(own, watching.defaults) && !throughFinder(facts, own.piece) ? [own] : []
}

/** The hood that sits on a screen. */
const hoodOn = ({ placed }: Sees['assembly'], screen: PlacedPart): PlacedPart | undefined =>
  guestsOf(placed)
    .get(screen)
    ?.find(({ part }) => part.shade !== undefined)

/** A monitor that is too dark for the light it stands in. */
export const screenDim = defineCheck<Watched, { openNits: number }, 'screens' | 'ownScreen' | 'invasions'>({
  id: 'screen-dim',
  family: 'clearance',
  title: 'Too dark for the sun',
  why: 'In open sun it is a mirror, and exposure is judged by the reflection of your own hat.',
  level: 'risk',
  source:
    'Open sun, 100,000 lux on glass that reflects 1 % of it, lays 300 nit over the picture; read well from two and a half times as much on. A hood keeps a part of it off, as stated for it.',
  options: z.object({ openNits: z.number().positive() }),
  defaults: { openNits: 800 },
  units: {},
  needs: ['screens', 'ownScreen', 'invasions'],
  limit: { measured: 'nits', allowed: 'openNits' },
  messages: {
    speaks: {
      dim: '{screen} is too dark for open sun. It gives {nits} nit; {openNits} and more are read there. A hood, or a brighter one.',
      own: 'The screen of {screen} is too dark for open sun. It gives {nits} nit; {openNits} and more are read there. A hood, or the finder.',
    },
    silent: {
      bright: '{screen} is read in open sun: {nits} nit.',
      hooded: '{screen} is read in open sun under {hood}: {nits} nit, and {openNits} would do.',
    },
    cannotTell: {},
  },
  subjects: (facts) => (facts.assembly.rig.brief.conditions.includes('sun') ? [...facts.screens, ...ownOf(facts)] : []),
  judge: (screen, { ownScreen: own, assembly }, { openNits: bareNits }) => {
    const { piece, at, nits } = screen
    const hood = hoodOn(assembly, piece)
    const openNits = bareNits * (1 - (hood?.part.shade ?? 0))
    const names = { screen: piece.part.name, hood: hood?.part.name ?? '' }
    const numbers = { nits, openNits }
    if (nits >= openNits) return { group: 'silent', message: hood ? 'hooded' : 'bright', names, numbers }
    const said = { names, numbers, parts: [piece.instance.id], at }
    return screen === own
      ? { group: 'speaks', message: 'own', level: 'hint', ...said }
      : { group: 'speaks', message: 'dim', ...said }
  },
  aims: ({ piece, nits }, { points }, { message }, { openNits }) =>
    message === 'own'
      ? []
      : [
          {
            do: 'add',
            parts: ({ shade }) => shade !== undefined && nits >= openNits * (1 - shade),
            at: points.filter((point) => point.open && point.piece === piece),
          },
          { do: 'swap', piece, most: 2, for: ({ optics }) => optics?.kind === 'screen' && optics.nits >= openNits },
        ],
})
