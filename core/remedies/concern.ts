import { flatMap } from '../kernel/index.ts'
import type { PlacedPart, Point } from '../assembly/index.ts'
import type { Role } from '../catalogue/index.ts'
import type { Run } from '../cabling/index.ts'
import type { Finding, Remedy } from '../checks/index.ts'
import type { Facts } from '../facts/index.ts'

/** What a finding is about, as far as something can be moved, swapped or held there. */
export interface Concern {
  readonly finding: Finding
  /** The seated pieces it names, those farthest from the camera first. */
  readonly named: readonly PlacedPart[]
  /** And what carries them, up to the camera, the nearest first. */
  readonly carriers: readonly PlacedPart[]
  /** The leads it names. */
  readonly leads: readonly Run[]
}

/** A kind of move: what it proposes for a concern, the gentlest first. Nothing of it was tried. */
export type Proposer = (facts: Facts, concern: Concern) => Iterable<Remedy>

/** So many pieces are looked at where none is named. */
const MOST_PIECES = 8

const feeds: ReadonlySet<Role> = new Set(['battery', 'dummy', 'battery-plate'])

const depthOf = (piece: PlacedPart): number => (piece.host ? depthOf(piece.host) + 1 : 0)

export const concernOf = (facts: Facts, finding: Finding): Concern => {
  const { byInstance, placed } = facts.assembly
  const seated = flatMap(finding.parts, (id) => byInstance.get(id) ?? []).filter(({ joint }) => joint)
  // What is said of the whole rig concerns its heaviest pieces first.
  const whole = [...placed].filter(({ joint }) => joint).sort((a, b) => b.part.massG - a.part.massG)
  const named =
    seated.length > 0
      ? [...new Set(seated)].sort((a, b) => depthOf(b) - depthOf(a))
      : finding.parts.length === 0 && finding.family === 'balance'
        ? whole.slice(0, MOST_PIECES)
        : []
  // What is dark may be so because of what sits in its bay.
  if (finding.family === 'power')
    for (const piece of placed)
      if (
        piece.host &&
        finding.parts.includes(piece.host.instance.id) &&
        feeds.has(piece.part.role) &&
        !named.includes(piece)
      )
        named.push(piece)
  const carriers: PlacedPart[] = []
  for (const piece of named)
    for (let host = piece.host; host?.joint; host = host.host)
      if (!named.includes(host) && !carriers.includes(host)) carriers.push(host)
  const leads = facts.leads.filter(({ link }) => finding.parts.includes(link.cable))
  return { finding, named, carriers, leads }
}

/** All that can be moved to help: what is named, then what carries it. */
export const moversOf = ({ named, carriers }: Concern): readonly PlacedPart[] => [...named, ...carriers]

/** Is a point free once a piece has left: open, or closed only by that piece, there or on a mount that shares its place? */
export const freeWithout = (
  { piece: holder, mount, taken, open }: Point,
  { host, joint, instance }: PlacedPart,
): boolean =>
  open ||
  (taken.length > 0 && taken.every((id) => id === instance.id)) ||
  (taken.length === 0 && holder === host && (mount.shares?.includes(joint?.hostMount ?? '') ?? false))
