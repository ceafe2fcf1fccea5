import { type Drive, lensOf } from '../../optics/index.ts'
import { defineCheck, noOptions } from '../check.ts'

/** A follow focus on a lens that focuses by itself. */
export const followFocusOnAf = defineCheck<Drive, object, 'drives'>({
  id: 'follow-focus-on-af',
  family: 'glass',
  title: 'A follow focus on an autofocus lens',
  why: 'Its ring has no stops and turns by wire: the marks wander, and rods, clamp and wheel are carried for nothing.',
  level: 'hint',
  source: 'Autofocus as stated for the lens, on a mount that passes it on.',
  ...noOptions,
  about: 'glass',
  needs: ['drives'],
  messages: {
    speaks: { idle: '{lens} focuses by itself. Leaving out {drive} saves {massG:g} and {priceMinor:minor}.' },
    silent: { manual: '{lens} is focused by hand.' },
    cannotTell: {},
  },
  subjects: ({ drives }) => drives,
  judge: ({ piece, lens }, { assembly, context }) => {
    const names = { drive: piece.part.name, lens: lens.part.name }
    const owned = (context.owned.get(piece.part.id) ?? 0) > 0
    const auto = lensOf(assembly)?.glass.autofocus && lens.host?.part.role === 'camera'
    return auto
      ? {
          group: 'speaks',
          message: 'idle',
          names,
          numbers: { massG: piece.part.massG, priceMinor: owned ? 0 : piece.part.price.usual },
          parts: [piece.instance.id],
          at: piece.centre,
        }
      : { group: 'silent', message: 'manual', names }
  },
})
