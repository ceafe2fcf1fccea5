import { defineCheck, noOptions } from '../check.ts'
import type { Sees } from '../../facts/index.ts'

const MOST_TRIED = 8

/** A set-up whose camera has no lens on it. */
export const lensMissing = defineCheck<Sees, object>({
  id: 'lens-missing',
  family: 'glass',
  title: 'No lens on it',
  why: 'Nothing can be filmed with it, and what is said of its balance and its picture is said of another rig.',
  level: 'risk',
  whole: true,
  source: 'The pieces of the set-up against the camera’s lens mount.',
  ...noOptions,
  needs: [],
  messages: {
    speaks: {
      missing:
        'No lens on this set-up. The mount of {camera} is open; nothing is said of its balance until there is one.',
    },
    silent: { there: '{lens} is on it.' },
    cannotTell: {},
  },
  subjects: (facts) => {
    const [camera, ...others] = facts.assembly.placed
    return camera?.part.optics?.kind === 'sensor' && others.length > 0 ? [facts] : []
  },
  judge: ({ assembly }) => {
    const [camera] = assembly.placed
    const lens = assembly.placed.find(({ part }) => part.optics?.kind === 'lens')
    const names = { camera: camera?.part.name ?? '', lens: lens?.part.name ?? '' }
    return lens
      ? { group: 'silent', message: 'there', names }
      : { group: 'speaks', message: 'missing', names, parts: [assembly.setup.root], station: 'glass' }
  },
  aims: () => [{ do: 'add', parts: ({ role }) => role === 'lens', most: MOST_TRIED, tried: Infinity }],
})
