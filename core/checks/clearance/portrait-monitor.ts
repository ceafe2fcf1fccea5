import type { Watched } from '../../clearance/index.ts'
import { defineCheck, noOptions } from '../check.ts'

/** The camera stands upright and the monitor does not. */
export const portraitMonitor = defineCheck<Watched, object, 'screens'>({
  id: 'portrait-monitor',
  family: 'clearance',
  title: 'Monitor lies across an upright picture',
  why: 'The tall picture shrinks to a third of the screen, and you frame on a stamp.',
  level: 'hint',
  source: 'The way the picture stands against the way the screen stands.',
  ...noOptions,
  needs: ['screens'],
  messages: {
    speaks: { across: '{screen} lies across. The camera stands upright; turn the screen with it.' },
    silent: { along: '{screen} stands the way the picture does.' },
    cannotTell: {},
  },
  subjects: (facts) => (facts.assembly.setup.orientation === 'upright' ? facts.screens : []),
  judge: (screen) => {
    const names = { screen: screen.piece.part.name }
    return screen.portrait
      ? { group: 'silent', message: 'along', names }
      : { group: 'speaks', message: 'across', names, parts: [screen.piece.instance.id], at: screen.at }
  },
})
