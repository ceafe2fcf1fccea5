import { adaptersFor, type LensFit } from '../../optics/index.ts'
import { defineCheck, noOptions } from '../check.ts'

/** An autofocus lens behind an adapter that passes nothing on. */
export const adapterNoElectronics = defineCheck<LensFit, object, 'lensKit'>({
  id: 'adapter-no-electronics',
  family: 'glass',
  title: 'The adapter passes nothing on',
  why: 'Iris and focus stay where they were when the lens came off its own body; many such lenses can then not be stopped down at all.',
  level: 'risk',
  source: 'Contacts as stated for the adapter; autofocus as stated for the lens.',
  ...noOptions,
  about: 'glass',
  needs: ['lensKit'],
  messages: {
    speaks: {
      dead: '{lens} gets no word from the camera. {adapter} has no contacts: no autofocus, perhaps no iris, on {share} % of the day.',
    },
    silent: { joined: '{adapter} passes focus and iris on to {lens}.' },
    cannotTell: {},
  },
  subjects: ({ lensKit }) => lensKit.filter(({ way, glass }) => way === 'adapter' && glass.autofocus),
  judge: ({ part, adapter, contacts, share }) => {
    const key = part.id
    const names = { lens: part.name, adapter: adapter?.name ?? '' }
    return contacts
      ? { group: 'silent', message: 'joined', names, key, station: 'glass' }
      : { group: 'speaks', message: 'dead', names, key, station: 'glass', numbers: { share } }
  },
  aims: ({ part }, facts) => {
    const camera = facts.assembly.placed[0]?.part
    const known = camera ? adaptersFor(camera, part, facts.context.catalogue, facts.context.owned) : []
    const joined = known.filter(({ optics }) => optics?.kind === 'adapter' && optics.contacts)
    return [{ do: 'along', choices: joined.map((adapter) => [adapter]) }]
  },
})
