import { z } from 'zod'
import { eyeDistanceMm, type Watched } from '../../clearance/index.ts'
import { exceeds } from '../../kernel/index.ts'
import { defineCheck } from '../check.ts'
import { carried } from '../places.ts'

/** A small picture far from the eye. */
export const monitorTooFar = defineCheck<Watched, { mostTimes: number }, 'screens'>({
  id: 'monitor-too-far',
  family: 'clearance',
  title: 'Picture too small to judge',
  why: 'Focus looks right on the spot and soft at home.',
  level: 'hint',
  source:
    'Critical viewing wants a picture no smaller than an eighth of its distance; farther than that focus can not be judged.',
  options: z.object({ mostTimes: z.number().positive() }),
  defaults: { mostTimes: 8 },
  units: { mostTimes: 'widths' },
  needs: ['screens'],
  limit: { measured: 'distanceMm', allowed: 'mostMm' },
  messages: {
    speaks: { far: '{screen} is {distanceMm:mm} from your eye. Its picture is sharp to judge up to {mostMm:mm}.' },
    silent: { near: '{screen} is {distanceMm:mm} from your eye, of {mostMm:mm}.' },
    cannotTell: {},
  },
  subjects: (facts) => (carried(facts) ? facts.screens : []),
  judge: (screen, { assembly }, { mostTimes }) => {
    const { optics } = screen.piece.part
    const wideMm = optics?.kind === 'screen' ? Math.max(optics.wideMm, optics.tallMm) : 0
    const names = { screen: screen.piece.part.name }
    const numbers = { distanceMm: eyeDistanceMm(assembly, screen), mostMm: wideMm * mostTimes }
    return exceeds(numbers.distanceMm, numbers.mostMm)
      ? { group: 'speaks', message: 'far', names, numbers, parts: [screen.piece.instance.id], at: screen.at }
      : { group: 'silent', message: 'near', names, numbers }
  },
})
