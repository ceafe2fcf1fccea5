import type { Kind } from '../catalogue/index.ts'
import type { Entry } from '../clearance/index.ts'
import { type Check, type CheckDefinition, defineCheck, noOptions } from './check.ts'

type Words = Pick<CheckDefinition<Entry, object>, 'id' | 'family' | 'title' | 'why' | 'level' | 'source'>

/** What the rules about sliding on have in common; rails and dovetails differ in their words. */
export const entryCheck = ({ kind, ...words }: Words & { readonly kind: Kind }): Check =>
  defineCheck<Entry, object, 'entries'>({
    ...words,
    ...noOptions,
    needs: ['entries'],
    messages: {
      speaks: {
        shut: '{part} can not be slid on. It has no jaw that opens, and {first} and {second} shut both ends of its {railMm:mm}.',
      },
      silent: { open: '{part} slides on over an open end.' },
      cannotTell: {},
    },
    subjects: (facts) => facts.entries.filter(({ piece }) => piece.mate?.ok && piece.mate.value.standard.kind === kind),
    judge: ({ piece, railMm, clampMm, ends: [first, second] }) => {
      const names = { part: piece.part.name, first: first?.part.name ?? '', second: second?.part.name ?? '' }
      const numbers = { railMm, clampMm }
      return first && second
        ? {
            group: 'speaks',
            message: 'shut',
            names,
            numbers,
            parts: [piece.instance.id, first.instance.id, second.instance.id],
            at: piece.centre,
          }
        : { group: 'silent', message: 'open', names, numbers }
    },
  })
