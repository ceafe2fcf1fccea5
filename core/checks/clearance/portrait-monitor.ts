import type { Watched } from '../../clearance/index.ts'
import { defineCheck, noOptions } from '../check.ts'
import { factsAfter } from '../cures.ts'

/** A picture is read well up to this far off its face. */
const READ_DEG = 60

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
  remedies: ({ piece }, facts) => {
    const setup = facts.assembly.setup.id
    const { joint } = piece
    if (!joint) return []
    const turns = [90, -90].map((by) => ((joint.turnDeg + by + 540) % 360) - 180)
    const turnDeg = turns.find((turn) => {
      const after = factsAfter(facts, [{ do: 'set', setup, instance: piece.instance.id, turnDeg: turn }])
      return after?.screens.some(
        (screen) => screen.piece.instance.id === piece.instance.id && screen.portrait && screen.offDeg < READ_DEG,
      )
    })
    return turnDeg === undefined
      ? []
      : [
          {
            text: 'turn {part} to {turnDeg:deg}',
            numbers: { turnDeg },
            names: { part: piece.part.name },
            commands: [{ do: 'set', setup, instance: piece.instance.id, turnDeg }],
          },
        ]
  },
})
