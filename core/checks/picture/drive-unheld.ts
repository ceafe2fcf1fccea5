import type { Seated } from '../../assembly/index.ts'
import type { Part } from '../../catalogue/index.ts'
import { lotOfParts } from '../../facts/index.ts'
import { defineCheck, noOptions } from '../check.ts'
import { drives, isDrive } from '../places.ts'

/** A drive of the kit that a body of the set-up would record to. */
interface Drive {
  readonly instance: Seated
  readonly part: Part
  readonly placed: boolean
}

const recorders = lotOfParts(({ media }) => media?.drive)

/** A drive that is meant to be recorded on and is held by nothing. */
export const driveUnheld = defineCheck<Drive, object>({
  id: 'drive-unheld',
  family: 'picture',
  title: 'Nothing holds the drive',
  why: 'It dangles on its lead; the lead falls out and the file is lost.',
  level: 'risk',
  source: 'The kit, and what sits on the rig.',
  ...noOptions,
  needs: [],
  messages: {
    speaks: { loose: 'Nothing holds {part}. It needs a holder or a pad before it can be recorded on.' },
    silent: { held: '{part} sits on the rig.' },
    cannotTell: {},
  },
  subjects: (facts) => {
    const { off, loose } = facts.assembly
    const beside = off.map(({ piece }) => piece)
    if (![...recorders(facts), ...beside].some(({ part }) => part.media?.drive)) return []
    const inBag = loose.filter(({ instance }) => instance.status === 'in')
    return [
      ...[...drives(facts), ...beside].map(({ instance, part }) => ({ instance, part, placed: true })),
      ...inBag.map(({ instance, part }) => ({ instance, part, placed: false })),
    ].filter(({ part }) => isDrive(part))
  },
  judge: ({ instance, part, placed }) => {
    const names = { part: part.name }
    return placed
      ? { group: 'silent', message: 'held', names }
      : { group: 'speaks', message: 'loose', names, parts: [instance.id] }
  },
  aims: ({ part }) => [{ do: 'add', parts: [part] }],
})
