import { z } from 'zod'
import type { Part } from '../../catalogue/index.ts'
import { lensOf, lightPlan, ndOf, type PhaseExposure } from '../../optics/index.ts'
import { defineCheck } from '../check.ts'
import { byReadiness, eachOf, spareOwned, withRings } from '../places.ts'

/** Light that no filter at hand takes, or that is not there. */
export const ndShort = defineCheck<PhaseExposure, { smallestStop: number }, 'light' | 'needs'>({
  id: 'nd-short',
  family: 'glass',
  title: 'Too much light, or too little',
  why: 'The sky goes white, or the shutter is shortened and every ripple stutters.',
  level: 'risk',
  source:
    'Published exposure tables, the height of the sun, and the stops between the marks of the filters in the kit. A third of a stop is let pass.',
  options: z.object({ smallestStop: z.number().positive() }),
  defaults: { smallestStop: 11 },
  about: 'glass',
  needs: ['light', 'needs'],
  messages: {
    speaks: {
      bright:
        'Nothing holds the light of {phase}. It is {mostStops:stops} too bright at f/{stop} and ISO {iso}; the nearest choice is {missesStops:stops} off. f/{iris} would do without.',
      dark: 'Too dark for {phase}. At f/{stop} it wants ISO {wantedIso}; {isoMax} is the most that is fit to show.',
    },
    silent: {
      held: '{filters} holds {phase}.',
      iris: '{phase} is held at f/{iris} without a filter.',
      waived: 'The brief does without neutral density.',
    },
    cannotTell: {
      unknown: 'Highest sensitivity unknown. Whether {phase} is bright enough is not stated; it wants ISO {wantedIso}.',
    },
  },
  subjects: (facts) => (lensOf(facts.assembly) ? facts.light.phases : []),
  judge: (phase, { light, needs, assembly, context }, { smallestStop }) => {
    const filters = phase.by[0] ?? phase.forMost
    const nameOf = (id: string) => context.catalogue.parts.get(id)?.name ?? 'the camera’s own ND'
    const key = phase.light.phase.name
    const names = {
      phase: phase.light.phase.name,
      filters: filters && filters.ids.length > 0 ? filters.ids.map(nameOf).join(' with ') : 'The bare lens',
      stop: String(Math.round(light.setting.fNumber * 10) / 10),
      iris: String(Math.round(phase.iris * 10) / 10),
    }
    const numbers = {
      mostStops: phase.mostStops,
      missesStops: phase.missesBy,
      iso: light.setting.iso,
      wantedIso: phase.iso,
      isoMax: light.isoMax ?? 0,
    }
    if (phase.leastStops < 0 && phase.iso > light.setting.iso) {
      if (light.isoMax === undefined)
        return { group: 'cannotTell', message: 'unknown', names, key, station: 'glass', numbers }
      if (phase.iso > light.isoMax * 1.01)
        return { group: 'speaks', message: 'dark', names, key, station: 'glass', numbers }
    }
    if (phase.missesBy === 0) return { group: 'silent', message: 'held', names, key, station: 'glass', numbers }
    if (assembly.rig.brief.wishes.nd === 'skip')
      return { group: 'silent', message: 'waived', names, key, station: 'glass', numbers }
    const onLens = assembly.placed.filter(({ part }) => ndOf(part, true)).map(({ instance }) => instance.id)
    const wanted = needs.some(({ capability }) => capability === 'nd')
    if (!wanted && phase.iris <= smallestStop)
      return { group: 'silent', message: 'iris', names, key, station: 'glass', numbers }
    return {
      group: 'speaks',
      message: 'bright',
      level: wanted ? 'risk' : 'hint',
      names,
      key,
      station: 'glass',
      numbers,
      parts: onLens,
    }
  },
  aims: (phase, facts, { message }) => {
    const lens = lensOf(facts.assembly)?.lens.part
    if (!lens || message !== 'bright') return []
    const holds = (filter: Part) =>
      lightPlan(facts.assembly, [filter]).phases.some(
        ({ light, missesBy }) => light.phase === phase.light.phase && missesBy === 0,
      )
    const known = (facts.context.catalogue.byRole.get('filter') ?? [])
      .filter((part) => ndOf(part, spareOwned(facts, part)) && holds(part))
      .sort(byReadiness(facts))
    return [{ do: 'along', most: 2, choices: eachOf(known, (filter) => withRings(facts, lens, filter)) }]
  },
})
