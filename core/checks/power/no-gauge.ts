import type { Cell } from '../../power/index.ts'
import { defineCheck, noOptions } from '../check.ts'
import type { Sees } from '../../facts/index.ts'

/** Batteries that feed the camera through a plate, a lead or a dummy pack: the body can't read how full they are. */
const blind = ({ network, assembly }: Sees<'network'>): readonly Cell[] => {
  const reach = (id: string): boolean =>
    id === assembly.setup.root || network.feeds.some(({ from, to }) => from === id && reach(to))
  return network.cells.filter(({ id }) =>
    network.feeds.some(
      (feed) => feed.from === id && reach(feed.to) && (feed.link !== undefined || feed.to !== assembly.setup.root),
    ),
  )
}

/** A battery behind the camera that does not show what it holds. */
export const noGauge = defineCheck<Cell, object, 'network'>({
  id: 'no-gauge',
  family: 'power',
  title: 'No gauge on the camera’s battery',
  why: 'The body shows full till it goes dark: through a lead it can not read the battery.',
  level: 'hint',
  source: 'What the battery is stated to have.',
  ...noOptions,
  about: 'electric',
  needs: ['network'],
  messages: {
    speaks: { none: 'No gauge. {part} feeds the camera, and nobody sees it coming.' },
    silent: { gauge: '{part} shows what it holds.' },
    cannotTell: {},
  },
  subjects: blind,
  judge: ({ id, name, gauge }, { assembly }) => {
    const at = assembly.byInstance.get(id)?.centre
    return gauge
      ? { group: 'silent', message: 'gauge', names: { part: name } }
      : { group: 'speaks', message: 'none', names: { part: name }, parts: [id], ...(at ? { at } : {}) }
  },
  aims: ({ id }, { assembly }) => {
    const piece = assembly.byInstance.get(id)
    return piece ? [{ do: 'swap', piece, for: (part) => part.power?.store?.gauge === true }] : []
  },
})
