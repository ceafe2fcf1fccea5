import { connectors, FLAT_PLUG_MM } from '../../catalogue/index.ts'
import type { PlugRoom } from '../../clearance/index.ts'
import { exceeds } from '../../kernel/index.ts'
import { defineCheck, noOptions } from '../check.ts'

/** A socket without room for a straight plug and its bend. */
export const plugRoom = defineCheck<PlugRoom, object, 'plugs' | 'leads'>({
  id: 'plug-room',
  family: 'clearance',
  title: 'No room for a straight plug',
  why: 'The plug is bent over the edge until its socket breaks.',
  level: 'hint',
  source: 'The plug’s body and a bend of five cable thicknesses.',
  ...noOptions,
  needs: ['plugs', 'leads'],
  limit: { measured: 'missingMm', allowed: 'allowedMm' },
  messages: {
    speaks: {
      angled:
        '{by} leaves {freeMm:mm} before the {connector} socket of {part}. A straight plug needs {wantedMm:mm}; take an angled one.',
    },
    silent: { straight: 'A straight plug fits the {connector} socket of {part}.' },
    cannotTell: {},
  },
  // Where a lead is plugged in, its own plug counts: see plug-direction.
  subjects: ({ plugs, leads }) =>
    plugs.filter(
      ({ freeMm, piece, socket }) =>
        freeMm >= FLAT_PLUG_MM &&
        !leads.some(({ from, to }) => [from, to].some((end) => end.piece === piece && end.socket.id === socket.id)),
    ),
  judge: ({ piece, socket, freeMm, wantedMm, by }) => {
    const key = socket.id
    const names = { part: piece.part.name, connector: connectors[socket.connector].title, by: by?.part.name ?? '' }
    const numbers = { freeMm, wantedMm, missingMm: wantedMm - freeMm, allowedMm: 0 }
    return by && exceeds(wantedMm, freeMm)
      ? {
          group: 'speaks',
          message: 'angled',
          names,
          key,
          numbers,
          parts: [by.instance.id, piece.instance.id],
          at: by.centre,
        }
      : { group: 'silent', message: 'straight', names, key, numbers }
  },
})
