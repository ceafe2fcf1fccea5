import { flatMap } from '../../kernel/index.ts'
import { everywhere, type PlacedPart } from '../../assembly/index.ts'
import { defineCheck, partsThat, noOptions } from '../check.ts'
import { byReadiness } from '../places.ts'

/** A part that works only with another that is not on the rig. */
export const needsPart = defineCheck<PlacedPart, object>({
  id: 'needs-part',
  family: 'fit',
  title: 'Works only with its partner',
  why: 'It arrives, and the piece it clicks into was sold separately.',
  level: 'stop',
  source: 'What the part’s data says it does not work without.',
  ...noOptions,
  needs: [],
  messages: {
    speaks: { alone: '{part} does not work by itself. It needs {wanted} on the rig.' },
    silent: { paired: '{part} has what it needs.' },
    cannotTell: {},
  },
  subjects: partsThat(({ needsOneOf }) => (needsOneOf ?? []).length > 0),
  judge: (piece, { assembly, context }) => {
    const wanted = piece.part.needsOneOf ?? []
    const names = {
      part: piece.part.name,
      wanted: wanted.map((id) => context.catalogue.parts.get(id)?.name ?? id).join(' or '),
    }
    return everywhere(assembly).some(({ part }) => wanted.includes(part.id))
      ? { group: 'silent', message: 'paired', names }
      : { group: 'speaks', message: 'alone', names, parts: [piece.instance.id], at: piece.centre }
  },
  aims: (piece, facts) => [
    {
      do: 'add',
      parts: flatMap(piece.part.needsOneOf ?? [], (id) => facts.context.catalogue.parts.get(id) ?? []).sort(
        byReadiness(facts),
      ),
    },
    { do: 'take-off', piece },
  ],
})
