import { flatMap } from '../../kernel/index.ts'
import type { Part } from '../../catalogue/index.ts'
import { type LensFit, sizeOn } from '../../optics/index.ts'
import { defineCheck, noOptions } from '../check.ts'
import type { Sees } from '../../facts/index.ts'
import { kitThat } from '../places.ts'

interface Pair {
  readonly id: string
  readonly box: Part
  readonly clampMm: number
  readonly fit: LensFit
}

const pairsOf = (facts: Sees<'lensKit'>): readonly Pair[] =>
  flatMap(
    kitThat(facts, ({ role }) => role === 'matte-box'),
    ({ id, part: box }) => {
      const clampMm = sizeOn(box, 'clamp', 'sits')
      return clampMm === undefined
        ? []
        : facts.lensKit.filter(({ share }) => share > 0).map((fit) => ({ id, box, clampMm, fit }))
    },
  )

/** A clamp-on matte box and a lens with another front. */
export const clampOnSize = defineCheck<Pair, object, 'lensKit'>({
  id: 'clamp-on-size',
  family: 'glass',
  title: 'The matte box does not close on this lens',
  why: 'It slides off at the first tilt, or never went on.',
  level: 'hint',
  source: 'The clamp’s diameter against the outer diameter of each lens front.',
  ...noOptions,
  about: 'glass',
  needs: ['lensKit'],
  limit: { measured: 'frontMm', allowed: 'clampMm' },
  messages: {
    speaks: {
      other: '{box} does not close on {lens}. It clamps on {clampMm:mm}, the front is {frontMm:mm}.',
      none: '{box} finds no hold on {lens}. Its front is not made for a clamp of {clampMm:mm}.',
    },
    silent: { closes: '{box} closes on {lens}.' },
    cannotTell: {},
  },
  subjects: pairsOf,
  judge: ({ id, box, clampMm, fit }) => {
    const key = fit.part.id
    const names = { box: box.name, lens: fit.part.name }
    const numbers = { clampMm, frontMm: fit.frontMm ?? 0 }
    if (fit.frontMm === clampMm) return { group: 'silent', message: 'closes', names, key, station: 'glass', numbers }
    return {
      group: 'speaks',
      message: fit.frontMm === undefined ? 'none' : 'other',
      names,
      key,
      station: 'glass',
      numbers,
      parts: [id],
    }
  },
  aims: ({ id, box }, { assembly, context }) => {
    const [rods] = (context.catalogue.byRole.get('matte-box') ?? []).filter(
      (other) => sizeOn(other, 'clamp', 'sits') === undefined,
    )
    return rods && !assembly.byInstance.has(id) ? [{ do: 'exchange', instance: id, from: box, part: rods }] : []
  },
})
