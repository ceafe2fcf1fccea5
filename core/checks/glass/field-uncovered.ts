import { flatMap } from '../../kernel/index.ts'
import { coverage, lensFits } from '../../optics/index.ts'
import { defineCheck, noOptions } from '../check.ts'
import { byReadiness } from '../places.ts'
import { deliveryOf, type Sees } from '../../facts/index.ts'

interface Field {
  readonly fieldMm: number
  readonly by: readonly string[]
}

const fieldsOf = ({ assembly, lensKit }: Sees<'lensKit'>): readonly Field[] =>
  lensKit.length === 0
    ? []
    : coverage(
        assembly.rig.brief.fieldsMm,
        lensKit.filter(({ way }) => way !== 'none').map(({ part, fromMm, toMm }) => ({ id: part.id, fromMm, toMm })),
      )

/** A field of view the film wants and no lens of the kit gives. */
export const fieldUncovered = defineCheck<Field, object, 'lensKit'>({
  id: 'field-uncovered',
  family: 'glass',
  title: 'A field of view is missing',
  why: 'In the wheelhouse there is no room to step back, and the shot is not made.',
  level: 'hint',
  source: 'The fields the brief asks for against the lens kit on this sensor, as focal lengths on 36 x 24 mm.',
  ...noOptions,
  about: 'glass',
  needs: ['lensKit'],
  messages: {
    speaks: { open: 'No lens shows what {fieldMm:mm} shows. The nearest gives {nearestMm:mm} on this camera.' },
    silent: { given: '{lens} shows what {fieldMm:mm} shows.' },
    cannotTell: {},
  },
  subjects: fieldsOf,
  judge: ({ fieldMm, by }, { context, lensKit }) => {
    const lens = context.catalogue.parts.get(by[0] ?? '')
    const ends = flatMap(lensKit, ({ fromMm, toMm }) => [fromMm, toMm]).sort(
      (a, b) => Math.abs(a - fieldMm) - Math.abs(b - fieldMm),
    )
    const key = String(fieldMm)
    const names = { lens: lens?.name ?? '' }
    const numbers = { fieldMm, nearestMm: ends[0] ?? 0 }
    return lens
      ? { group: 'silent', message: 'given', names, key, station: 'glass', numbers }
      : { group: 'speaks', message: 'open', names, key, station: 'glass', numbers }
  },
  aims: ({ fieldMm }, facts) => {
    const { rig, placed } = facts.assembly
    const camera = placed[0]?.part
    if (!camera || rig.brief.lenses.length === 0) return []
    const known = [...(facts.context.catalogue.byRole.get('lens') ?? [])].sort(byReadiness(facts))
    const [fit] = lensFits(
      camera,
      known.map(({ id }) => ({ partId: id, share: 0 })),
      facts.context.catalogue,
      facts.context.owned,
      deliveryOf(facts.assembly),
    ).filter(
      ({ part, way, fromMm, toMm }) =>
        way === 'direct' && (coverage([fieldMm], [{ id: part.id, fromMm, toMm }])[0]?.by.length ?? 0) > 0,
    )
    return fit ? [{ do: 'lens', part: fit.part }] : []
  },
})
