import type { Link } from '../../assembly/index.ts'
import { defineCheck, noOptions } from '../check.ts'
import type { Sees } from '../../facts/index.ts'

const runOf = (facts: Sees<'leads'>, link: Link) => facts.leads.find((run) => run.link === link)

/** Power that runs in a ring. */
export const powerLoop = defineCheck<Link, object, 'network' | 'leads'>({
  id: 'power-loop',
  family: 'power',
  title: 'Power runs in a ring',
  why: 'Two batteries push against each other through leads that were not made for it.',
  level: 'stop',
  source: 'The seats and leads of the set-up.',
  ...noOptions,
  about: 'electric',
  needs: ['network', 'leads'],
  messages: {
    speaks: { ring: 'Power in a ring. {cable} feeds {to} from {from}, which {to} feeds itself.' },
    silent: { straight: '{cable} runs one way.' },
    cannotTell: {},
  },
  subjects: ({ assembly, network }) =>
    assembly.setup.links.filter(
      (link) => network.rings.includes(link) || network.feeds.some((feed) => feed.link === link),
    ),
  judge: (link, facts) => {
    const run = runOf(facts, link)
    const key = link.cable
    const names = {
      cable: run?.part.name ?? '',
      from: run?.from.piece.part.name ?? '',
      to: run?.to.piece.part.name ?? '',
    }
    return facts.network.rings.includes(link)
      ? { group: 'speaks', message: 'ring', names, key, parts: [link.cable, link.from.instance, link.to.instance] }
      : { group: 'silent', message: 'straight', names, key }
  },
  aims: (link, facts) => {
    const run = runOf(facts, link)
    return run ? [{ do: 'unplug', run }] : []
  },
})
