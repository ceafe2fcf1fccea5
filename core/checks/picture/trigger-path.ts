import { z } from 'zod'
import type { Grip } from '../../balance/index.ts'
import { gives, passes } from '../../cabling/index.ts'
import { exceeds, lengthOf, point, subtract, flatMap } from '../../kernel/index.ts'
import { defineCheck } from '../check.ts'
import { lotOfParts, type Sees } from '../../facts/index.ts'
import { carried } from '../places.ts'

const options = z.object({ reachMm: z.number().positive() })

const withButton = lotOfParts(({ recordAt }) => recordAt !== undefined)
const withTrigger = lotOfParts(({ sockets }) =>
  sockets?.some((socket) => socket.direction === 'out' && gives(socket, 'trigger')),
)

/** Record buttons that work: the camera's own, and those whose trigger lead is plugged in. */
const buttons = (facts: Sees<'leads'>) =>
  withButton(facts).filter(
    (piece) =>
      piece.part.role === 'camera' || facts.leads.some((run) => run.from.piece === piece && passes(run, 'trigger')),
  )

const nearest = (grips: readonly Grip[], facts: Sees<'leads'>): number => {
  const from = flatMap(buttons(facts), (piece) =>
    piece.part.recordAt ? [point(piece.frame, piece.part.recordAt)] : [],
  )
  return Math.min(Infinity, ...flatMap(grips, ({ at }) => from.map((button) => lengthOf(subtract(button, at)))))
}

const idleTrigger = (facts: Sees<'leads'>) =>
  flatMap(withTrigger(facts), (piece) => (piece.part.sockets ?? []).map((socket) => ({ piece, socket }))).find(
    ({ piece, socket }) =>
      socket.direction === 'out' &&
      gives(socket, 'trigger') &&
      !facts.leads.some((run) => run.from.piece === piece && run.from.socket.id === socket.id),
  )

/** The record button, seen from the hands that hold the rig. */
export const triggerPath = defineCheck<readonly Grip[], z.infer<typeof options>, 'leads' | 'grips'>({
  id: 'trigger-path',
  family: 'picture',
  title: 'Record is out of reach',
  why: 'A hand leaves the rig at the start and the end of every take, and both shake.',
  level: 'hint',
  source: 'The reach of a thumb or finger from the middle of a grip, with the hand shifted along it.',
  options,
  defaults: { reachMm: 130 },
  units: { reachMm: 'mm' },
  needs: ['leads', 'grips'],
  limit: { measured: 'buttonMm', allowed: 'reachMm' },
  messages: {
    speaks: {
      idle: 'A trigger without its lead. {part} could start the camera, and nothing joins them.',
      far: 'Record is out of reach. The nearest button is {buttonMm:mm} from a hand; a finger reaches {reachMm:mm}.',
    },
    silent: { reach: 'Record is within {buttonMm:mm} of a hand.' },
    cannotTell: {},
  },
  subjects: (facts) => {
    const grips = carried(facts) && withButton(facts).length > 0 ? facts.grips : []
    return grips.length > 0 ? [grips] : []
  },
  judge: (grips, facts, { reachMm }) => {
    const idle = idleTrigger(facts)
    const buttonMm = nearest(grips, facts)
    const numbers = { reachMm, ...(buttonMm < Infinity ? { buttonMm } : {}) }
    if (idle)
      return {
        group: 'speaks',
        message: 'idle',
        names: { part: idle.piece.part.name },
        numbers,
        parts: [idle.piece.instance.id],
      }
    return exceeds(buttonMm, reachMm)
      ? { group: 'speaks', message: 'far', numbers: { ...numbers, buttonMm }, parts: [facts.assembly.setup.root] }
      : { group: 'silent', message: 'reach', numbers }
  },
  aims: (_, facts, { message }) => {
    const idle = message === 'idle' ? idleTrigger(facts) : undefined
    return idle
      ? [{ do: 'join', most: 2, demand: { what: 'trigger', piece: idle.piece, way: 'out', own: [idle] } }]
      : []
  },
})
