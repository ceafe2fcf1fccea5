import { flatMap } from '../../kernel/index.ts'
import { pathToRoot, type PlacedPart } from '../../assembly/index.ts'
import { lotOf } from '../../facts/index.ts'
import { type Against, RUB_MM, rubs } from '../../build-order/index.ts'
import { defineCheck, type Judgement, noOptions } from '../check.ts'

/** What leaves a mark while the rig is put together: a way along the body, or an order its maker warns of. */
type Mark =
  | { readonly what: 'rubs'; readonly piece: PlacedPart; readonly body: PlacedPart; readonly depthMm: number }
  | ({ readonly what: 'after' } & Against)

const rubbing = lotOf((piece) => {
  const body = pathToRoot(piece).at(-1)
  const depthMm = body && piece.joint && piece.mate?.ok ? rubs(piece, body) : 0
  return depthMm > RUB_MM && depthMm <= 1
})

/** A rig that can be put together, but not without a mark on it. */
export const buildScratch = defineCheck<Mark, object, 'jams'>({
  id: 'build-scratch',
  family: 'fit',
  title: 'Scratches while it is put together',
  why: 'The first mark on a body comes from the bench, not from the shoot: a part pushed past it, or put on in the wrong order.',
  level: 'risk',
  source:
    'Ways that come more than 0.3 mm and at most 1 mm into the camera beyond where the piece sits, the gentlest of each; and what makers state of the order.',
  ...noOptions,
  needs: ['jams'],
  messages: {
    speaks: {
      rubs: '{part} rubs along {body} on every way to its seat, by {depthMm:mm}. Tape the body before you slide it on.',
      joined: '{part} should go on {after} before that is on the rig; here it only goes on later, past what is there.',
      first: '{after} should be off while {part} goes on; here it can only go on first.',
    },
    silent: {},
    cannotTell: {},
  },
  subjects: (facts) => {
    const marks = flatMap(rubbing(facts), (piece): Mark[] => {
      const body = pathToRoot(piece).at(-1)
      return body ? [{ what: 'rubs', piece, body, depthMm: rubs(piece, body) }] : []
    })
    return [...marks, ...facts.jams.against.map((one): Mark => ({ what: 'after', ...one }))]
  },
  judge: (mark) => {
    const { piece } = mark
    const other = mark.what === 'rubs' ? mark.body : mark.after
    const told: Pick<Judgement, 'message' | 'numbers' | 'names'> =
      mark.what === 'rubs'
        ? {
            message: 'rubs',
            numbers: { depthMm: mark.depthMm },
            names: { part: piece.part.name, body: other.part.name },
          }
        : {
            message: mark.why === 'joined-before' ? 'joined' : 'first',
            names: { part: piece.part.name, after: other.part.name },
          }
    return { group: 'speaks', ...told, parts: [piece.instance.id, other.instance.id], at: piece.centre }
  },
  aims: ({ piece }) => [
    { do: 'move', piece, to: () => true, most: 2 },
    { do: 'take-off', piece },
  ],
})
