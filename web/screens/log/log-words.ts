import type { Assessment } from '@zucchini/core/assess'
import type { Catalogue } from '@zucchini/core/catalogue'
import { secondsOfWork } from '@zucchini/core/checks'
import type { DayLog, Lesson, Measured } from '@zucchini/core/log'
import { grams, hours, hoursMinutes, millimetres, minutes, shortName, type Style, watts } from '../../wording.ts'
import type { Happening } from './log-draft.ts'

export const happeningWords: Readonly<Record<Happening, string>> = {
  loose: 'came loose',
  ranOut: 'ran out',
  inTheWay: 'in the way',
  unused: 'never used',
  gaps: 'did not go on as said',
}

type Names = Pick<Catalogue, 'parts'> | undefined

const nameIn = (catalogue: Names, id: string): string => catalogue?.parts.get(id)?.name ?? id

/** A kind of joint by its name, or a lead. */
export const jointKind = (id: string): string => secondsOfWork().find(({ option }) => option === id)?.title ?? id

const large = (words: string): string => `${words[0]?.toUpperCase() ?? ''}${words.slice(1)}`
const percent = (share: number): string => `${Math.round(share * 100)} %`

/** What was learnt, in a sentence, with what it was taken for before. */
export const lessonWords = (lesson: Lesson, catalogue: Names, style: Style): string => {
  const name = nameIn(catalogue, lesson.of)
  switch (lesson.kind) {
    case 'seconds': {
      const usual = secondsOfWork().find(({ option }) => option === lesson.of)?.usual
      return `${large(jointKind(lesson.of))}: ${Math.round(lesson.value)} s by the watch${usual === undefined ? '' : `, ${usual} s usual`}`
    }
    case 'health':
      return `${name} holds ${percent(lesson.value)} of what it held when new`
    case 'draw':
      return `${name} draws ${watts(Math.round(lesson.value * 10) / 10)} by the meter`
    case 'strength':
      return `Your shoulder holds ${Math.round(lesson.value)} N m, by timed holds`
    case 'loose':
      return `${name} on ${nameIn(catalogue, lesson.joint?.host ?? '')} comes loose`
    case 'gap':
      return `${name} on ${nameIn(catalogue, lesson.joint?.host ?? '')} leaves ${millimetres(lesson.value, style.units)} open`
    case 'in-the-way':
      return `${name} on ${nameIn(catalogue, lesson.joint?.host ?? '')} is in the way`
    case 'unused':
      return `${name} is carried and never used`
  }
}

/** Where it counts: the figure or the finding that changed by it. */
export const lessonReach: Readonly<Record<Lesson['kind'], string>> = {
  seconds: 'set-up and changeover times',
  health: 'run times and spares',
  draw: 'run times and watts',
  strength: 'holding times',
  loose: 'a finding on every rig with this joint',
  gap: 'a finding on every rig with this joint',
  'in-the-way': 'a hint on every rig with this joint',
  unused: 'an offer to leave it out',
}

/** So many days are named; of more the newest. */
const MOST_DAYS = 4
/** The days a lesson rests on, each once with how often. @example `2026-11-16, 3 times` */
export const evidenceWords = ({ evidence }: Lesson): string => {
  const days = new Map<string, number>()
  for (const { day, shoot } of evidence) {
    const words = shoot ? `${day}, ${shoot}` : day
    days.set(words, (days.get(words) ?? 0) + 1)
  }
  const told = [...days].map(([words, count]) => (count > 1 ? `${words}, ${count} times` : words))
  return told.length > MOST_DAYS
    ? `${told.length} days, the last: ${told.slice(-MOST_DAYS).join('; ')}`
    : told.join('; ')
}

/** What asks for something first, seconds last. */
const RANK: readonly Lesson['kind'][] = [
  'loose',
  'gap',
  'in-the-way',
  'unused',
  'health',
  'draw',
  'strength',
  'seconds',
]
export const inRank = (lessons: readonly Lesson[]): readonly Lesson[] =>
  [...lessons].sort((a, b) => RANK.indexOf(a.kind) - RANK.indexOf(b.kind))

/** One thing measured, with what was planned. */
export const measuredWords = (one: Measured, catalogue: Names, style: Style): string => {
  switch (one.what) {
    case 'grams':
      return `${one.setup} weighed ${grams(one.value, style.units)}, planned ${grams(one.planned, style.units)}`
    case 'ready':
      return `${one.setup} ready in ${hoursMinutes(Math.round(one.value))}, planned ${hoursMinutes(Math.round(one.planned))}`
    case 'held':
      return `${one.setup} held ${minutes(one.value)}`
    case 'run':
      return `${shortName(nameIn(catalogue, one.partId))} lasted ${hours(one.value)}, as new ${hours(one.asNew)}`
    case 'draw':
      return `${shortName(nameIn(catalogue, one.partId))} drew ${watts(one.value)}, planned ${watts(one.planned)}`
  }
}

/** What a day's log says, line by line. */
export const dayWords = (log: DayLog, catalogue: Names, style: Style): readonly string[] => {
  const list = (ids: readonly { readonly partId: string }[]) =>
    [...new Set(ids.map(({ partId }) => shortName(nameIn(catalogue, partId))))].join(', ')
  return [
    ...(log.loose.length > 0 ? [`came loose: ${list(log.loose)}`] : []),
    ...(log.ranOut.length > 0 ? [`ran out: ${list(log.ranOut)}`] : []),
    ...(log.inTheWay.length > 0 ? [`in the way: ${list(log.inTheWay)}`] : []),
    ...(log.unused.length > 0 ? [`never used: ${list(log.unused)}`] : []),
    ...log.gaps.map(
      ({ partId, gapMm }) => `${shortName(nameIn(catalogue, partId))}: ${millimetres(gapMm, style.units)} stayed open`,
    ),
    ...log.measured.map((one) => measuredWords(one, catalogue, style)),
    ...(log.line ? [`“${log.line}”`] : []),
  ]
}

/** The shoot as the brief calls it: what stands before the first colon. */
export const shootOf = ({ assembly }: Pick<Assessment, 'assembly'>): string => {
  const { about } = assembly.rig.brief
  const colon = about.indexOf(':')
  return colon > 0 && colon <= 60 ? about.slice(0, colon) : ''
}
