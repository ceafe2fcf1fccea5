import { z } from 'zod'
import type { PlacedPart } from '../../assembly/index.ts'
import { joiningRoles } from '../../catalogue/index.ts'
import { exceeds, lengthOf, subtract } from '../../kernel/index.ts'
import { defineCheck, piecesThat } from '../check.ts'

const stackUnder = (piece: PlacedPart): PlacedPart[] => {
  const stack: PlacedPart[] = []
  for (let at = piece.host; at && joiningRoles.has(at.part.role); at = at.host) stack.push(at)
  return stack
}

/** A tower of adapters under one part. */
export const adapterStack = defineCheck<PlacedPart, { most: number }>({
  id: 'adapter-stack',
  family: 'fit',
  title: 'A tower of adapters',
  why: 'Every joint adds play and height, and the lowest screw is the one that loosens.',
  level: 'risk',
  source: 'Workshop practice: two adapters in a row hold; from the third on the play is seen.',
  options: z.object({ most: z.int().min(1) }),
  defaults: { most: 2 },
  about: 'glass',
  needs: [],
  limit: { measured: 'inRow', allowed: 'most' },
  messages: {
    speaks: { tower: '{part} stands on {inRow} adapters in a row, {highMm:mm} off its host. {most} hold firm.' },
    silent: { firm: '{part} stands on {inRow} adapters of {most}.' },
    cannotTell: {},
  },
  subjects: piecesThat((piece) => !joiningRoles.has(piece.part.role) && stackUnder(piece).length > 0),
  judge: (piece, _, { most }) => {
    const stack = stackUnder(piece)
    const names = { part: piece.part.name }
    const numbers = {
      inRow: stack.length,
      most,
      highMm: lengthOf(subtract(piece.frame.at, stack.at(-1)?.frame.at ?? piece.frame.at)),
    }
    return exceeds(stack.length, most)
      ? {
          group: 'speaks',
          message: 'tower',
          names,
          numbers,
          parts: [piece.instance.id, ...stack.map(({ instance }) => instance.id)],
          at: piece.centre,
        }
      : { group: 'silent', message: 'firm', names, numbers }
  },
})
