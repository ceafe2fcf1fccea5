import { z } from 'zod'
import { type Clash, clashDepth } from '../../clearance/index.ts'
import type { PlacedPart } from '../../assembly/index.ts'
import type { Drive } from '../../optics/index.ts'
import { CLASH_MM, perThing, flatMap } from '../../kernel/index.ts'
import { defineCheck } from '../check.ts'

interface Neighbours extends Clash {
  readonly touching: boolean
}

/** Two on one mounting point are another check's business. */
const sameSeat = ({ a, b }: Clash): boolean =>
  a.host !== undefined && a.host === b.host && a.joint?.hostMount === b.joint?.hostMount

/** A drive whose arm brings its gear to the teeth sets itself against the lens; whether it gets there is told elsewhere. */
const meets = ({ piece, lens, toothed, acrossMm, armMm, alongMm, slideMm }: Drive, { a, b }: Clash): boolean =>
  Math.abs(acrossMm) <= armMm &&
  alongMm <= slideMm &&
  [a, b].includes(piece) &&
  [a, b].some((other) => other !== piece && (other === toothed || other === lens))

const touching = perThing('clash as a subject', (clash: Clash): Neighbours => ({ ...clash, touching: true }))
const clearOfHost = perThing('clear of its host', (b: PlacedPart): Neighbours | undefined =>
  b.host && clashDepth(b.host, b) === 0 ? { a: b.host, b, depthMm: 0, touching: false } : undefined,
)

/** Two solid parts in the same place. */
export const solidClash = defineCheck<Neighbours, object, 'clashes' | 'drives'>({
  id: 'solid-clash',
  family: 'clearance',
  title: 'Parts in each other’s way',
  why: 'They can not both be there: one of them will not seat, or scratches the other.',
  level: 'stop',
  source: 'Drawn solids of both parts; 0.5 mm is allowed for paint, rubber and drawing error.',
  options: z.object({}),
  defaults: {},
  needs: ['clashes', 'drives'],
  depth: 'depthMm',
  messages: {
    speaks: {
      clash: '{a} and {b} want the same space. They press {depthMm:mm} into each other; {allowedMm:mm} is allowed.',
    },
    silent: { clear: '{a} and {b} clear each other.' },
    cannotTell: {},
  },
  subjects: ({ assembly, clashes, drives }) => [
    ...clashes.filter((clash) => !sameSeat(clash) && !drives.some((drive) => meets(drive, clash))).map(touching),
    ...flatMap(assembly.placed, (b) => clearOfHost(b) ?? []),
  ],
  judge: ({ a, b, depthMm, touching }) => {
    const names = { a: a.part.name, b: b.part.name }
    const numbers = { depthMm, allowedMm: CLASH_MM }
    return touching
      ? { group: 'speaks', message: 'clash', names, numbers, parts: [b.instance.id, a.instance.id], at: b.centre }
      : { group: 'silent', message: 'clear', names, numbers }
  },
})
