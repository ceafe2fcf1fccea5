import { pictureFormats } from '../../catalogue/index.ts'
import { defineCheck, noOptions } from '../check.ts'
import type { Sees } from '../../facts/index.ts'
import { formatWords } from '../words.ts'

type Read = 'recordings' | 'pictures'

/** A recording the brief asks for that nothing on the rig can make, as it is wired. */
export const codecUnmet = defineCheck<Sees<Read>, object, Read>({
  id: 'codec-unmet',
  family: 'picture',
  title: 'Not recorded as the brief asks',
  why: 'The grade is planned on it, and the cards come home with something else.',
  level: 'risk',
  source: 'What each recorder states, and for raw the picture that arrives: camera, lead and recorder have to pass it.',
  ...noOptions,
  about: 'electric',
  needs: ['recordings', 'pictures'],
  messages: {
    speaks: {
      path: 'The brief asks for {codec}. {part} could record it, but only {format} arrives there: camera, lead or recorder passes no more.',
      unfed: 'The brief asks for {codec}. {part} could record it, and no picture gets there.',
      none: 'The brief asks for {codec}. Nothing on this set-up records it; it is planned with {planned}.',
    },
    silent: { made: '{part} records {planned}, as the brief asks.' },
    cannotTell: {},
  },
  subjects: (facts) => (facts.assembly.rig.brief.codec && facts.recordings.length > 0 ? [facts] : []),
  judge: ({ assembly, recordings, pictures }) => {
    const { codec: asked } = assembly.rig.brief
    const [first] = recordings
    const maker = recordings.find(({ codec }) => codec.id === asked)
    const planned = (maker ?? first)?.codec.title ?? ''
    if (maker)
      return { group: 'silent', message: 'made', names: { part: maker.piece.part.name, planned, codec: planned } }
    const able = recordings.find(({ piece }) => piece.part.media?.codecs?.some(({ id }) => id === asked))
    const title = able?.piece.part.media?.codecs?.find(({ id }) => id === asked)?.title ?? asked
    const names = { codec: title, planned, part: able?.piece.part.name ?? '', format: '' }
    if (!able || !first)
      return { group: 'speaks', message: 'none', names, parts: first ? [first.piece.instance.id] : [] }
    const path = pictures.find(({ sink }) => sink === able.piece)
    const parts = [able.piece.instance.id]
    const format = path?.format
    return format && pictureFormats.includes(format)
      ? {
          group: 'speaks',
          message: 'path',
          names: { ...names, format: formatWords[format] },
          parts,
          at: able.piece.centre,
        }
      : { group: 'speaks', message: 'unfed', names, parts, at: able.piece.centre }
  },
})
