import type { Issue } from '../kernel/index.ts'
import type { KeySize, Mount, Part, Tool } from './part.ts'

/** One end of a joint: a mount and the part it belongs to. */
export interface MountEnd {
  readonly part: Part
  readonly mount: Mount
}

/** The shapes an open point is drawn with. */
export type Glyph =
  | 'ring'
  | 'ring-pins'
  | 'shoe'
  | 'rail'
  | 'dovetail'
  | 'seat'
  | 'bayonet'
  | 'filter'
  | 'rods'
  | 'rosette'
  | 'wedge'
  | 'studs'
  | 'brick'
  | 'pad'
  | 'gear'

export type Kind =
  | 'thread'
  | 'shoe'
  | 'rail'
  | 'plate'
  | 'seat'
  | 'bayonet'
  | 'filter'
  | 'tray'
  | 'ring'
  | 'rods'
  | 'rosette'
  | 'battery'
  | 'pad'
  | 'clamp'
  | 'gear'

/**
 * What a standard can hold against a socket and a plug of its own kind. Each has its words in every place that tells of
 * it, held by type.
 */
export type ObjectionCode =
  | 'body-unfit'
  | 'clamp-size-differs'
  | 'face-small'
  | 'filter-size-differs'
  | 'flange-differs'
  | 'lens-mount-differs'
  | 'pack-differs'
  | 'rail-too-short'
  | 'ring-size-differs'
  | 'spacing-differs'
  | 'tray-differs'

/** Fields of a mount that mean something for some kinds of mount only. */
export const kindFields = [
  'family',
  'almost',
  'lengthMm',
  'slidesOn',
  'flangeMm',
  'odMm',
  'closesOn',
  'spacingMm',
  'slotMm',
  'faceMm',
] as const satisfies readonly (keyof Mount)[]
export type KindField = (typeof kindFields)[number]

/** Why two mounts do not go together. */
export type MateCode = 'same-gender' | 'standards-differ' | ObjectionCode

/**
 * In which directions of its socket a plug leaves it: straight out of its face, up or down along it, to its sides, or along
 * its rail.
 */
export type Way = 'out' | 'up' | 'down' | 'side' | 'along'

/** A way two parts hold on to each other. Everything particular to it lives in its own file. */
export interface MountStandard {
  readonly id: string
  readonly title: string
  /** What the two ends are called at the bench. */
  readonly ends: { readonly holds: string; readonly sits: string }
  /** What sort of joint it is; checks that care ask for this, never for an id. */
  readonly kind: Kind
  readonly glyph: Glyph
  /** Of what rods go through: where their middles lie beside the mount's own, mm. */
  readonly boresMm?: readonly number[]
  /** What sits by it goes into its host: it is not seen where it stands out nowhere. */
  readonly inside?: boolean
  /** What a mount of this kind says of itself that mounts of other kinds have no use for; ends alike in these are alike. */
  readonly fields: readonly KindField[]
  /** Standards of a plug (`sits`) that this one's socket (`holds`) takes. */
  readonly accepts: readonly string[]
  /** Goes with every other standard, because nothing is known of it. */
  readonly meetsAny?: true
  /** Does the plug of this standard keep the joint from turning by itself? */
  readonly holdsTwist: boolean
  /** The joint can be set every so many degrees; 1 means freely. */
  readonly turnStepDeg: number
  /** May a whole rig hang from it? */
  readonly mayLift: boolean
  /** What it carries when neither part says otherwise, g. */
  readonly limitG?: number
  /** How its plug comes and goes; straight out of the socket's face where nothing is said. */
  readonly goesOn?: readonly Way[]
  /** The one is closed round the other, so neither stands in the other's way. */
  readonly closesRound?: true
  readonly tool: Tool
  /** The usual key for its screw. */
  readonly keySize?: KeySize
  readonly seconds: number
  /** Its family is a diameter in mm, and must be readable as one. */
  readonly sized?: true
  /** Reasons beyond the standard's name why this socket and plug do not go together; empty when they do. */
  readonly objections: (socket: MountEnd, plug: MountEnd) => readonly Issue<ObjectionCode>[]
  /** For joints along a length: which side is the rail, and how much of it the other side takes up, mm. */
  readonly along?: { readonly rail: 'holds' | 'sits'; readonly takesMm: (clamp: MountEnd) => number }
  /** Goes together, but with this fault. */
  readonly fault?: (socket: MountEnd, plug: MountEnd) => string | undefined
}

export const noObjections = (): readonly Issue<ObjectionCode>[] => []
