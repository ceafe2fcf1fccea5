import { flatMap } from '../kernel/index.ts'
import type { Link, Setup } from '../assembly/index.ts'
import type { Finding } from '../checks/index.ts'

/** Both ends of a lead, whichever of them is told first. */
const endsOf = ({ from, to }: Link): string =>
  [from, to]
    .map(({ instance, socket }) => `${instance} ${socket}`)
    .sort()
    .join(' - ')

/** The leads that took another's place between the same two sockets: by the new one the old one. */
export const leadsTaken = (before: Setup, after: Setup): ReadonlyMap<string, string> => {
  const stays = new Set(after.links.map(({ cable }) => cable))
  const gone = new Map(before.links.filter(({ cable }) => !stays.has(cable)).map((link) => [endsOf(link), link.cable]))
  const had = new Set(before.links.map(({ cable }) => cable))
  return new Map(
    flatMap(after.links, (link) => {
      const old = had.has(link.cable) ? undefined : gone.get(endsOf(link))
      return old === undefined ? [] : [[link.cable, old] as const]
    }),
  )
}

/** A finding as it would have been called before: what is said of a new lead was said of the one it replaces. */
export const calledBefore = (finding: Finding, leads: ReadonlyMap<string, string>): Finding => {
  if (leads.size === 0) return finding
  const was = (id: string) => leads.get(id) ?? id
  return { ...finding, key: finding.key.split(' ').map(was).join(' '), parts: finding.parts.map(was) }
}
