import { filterOf, goesBefore, lensOf, lightPlan, type LightPlan, ndOf } from '../../optics/index.ts'
import type { Part } from '../../catalogue/index.ts'
import { defineCheck, noOptions } from '../check.ts'
import type { Sees } from '../../facts/index.ts'
import { kitThat } from '../places.ts'

interface Held {
  readonly id: string
  readonly part: Part
}

const filtersOf = (facts: Sees): readonly Held[] => {
  const lens = lensOf(facts.assembly)?.lens.part
  const all = kitThat(facts, () => true).map(({ part }) => part)
  return lens ? kitThat(facts, (part) => ndOf(part, true) !== undefined && goesBefore(part, lens, all)) : []
}

const held = ({ phases }: LightPlan): string => phases.map(({ missesBy }) => Math.round(missesBy * 100)).join()

/** The first filter the day is held without: what lies in the bag before what is on the lens, the heavier first. */
const spareOf = (facts: Sees<'light'>): Held | undefined =>
  [...filtersOf(facts)]
    .sort(
      (a, b) =>
        Number(facts.assembly.byInstance.has(a.id)) - Number(facts.assembly.byInstance.has(b.id)) ||
        b.part.massG - a.part.massG ||
        (a.id < b.id ? -1 : 1),
    )
    .find(({ id }) => held(lightPlan(facts.assembly, [], new Set([id]))) === held(facts.light))

/** Two filters that take the same light. */
export const ndOverlap = defineCheck<Held, object, 'light'>({
  id: 'nd-overlap',
  family: 'glass',
  title: 'A filter that adds nothing today',
  why: 'It costs money and a pocket, and gets screwed on in a hurry on top of the other.',
  level: 'hint',
  source: 'The light of the day with and without it. Two variable ones on each other show a dark cross.',
  ...noOptions,
  about: 'glass',
  needs: ['light'],
  messages: {
    speaks: {
      spare: 'The day is held without {filter}. Leaving it out saves {massG:g}.',
      crossed:
        'Two variable filters on each other. {filter} and {other} are four polarisers: a dark cross and a colour cast.',
    },
    silent: { useful: '{filter} has its place in the day.', only: '{filter} is the only one.' },
    cannotTell: {},
  },
  subjects: filtersOf,
  judge: ({ id, part }, facts) => {
    const all = filtersOf(facts)
    const names = { filter: part.name, other: '' }
    const numbers = { massG: part.massG }
    const onRig = facts.assembly.byInstance.get(id)
    const variable = (piece: { readonly part: Part } | undefined) =>
      piece !== undefined && filterOf(piece.part)?.effect === 'variable-nd'
    const under = facts.assembly.placed.find((piece) => piece !== onRig && variable(piece) && onRig && variable(onRig))
    if (under && onRig && onRig.instance.id > under.instance.id)
      return {
        group: 'speaks',
        message: 'crossed',
        level: 'risk',
        names: { ...names, other: under.part.name },
        numbers,
        parts: [id, under.instance.id],
        at: onRig.centre,
      }
    if (all.length < 2 && !facts.light.filters.some(({ inside }) => inside))
      return { group: 'silent', message: 'only', names, numbers }
    return spareOf(facts)?.id === id
      ? { group: 'speaks', message: 'spare', names, numbers, parts: [id], ...(onRig ? { at: onRig.centre } : {}) }
      : { group: 'silent', message: 'useful', names, numbers }
  },
  aims: ({ id, part }) => [{ do: 'leave-out', instance: id, part }],
})
