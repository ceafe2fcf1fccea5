import type { PlacedPart, Point } from '../assembly/index.ts'
import type { Run } from '../cabling/index.ts'
import type { Part } from '../catalogue/index.ts'
import type { Facts } from '../facts/index.ts'
import type { Candidate, Demand } from '../wiring/index.ts'

/** Parts that would do: told by what they are, the readiest first, or named in the order in which they are looked at. */
export type PartsWanted = ((part: Part) => boolean) | Iterable<Part>

/** How far an aim is followed. */
interface Bounds {
  /** So many ways are wanted; one, where nothing is said. */
  readonly most?: number
  /** So many parts are looked at. */
  readonly tried?: number
  /** Is it reached by then? Left out: whatever can be done will do. */
  readonly until?: (after: Facts) => boolean
}

/**
 * A kind of move with its aim, as a rule names it: which piece, which lead, what a part must be like. How it is done, at
 * which point and by which edits, is worked out where moves are made (`core/remedies`), and whether it holds where they
 * are tried (`core/ways-out`).
 */
export type Aim = Bounds &
  (
    | {
        readonly do: 'slide'
        readonly piece: PlacedPart
        /** Where on its travel it should stand, mm. */
        readonly slideMm: number
        /** What is left of the tilt by then, degrees. */
        readonly leavesDeg?: number
        /** It is the rig that slides, on this piece. */
        readonly rig?: boolean
      }
    | { readonly do: 'turn'; readonly piece: PlacedPart; readonly toDeg: readonly number[] }
    | { readonly do: 'move'; readonly piece: PlacedPart; readonly to: (point: Point) => boolean }
    | {
        readonly do: 'swap'
        readonly piece: PlacedPart
        readonly for: PartsWanted
        /** What rides on it along a rail: stays where it is in space, or one of them goes as far ahead as it can. */
        readonly riders?: 'stay' | { readonly ahead: PlacedPart }
      }
    /** One part of the bag for another. */
    | { readonly do: 'exchange'; readonly instance: string; readonly from: Part; readonly part: Part }
    | {
        readonly do: 'add'
        readonly parts: PartsWanted
        /** Only at these points. */
        readonly at?: readonly Point[]
        /** By way of something that makes its place, where there is none. */
        readonly made?: boolean
        /** And a lead is laid through it. */
        readonly holds?: Run
        /** It is put on to hold what is there already. */
        readonly supports?: boolean
      }
    /** Into the bag without being bolted on: filters with their rings, adapters. */
    | { readonly do: 'along'; readonly choices: Iterable<readonly Part[] | undefined> }
    | { readonly do: 'pack'; readonly choices: Iterable<{ readonly part: Part; readonly count: number }> }
    /** One more lens for the day. */
    | { readonly do: 'lens'; readonly part: Part }
    | { readonly do: 'lead'; readonly run: Run; readonly wanted?: (option: Candidate) => boolean }
    | { readonly do: 'join'; readonly demand: Demand }
    /** The same lead in another socket. */
    | { readonly do: 'replug'; readonly run: Run }
    | { readonly do: 'unplug'; readonly run: Run }
    /** A battery in a piece's own seat. */
    | { readonly do: 'battery'; readonly piece: PlacedPart }
    /** A battery on an empty plate of the rig, with the lead that meets the demand then. */
    | { readonly do: 'plate-battery'; readonly demand: Demand }
    | { readonly do: 'saver'; readonly run: Run; readonly end: 'from' | 'to' }
    /** Adapters between the two mounts of a joint. */
    | { readonly do: 'bridge'; readonly piece: PlacedPart }
    | { readonly do: 'unbrace'; readonly guest: PlacedPart; readonly host: PlacedPart }
    | { readonly do: 'take-off'; readonly piece: PlacedPart }
    /** Off the rig and out of the bill, kept in mind. */
    | { readonly do: 'set-aside'; readonly piece: PlacedPart }
    | { readonly do: 'leave-out'; readonly instance: string; readonly part?: Part }
    /** Something between that passes on what is wanted, put on with the lead that the rule then asks for. */
    | { readonly do: 'relay'; readonly through: (part: Part) => boolean }
    /** Several, of which so many are enough. */
    | { readonly do: 'any'; readonly of: readonly Aim[] }
  )

/** The aims of a rule for one finding, with the figures in which it stands. */
export interface Aims {
  readonly facts: Facts
  readonly list: readonly Aim[]
}
