import type { PicturePath } from '../../cabling/index.ts'
import { defineCheck, noOptions } from '../check.ts'
import type { Sees } from '../../facts/index.ts'

/** The first piece on the way of a picture that is dark; undefined when all pass it on. */
const darkOn = ({ runs, sink }: PicturePath, { runDown }: Sees<'runDown'>) =>
  runs.map(({ to }) => to.piece).find((piece) => piece !== sink && runDown.first.dark.has(piece.instance.id))

/** A picture that is led on through something that does not pass it. */
export const chainBroken = defineCheck<PicturePath, object, 'pictures' | 'runDown'>({
  id: 'chain-broken',
  family: 'picture',
  title: 'The picture is lost on the way',
  why: 'One dark piece in the middle and everything behind it is dark.',
  level: 'risk',
  source: 'The leads of the set-up, followed back to the camera.',
  ...noOptions,
  about: 'electric',
  needs: ['pictures', 'runDown'],
  messages: {
    speaks: {
      source: 'No picture at the start of the chain. The leads to {part} begin at {other}, which gets none itself.',
      dark: 'Dark on the way. The picture for {part} goes through {other}, which has no power.',
    },
    silent: { whole: 'The picture gets to {part} from the camera.' },
    cannotTell: {},
  },
  subjects: ({ pictures }) => pictures.filter(({ runs }) => runs.length > 0),
  judge: (path, facts) => {
    const { sink, source } = path
    const dark = darkOn(path, facts)
    const names = { part: sink.part.name, other: dark?.part.name ?? source?.part.name ?? sink.part.name }
    const place = { parts: [sink.instance.id], at: sink.centre }
    if (source?.part.role !== 'camera') return { group: 'speaks', message: 'source', names, ...place }
    return dark ? { group: 'speaks', message: 'dark', names, ...place } : { group: 'silent', message: 'whole', names }
  },
})
