import { z } from 'zod'
import type { PlacedPart } from '../../assembly/index.ts'
import { mate, mountOf, type Part } from '../../catalogue/index.ts'
import { defineCheck, piecesThat } from '../check.ts'

/** A part that goes on, but not as it should. */
export const partialFit = defineCheck<PlacedPart, object>({
  id: 'partial-fit',
  family: 'fit',
  title: 'Goes on, but not properly',
  why: 'It works on the table, and falls out on the first run.',
  level: 'risk',
  source: 'The families a mount takes with a named fault.',
  options: z.object({}),
  defaults: {},
  needs: [],
  messages: {
    speaks: { almost: '{part} does not hold as it should. In {host} it {fault}.' },
    silent: { holds: '{part} holds in {host}.' },
    cannotTell: {},
  },
  subjects: piecesThat((piece) => piece.mate?.ok && piece.mate.value.standard.fault !== undefined),
  judge: (piece) => {
    const fault = piece.mate?.ok ? piece.mate.value.fault : undefined
    const names = { part: piece.part.name, host: piece.host?.part.name ?? '', fault: fault ?? '' }
    return fault === undefined
      ? { group: 'silent', message: 'holds', names }
      : { group: 'speaks', message: 'almost', names, parts: [piece.instance.id], at: piece.centre }
  },
  aims: (piece) => {
    const mount = piece.host && mountOf(piece.host.part, piece.joint?.hostMount ?? '')
    if (!piece.host || !mount) return []
    const host = { part: piece.host.part, mount }
    const isProper = (part: Part): boolean =>
      part.mounts.some((own) => {
        const made = mate(host, { part, mount: own })
        return made.ok && made.value.fault === undefined
      })
    return [
      { do: 'swap', piece, for: isProper, tried: Infinity },
      { do: 'take-off', piece },
    ]
  },
})
