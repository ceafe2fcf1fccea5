import { z } from 'zod'
import type { PlacedPart } from '../../assembly/index.ts'
import { defineCheck, partsThat } from '../check.ts'
import type { Sees } from '../../facts/index.ts'
import { posedOpen } from '../room-check.ts'

const stoppedBy = (facts: Sees<'invasions'>, piece: PlacedPart) =>
  facts.invasions.find((found) => found.piece.instance.id === piece.instance.id && found.room.kind === 'swing')

/** The camera's screen can't reach its open pose. */
export const screenSwing = defineCheck<PlacedPart, object, 'invasions'>({
  id: 'screen-swing',
  family: 'clearance',
  title: 'The screen can not open',
  why: 'You shoot low or from the front and see nothing.',
  level: 'risk',
  source: 'The way of the screen in the camera’s data, sampled every few degrees.',
  options: z.object({}),
  defaults: {},
  needs: ['invasions'],
  limit: { measured: 'shortDeg', allowed: 'allowedDeg' },
  messages: {
    speaks: { stopped: "The screen can't open. It opens {freeDeg:deg} of {fullDeg:deg}; then {by} is in its way." },
    silent: {
      opens: 'The screen of the {camera} opens all the way.',
      open: 'The screen of the {camera} stands open in this set-up: it was opened before {by} went on.',
    },
    cannotTell: {},
  },
  subjects: partsThat(({ rooms }) => rooms.some((room) => room.kind === 'swing')),
  judge: (camera, facts) => {
    const found = stoppedBy(facts, camera)
    const names = { camera: camera.part.name, by: found?.by.part.name ?? '' }
    if (!found) return { group: 'silent', message: 'opens', names, numbers: { shortDeg: 0, allowedDeg: 0 } }
    if (posedOpen(facts, camera, found.room))
      return { group: 'silent', message: 'open', names, numbers: { shortDeg: 0, allowedDeg: 0 } }
    const numbers = {
      freeDeg: found.freeDeg,
      fullDeg: found.fullDeg,
      shortDeg: found.fullDeg - found.freeDeg,
      allowedDeg: 0,
    }
    return {
      group: 'speaks',
      message: 'stopped',
      names,
      numbers,
      parts: [found.by.instance.id, camera.instance.id],
      at: found.by.centre,
    }
  },
})
