import { type Seated, everywhere } from '../../assembly/index.ts'
import type { Catalogue, Part } from '../../catalogue/index.ts'
import { perPair } from '../../kernel/index.ts'
import { defineCheck, noOptions } from '../check.ts'

interface Gone {
  readonly instance: Seated
  readonly part: Part
  readonly how: 'taken-out' | 'placeholder' | undefined
}

const asKnown = perPair('gone parts', ({ gone }: Catalogue, { instance, part }: Omit<Gone, 'how'>): Gone => ({
  instance,
  part,
  how: gone.get(part.id),
}))

/** A piece whose part left the catalogue, or of which nothing is known at all. */
export const partGone = defineCheck<Gone, object>({
  id: 'part-gone',
  family: 'fit',
  title: 'Parts the catalogue has no more',
  why: 'The rig opens and looks right, and one of its pieces is something nobody can look up or buy again.',
  level: 'hint',
  source: 'The catalogue as it is today.',
  ...noOptions,
  needs: [],
  messages: {
    speaks: {
      placeholder:
        '{part}. It stands as a plain block: its grams, its money and its fit are in no figure. Choose another, leave it out, or go back in the history.',
      'taken-out':
        '{part} is not in the catalogue any more. The rig goes on with what was last known of it; bring the part back, or choose another.',
    },
    silent: { known: '{part} is in the catalogue.' },
    cannotTell: {},
  },
  // Mostly nothing is gone, and no piece needs to be asked.
  subjects: ({ assembly, context: { catalogue } }) =>
    catalogue.gone.size > 0
      ? [...everywhere(assembly), ...assembly.loose].map((piece) => asKnown(catalogue, piece))
      : [],
  judge: ({ instance, part, how }) => {
    if (!how) return { group: 'silent', message: 'known', names: { part: part.name } }
    const unknown = how === 'placeholder'
    const named = unknown ? `${part.name[0]?.toUpperCase() ?? ''}${part.name.slice(1)}` : part.name
    return {
      group: 'speaks',
      message: how,
      level: unknown ? 'risk' : 'hint',
      names: { part: named },
      parts: [instance.id],
    }
  },
  aims: ({ instance }, { assembly }) =>
    assembly.rig.setups.some(({ root }) => root === instance.id) ? [] : [{ do: 'leave-out', instance: instance.id }],
})
