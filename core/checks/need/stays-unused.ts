import { everywhere, type PlacedPart, sitsSomewhere } from '../../assembly/index.ts'
import { inHand } from '../../balance/index.ts'
import type { Part } from '../../catalogue/index.ts'
import { type Sees, takenFrom } from '../../facts/index.ts'
import { priceOf } from '../places.ts'
import { defineCheck, noOptions } from '../check.ts'

/** A piece of the rig, or of the bag. */
interface Along {
  readonly id: string
  readonly part: Part
  readonly placed: PlacedPart | undefined
}

const along = ({ assembly, context }: Sees): readonly Along[] => {
  const unused = context.learnt?.unused
  if (!unused || unused.size === 0) return []
  return [
    ...everywhere(assembly)
      .filter((piece) => piece.host !== undefined && inHand(piece))
      .map((piece) => ({ id: piece.instance.id, part: piece.part, placed: piece })),
    ...assembly.loose
      .filter(({ instance: { id, status } }) => status === 'in' && !sitsSomewhere(assembly.rig, id))
      .map(({ instance, part }) => ({ id: instance.id, part, placed: undefined })),
  ].filter(({ part }) => unused.has(part.id))
}

/** A part that was along on several shoots in a row and never used. */
export const staysUnused = defineCheck<Along, object, 'cost'>({
  id: 'stays-unused',
  family: 'need',
  title: 'Along, and never used',
  why: 'Whatever the plan says of it, nobody reached for it: it is carried, set up and paid for in vain.',
  level: 'hint',
  source: 'The log of your own days: so many shoots in a row on which it was along and named as never used.',
  ...noOptions,
  needs: ['cost'],
  messages: {
    speaks: {
      idle: '{part} was never used. {shoots} shoots in a row, last at {shoot}, on {day}; leaving it out saves {massG:g} and {priceMinor:minor}.',
    },
    silent: {},
    cannotTell: {},
  },
  subjects: along,
  judge: ({ id, part }, facts) => {
    const taught = facts.context.learnt?.unused.get(part.id)
    return {
      group: 'speaks',
      message: 'idle',
      numbers: {
        shoots: taught?.times ?? 0,
        massG: part.massG,
        priceMinor: takenFrom(facts, id, priceOf),
      },
      names: { part: part.name, shoot: taught?.shoot ?? '', day: taught?.last ?? '' },
      parts: [id],
    }
  },
  aims: ({ id, part, placed }) =>
    placed ? [{ do: 'set-aside', piece: placed }] : [{ do: 'leave-out', instance: id, part }],
})
