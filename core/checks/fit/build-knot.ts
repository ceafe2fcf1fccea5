import type { Knot } from '../../build-order/index.ts'
import type { PlacedPart } from '../../assembly/index.ts'
import { perThing, flatMap } from '../../kernel/index.ts'
import { defineCheck, noOptions } from '../check.ts'

/** One piece of each lot that lock each other, with all the others of it: they are one trouble. */
const firstOfEach = perThing('knots, each once', (knots: readonly Knot[]): readonly Knot[] => {
  const told = new Set<PlacedPart>()
  return flatMap(knots, (knot): readonly Knot[] => {
    if (told.has(knot.piece)) return []
    const lot = new Set<PlacedPart>([knot.piece])
    for (const piece of lot)
      for (const other of knots) {
        if (other.piece === piece) for (const by of other.by) lot.add(by)
        if (other.by.includes(piece)) lot.add(other.piece)
      }
    for (const piece of lot) told.add(piece)
    lot.delete(knot.piece)
    return [{ piece: knot.piece, by: [...lot] }]
  })
})

/** Pieces that lock each other: whatever is put on last finds no way to its seat. */
export const buildKnot = defineCheck<Knot, object, 'jams'>({
  id: 'build-knot',
  family: 'fit',
  title: 'Can not be put together',
  why: 'On the drawing everything sits; at the bench the last piece has no way in, whatever goes first.',
  level: 'risk',
  source:
    'Every piece is drawn along the ways its joint lets it go, straight out or out and then aside; more than 1 mm into another is in its way. A bent way in is not looked for: try it before you buy.',
  ...noOptions,
  needs: ['jams'],
  messages: {
    speaks: {
      locked: '{part} finds no way to its seat. {by} stands in it, whatever is put on first.',
    },
    silent: {},
    cannotTell: {},
  },
  subjects: ({ jams }) => firstOfEach(jams.knots),
  judge: ({ piece, by }) => ({
    group: 'speaks',
    message: 'locked',
    names: { part: piece.part.name, by: by.map(({ part }) => part.name).join(' and ') || 'Its own joint' },
    parts: [piece.instance.id, ...by.map(({ instance }) => instance.id)],
    at: piece.centre,
  }),
  aims: ({ piece }) => [
    { do: 'move', piece, to: () => true, most: 2 },
    { do: 'take-off', piece },
  ],
})
