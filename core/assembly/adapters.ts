import {
  type Catalogue,
  joiningRoles,
  mate,
  matingKey,
  type MountEnd,
  offeredParts,
  type Part,
} from '../catalogue/index.ts'
import { lengthOf, perThing, subtract, flatMap } from '../kernel/index.ts'
import type { Command } from './commands.ts'
import { freshId, type Joint, type Rig } from './rig.ts'

/** One adapter of a chain: the mount it sits by and the mount it offers. */
export interface ChainLink {
  readonly part: Part
  readonly sitsBy: string
  readonly offers: string
}

export interface Chain {
  readonly links: readonly ChainLink[]
  readonly massG: number
  /** What is not in the locker. */
  readonly priceMinor: number
  /** How far the chain sets the guest off its host, mm. */
  readonly heightMm: number
  /** Joints of the chain that can turn: where it wobbles. */
  readonly loose: number
}

export const LONGEST_CHAIN = 3

/** Pieces lying free in the locker cost nothing. */
const priceOf = (part: Part, owned: ReadonlyMap<string, number>): number =>
  (owned.get(part.id) ?? 0) > 0 ? 0 : part.price.usual

/** So many grams, millimetres, minor units and loose joints weigh as much as each other when chains are compared. */
const WORTH = { massG: 10, heightMm: 5, priceMinor: 100, loose: 0.1 } as const
const burden = (chain: Chain): number =>
  chain.massG / WORTH.massG +
  chain.heightMm / WORTH.heightMm +
  chain.priceMinor / WORTH.priceMinor +
  chain.loose / WORTH.loose

const ids = (chain: Chain): string => chain.links.map((link) => `${link.part.id}/${link.offers}`).join(' ')

/**
 * What can be had without buying comes first, then the least grams, height, money and play together; ids settle the
 * rest.
 */
const byBurden = (a: Chain, b: Chain): number =>
  Number(a.priceMinor > 0) - Number(b.priceMinor > 0) || burden(a) - burden(b) || (ids(a) < ids(b) ? -1 : 1)

/** Of the chains that end alike only the best few can be part of a best chain. */
const KEPT_ALIKE = 3

interface Reach {
  readonly end: MountEnd
  readonly chain: Chain
}

const best = (reached: readonly Reach[]): Reach[] => {
  const alike = new Map<string, Reach[]>()
  for (const one of [...reached].sort((a, b) => byBurden(a.chain, b.chain))) {
    const key = matingKey(one.end)
    const list = alike.get(key) ?? []
    if (list.length < KEPT_ALIKE) alike.set(key, [...list, one])
  }
  return [...alike.values()].flat()
}

/** Every way to set one more adapter on an open end. */
const oneMore = ({ end, chain }: Reach, catalogue: Catalogue, owned: ReadonlyMap<string, number>): Reach[] =>
  flatMap(joiners(catalogue), (part) => {
    if (chain.links.some((link) => link.part === part)) return []
    return flatMap(part.mounts, (by) => {
      const made = mate(end, { part, mount: by })
      if (!made.ok) return []
      return flatMap(part.mounts, (offer): Reach[] => {
        if (offer === by) return []
        return [
          {
            end: { part, mount: offer },
            chain: {
              links: [...chain.links, { part, sitsBy: by.id, offers: offer.id }],
              massG: chain.massG + part.massG,
              priceMinor: chain.priceMinor + priceOf(part, owned),
              heightMm: chain.heightMm + lengthOf(subtract(offer.at, by.at)),
              loose: chain.loose + (made.value.holdsTwist ? 0 : 1),
            },
          },
        ]
      })
    })
  })

/**
 * Adapters that join two ends that do not go together by themselves: the shortest chains only, at most three parts.
 * What the locker has comes first, then the least added grams, height, money and play taken together, then ids, so that
 * the answer is always the same.
 * @returns an empty list when no chain is known.
 */
export const adapterChains = (
  host: MountEnd,
  guest: MountEnd,
  catalogue: Catalogue,
  owned: ReadonlyMap<string, number>,
): readonly Chain[] => {
  let open: readonly Reach[] = [{ end: host, chain: { links: [], massG: 0, priceMinor: 0, heightMm: 0, loose: 0 } }]
  for (let length = 1; length <= LONGEST_CHAIN; length++) {
    const reached = flatMap(open, (one) => oneMore(one, catalogue, owned))
    const found = flatMap(reached, ({ end, chain }) => {
      const last = mate(end, guest)
      return last.ok ? [{ ...chain, loose: chain.loose + (last.value.holdsTwist ? 0 : 1) }] : []
    })
    if (found.length > 0) return found.sort(byBurden)
    open = best(reached)
  }
  return []
}

const joiners = perThing('joiners of a catalogue', (catalogue: Catalogue): readonly Part[] =>
  offeredParts(catalogue).filter((part) => joiningRoles.has(part.role)),
)

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
