import { type Part, standardOf } from '../../catalogue/index.ts'
import { dot, subtract } from '../../kernel/index.ts'
import { adaptersFor, type LensFit } from '../../optics/index.ts'
import { defineCheck, noOptions } from '../check.ts'
import { kitThat } from '../places.ts'

/** How far an adapter stands a lens off, mm: from its one face to the other. */
const adapterMm = ({ mounts }: Part): number => {
  const [rear, front] = (['sits', 'holds'] as const).map((side) =>
    mounts.find((mount) => mount.side === side && standardOf(mount.standard).kind === 'bayonet'),
  )
  return rear && front ? Math.abs(dot(subtract(front.at, rear.at), rear.out)) : 0
}

/** A lens of the kit that does not go on this camera as it is. */
export const lensMount = defineCheck<LensFit, object, 'lensKit'>({
  id: 'lens-mount',
  family: 'glass',
  title: 'A lens of the kit does not go on',
  why: 'It is carried all day and never shot with.',
  level: 'risk',
  source:
    'The mounts and flange distances of camera, lens and adapters. An adapter only goes from a longer flange to a shorter.',
  ...noOptions,
  about: 'glass',
  needs: ['lensKit'],
  messages: {
    speaks: {
      adapter:
        '{lens} wants an adapter. Its mount is another; {adapter}, {longMm:mm} long and {contacts}, takes it there and is not in the kit.',
      never: '{lens} does not go on {camera}. No adapter is known.',
    },
    silent: {
      direct: '{lens} goes on as it is.',
      along: '{lens} goes on with {adapter}, {longMm:mm} long and {contacts}.',
    },
    cannotTell: {},
  },
  subjects: ({ lensKit }) => lensKit,
  judge: ({ part, way, adapter }, facts) => {
    const key = part.id
    const names = {
      lens: part.name,
      camera: facts.assembly.placed[0]?.part.name ?? '',
      adapter: adapter?.name ?? '',
      contacts: adapter?.optics?.kind === 'adapter' && adapter.optics.contacts ? 'with contacts' : 'without contacts',
    }
    const numbers = { longMm: adapter ? adapterMm(adapter) : 0 }
    if (way === 'direct') return { group: 'silent', message: 'direct', names, key, station: 'glass' }
    if (!adapter) return { group: 'speaks', message: 'never', names, key, station: 'glass' }
    return kitThat(facts, ({ id }) => id === adapter.id).length > 0
      ? { group: 'silent', message: 'along', names, key, numbers, station: 'glass' }
      : { group: 'speaks', message: 'adapter', names, key, numbers, station: 'glass' }
  },
  aims: ({ part, way }, { assembly, context }) => {
    const camera = assembly.placed[0]?.part
    if (!camera || way !== 'adapter') return []
    const known = adaptersFor(camera, part, context.catalogue, context.owned)
    return [{ do: 'along', most: 2, choices: known.map((adapter) => [adapter]) }]
  },
})
