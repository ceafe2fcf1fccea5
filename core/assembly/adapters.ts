import { type Catalogue, joiningRoles, mate, type MountEnd, type Part } from '../catalogue/index.ts'
import type { Command } from './commands.ts'
import { freshId, type Joint, type Rig } from './rig.ts'

/** One adapter of a chain: the mount it sits by and the mount it offers. */
export interface Link {
  readonly part: Part
  readonly sitsBy: string
  readonly offers: string
}

export interface Chain {
  readonly links: readonly Link[]
  readonly massG: number
  readonly priceMinor: number
}

export const LONGEST_CHAIN = 3

/** Pieces lying free in the locker cost nothing. */
const priceOf = (part: Part, owned: ReadonlyMap<string, number>): number => ((owned.get(part.id) ?? 0) > 0 ? 0 : part.price.usual)

/**
 * Adapters that join two ends that do not go together by themselves: the shortest chains only, at most three parts,
 * in order of what they cost beyond the locker, then grams, then ids, so that the answer is always the same.
 * @returns an empty list when no chain is known.
 */
export const adapterChains = (
  host: MountEnd,
  guest: MountEnd,
  catalogue: Catalogue,
  owned: ReadonlyMap<string, number>,
): readonly Chain[] => {
  let open: { end: MountEnd; links: Link[] }[] = [{ end: host, links: [] }]
  for (let length = 1; length <= LONGEST_CHAIN; length++) {
    const next: typeof open = []
    const found: Chain[] = []
    for (const { end, links } of open)
      for (const part of joiners(catalogue)) {
        if (links.some((link) => link.part === part)) continue
        for (const by of part.mounts) {
          if (!mate(end, { part, mount: by }).ok) continue
          for (const offer of part.mounts) {
            if (offer === by) continue
            const chain = [...links, { part, sitsBy: by.id, offers: offer.id }]
            const end = { part, mount: offer }
            if (mate(end, guest).ok)
              found.push({
                links: chain,
                massG: chain.reduce((sum, link) => sum + link.part.massG, 0),
                priceMinor: chain.reduce((sum, link) => sum + priceOf(link.part, owned), 0),
              })
            else next.push({ end, links: chain })
          }
        }
      }
    if (found.length > 0) return found.sort(byCost)
    open = next
  }
  return []
}

const ids = (chain: Chain): string => chain.links.map((link) => `${link.part.id}/${link.offers}`).join(' ')
const byCost = (a: Chain, b: Chain): number => a.priceMinor - b.priceMinor || a.massG - b.massG || (ids(a) < ids(b) ? -1 : 1)

const joinersKnown = new WeakMap<Catalogue, readonly Part[]>()
const joiners = (catalogue: Catalogue): readonly Part[] => {
  const known = joinersKnown.get(catalogue)
  if (known) return known
  const made = [...catalogue.parts.values()].filter((part) => joiningRoles.has(part.role))
  joinersKnown.set(catalogue, made)
  return made
}

/** The edits that put a chain between a joint's two ends. */
export const chainCommands = (rig: Rig, setup: string, joint: Joint, chain: Chain): readonly Command[] => {
  const commands: Command[] = []
  const made: string[] = []
  let host = { instance: joint.host, mount: joint.hostMount }
  for (const link of chain.links) {
    const id = freshId(rig, link.part.id, made)
    made.push(id)
    commands.push({ do: 'add', instance: { id, partId: link.part.id, status: 'in' } })
    const slideMm = made.length === 1 ? joint.slideMm : 0
    commands.push({
      do: 'place',
      setup,
      joint: { guest: id, guestMount: link.sitsBy, host: host.instance, hostMount: host.mount, slideMm, turnDeg: 0 },
    })
    host = { instance: id, mount: link.offers }
  }
  commands.push({ do: 'place', setup, joint: { ...joint, host: host.instance, hostMount: host.mount, slideMm: 0 } })
  return commands
}
