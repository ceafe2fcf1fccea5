import { pathToRoot, type PlacedPart, ridesOn } from '../../assembly/index.ts'
import { filterOf, lensOf, sizeOn } from '../../optics/index.ts'
import { defineCheck, noOptions } from '../check.ts'
import type { Sees } from '../../facts/index.ts'
import type { Part } from '../../catalogue/index.ts'

const polarised: ReadonlySet<string> = new Set(['variable-nd', 'polariser'])
const minds = ({ part }: PlacedPart): boolean =>
  part.opening?.clearMm === undefined
    ? part.opening !== undefined || filterOf(part)?.effect === 'graduated'
    : polarised.has(filterOf(part)?.effect ?? '') || filterOf(part)?.effect === 'graduated'

/** The filter under a piece whose front ring is turned to set it. */
const turnedUnder = (piece: PlacedPart): PlacedPart | undefined =>
  pathToRoot(piece).find((under) => under !== piece && polarised.has(filterOf(under.part)?.effect ?? ''))

/** What has an up and a down, and sits on the front of the lens. */
const onFront = (facts: Sees): readonly PlacedPart[] => {
  const lens = lensOf(facts.assembly)?.lens
  return lens ? facts.assembly.placed.filter((piece) => piece !== lens && ridesOn(piece, lens) && minds(piece)) : []
}

/** A matte box or polariser on a front that turns. */
export const rotatingBase = defineCheck<PlacedPart, object>({
  id: 'rotating-base',
  family: 'glass',
  title: 'It turns with the lens',
  why: 'Pulling focus tilts the matte box into the picture, or darkens the sky.',
  level: 'risk',
  source: 'Whether the front of the lens turns with its rings, as stated for the lens.',
  ...noOptions,
  about: 'glass',
  needs: [],
  messages: {
    speaks: {
      box: '{part} turns with the front of {lens}. Its corners swing into the picture; carry it on rods.',
      filter: '{part} turns with the front of {lens}. Set it again after every pull.',
      ring: '{part} turns with the ring of {under}. To set that filter is to turn what sits before it.',
    },
    silent: { still: 'The front of {lens} stands still.' },
    cannotTell: {},
  },
  subjects: onFront,
  judge: (piece, { assembly }) => {
    const found = lensOf(assembly)
    const names = { part: piece.part.name, lens: found?.lens.part.name ?? '' }
    const under = turnedUnder(piece)
    if (!found?.glass.turnsFront && under)
      return {
        group: 'speaks',
        message: 'ring',
        names: { ...names, under: under.part.name },
        parts: [piece.instance.id, under.instance.id],
        at: piece.centre,
      }
    if (!found?.glass.turnsFront) return { group: 'silent', message: 'still', names }
    const box = piece.part.opening?.clearMm === undefined
    return {
      group: 'speaks',
      message: box ? 'box' : 'filter',
      level: box ? 'risk' : 'hint',
      names,
      parts: [piece.instance.id],
      at: piece.centre,
    }
  },
  aims: (piece, { assembly }, { message }) => [
    ...(message === 'box'
      ? [{ do: 'swap' as const, piece, for: (part: Part) => sizeOn(part, 'clamp', 'sits') === undefined }]
      : []),
    ...(assembly.placed.some(({ host }) => host === piece) ? [] : [{ do: 'take-off' as const, piece }]),
  ],
})
