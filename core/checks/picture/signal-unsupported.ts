import type { PicturePath } from '../../cabling/index.ts'
import { pictureFormats } from '../../catalogue/index.ts'
import { defineCheck, noOptions } from '../check.ts'
import { formatWords } from '../words.ts'

/** A picture that something on its way does not take. */
export const signalUnsupported = defineCheck<PicturePath, object, 'pictures'>({
  id: 'signal-unsupported',
  family: 'picture',
  title: 'The picture does not get through as it is',
  why: 'The screen says “no signal”, or the recorder gets less than was paid for.',
  level: 'risk',
  source: 'The formats stated for sockets and leads.',
  ...noOptions,
  about: 'electric',
  needs: ['pictures'],
  messages: {
    speaks: {
      none: 'No picture format in common. {part} and what leads to it do not understand each other.',
      less: 'Less than the camera gives. {part} records {format}, the camera gives {given}; something on the way passes no more.',
    },
    silent: { passes: '{part} gets {format}.', enough: '{part} shows {format}, which is enough for a screen.' },
    cannotTell: {},
  },
  subjects: ({ pictures }) => pictures.filter(({ runs }) => runs.length > 0),
  judge: ({ sink, format, given }) => {
    const words = (value: typeof format) => (value ? formatWords[value] : '')
    const names = { part: sink.part.name, format: words(format), given: words(given) }
    const place = { parts: [sink.instance.id], at: sink.centre }
    if (!format) return { group: 'speaks', message: 'none', names, ...place }
    if (!given || pictureFormats.indexOf(format) >= pictureFormats.indexOf(given))
      return { group: 'silent', message: 'passes', names }
    return sink.part.media?.codecs
      ? { group: 'speaks', message: 'less', level: 'hint', names, ...place }
      : { group: 'silent', message: 'enough', names }
  },
})
