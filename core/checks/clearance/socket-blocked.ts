import { z } from 'zod'
import { connectors } from '../../catalogue/index.ts'
import type { PlugRoom } from '../../clearance/index.ts'
import { exceeds } from '../../kernel/index.ts'
import { defineCheck } from '../check.ts'

/** A socket that no plug can reach. */
export const socketBlocked = defineCheck<PlugRoom, { leastMm: number }, 'plugs'>({
  id: 'socket-blocked',
  family: 'clearance',
  title: 'A socket is covered',
  why: 'The lead is in the bag and can not be plugged in.',
  level: 'risk',
  source: 'The flattest angled plugs stand out 12 mm.',
  options: z.object({ leastMm: z.number().positive() }),
  defaults: { leastMm: 12 },
  units: { leastMm: 'mm' },
  needs: ['plugs'],
  limit: { measured: 'missingMm', allowed: 'allowedMm' },
  messages: {
    speaks: {
      covered:
        '{by} covers the {connector} socket of {part}. It leaves {freeMm:mm}; the flattest plug stands out {leastMm:mm}.',
    },
    silent: { free: 'The {connector} socket of {part} can be reached.' },
    cannotTell: {},
  },
  subjects: (facts) => facts.plugs,
  judge: ({ piece, socket, freeMm, by }, _, { leastMm }) => {
    const key = socket.id
    const names = { part: piece.part.name, connector: connectors[socket.connector].title, by: by?.part.name ?? '' }
    const numbers = { freeMm, leastMm, missingMm: leastMm - freeMm, allowedMm: 0 }
    return by && exceeds(leastMm, freeMm)
      ? {
          group: 'speaks',
          message: 'covered',
          names,
          key,
          numbers,
          parts: [by.instance.id, piece.instance.id],
          at: by.centre,
        }
      : { group: 'silent', message: 'free', names, key, numbers }
  },
})
