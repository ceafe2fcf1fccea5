import type { Assembly, Brace, Point } from '../assembly/index.ts'
import type {
  beyondGimbal,
  Grip,
  Ground,
  Hang,
  JointLoad,
  LeadWeight,
  Mass,
  OnPlate,
  Palm,
  Shoulder,
  Stand,
  Steadiness,
  Tip,
  TwoHands,
} from '../balance/index.ts'
import type { AspectId, Need } from '../brief/index.ts'
import type { PicturePath, Run, SoundSource, Worn } from '../cabling/index.ts'
import type { Part } from '../catalogue/index.ts'
import type {
  Clash,
  CloseFit,
  Crowd,
  Entry,
  Intruder,
  Invasion,
  LeadIntrusion,
  PlugRoom,
  Sight,
  Size,
  Watched,
} from '../clearance/index.ts'
import type { Jams } from '../build-order/index.ts'
import type { Context } from '../context/index.ts'
import type { Recording } from '../media/index.ts'
import type { Bill, Chance, Cost } from '../money/index.ts'
import type { Clean, Drive, EconomyWay, Front, LensFit, LightPlan, Sensor, SupportReach } from '../optics/index.ts'
import type { Bays, DayPlan, Network, RunDown, Spare } from '../power/index.ts'
import type { Demand } from '../wiring/index.ts'

/** A picture that is delivered, and the part of the sensor it uses. */
export interface Delivered {
  readonly aspect: AspectId
  readonly picture: Sensor
}

/** The ways to neutral density for the whole lens kit, variable or fixed. */
export interface Economy {
  readonly effect: 'variable-nd' | 'nd'
  readonly ways: readonly EconomyWay[]
}

/** Every figure of a set-up, by its name. How each is worked out, and from which others, stands in its family's file. */
export interface Figures {
  readonly points: readonly Point[]

  readonly cables: ReadonlyMap<string, Part>
  readonly leads: readonly Run[]
  readonly demands: readonly Demand[]
  readonly pictures: readonly PicturePath[]
  readonly sounds: readonly SoundSource[]
  readonly recordings: readonly Recording[]

  readonly mass: Mass
  readonly leadWeights: readonly LeadWeight[]
  readonly worn: readonly Worn[]
  readonly ground: Ground
  readonly loads: ReadonlyMap<string, JointLoad>
  readonly hangs: readonly Hang[]
  readonly hang: Hang | undefined
  readonly stand: Stand
  readonly hands: TwoHands | undefined
  readonly grips: readonly Grip[]
  readonly palms: readonly Palm[]
  readonly onPlate: OnPlate | undefined
  readonly gimbal: ReturnType<typeof beyondGimbal>
  readonly shoulder: Shoulder | undefined
  readonly tip: Tip | undefined
  readonly steadiness: Steadiness | undefined

  readonly clashes: readonly Clash[]
  readonly size: Size
  readonly invasions: readonly Invasion[]
  readonly gloved: readonly Invasion[]
  readonly closeFits: readonly CloseFit[]
  readonly screens: readonly Watched[]
  readonly ownScreen: Watched | undefined
  readonly leadIntrusions: readonly LeadIntrusion<Run>[]
  readonly plugs: readonly PlugRoom[]
  readonly entries: readonly Entry[]
  readonly crowds: readonly Crowd[]
  readonly sight: Sight | undefined
  readonly inShot: readonly Intruder[]
  readonly jams: Jams

  readonly network: Network
  readonly spares: readonly Spare[]
  readonly bays: readonly Bays[]
  readonly runDown: RunDown
  readonly day: DayPlan

  readonly front: Front | undefined
  readonly deliveries: readonly Delivered[]
  readonly picture: Sensor | undefined
  readonly clean: Clean | undefined
  readonly lensKit: readonly LensFit[]
  readonly light: LightPlan
  readonly economy: readonly Economy[]
  readonly supports: readonly SupportReach[]
  readonly drives: readonly Drive[]

  readonly cost: Cost
  readonly bill: Bill
  readonly chance: Chance
  /** What the brief asks for, whichever set-up serves it. */
  readonly asked: ReadonlySet<string>
  readonly needs: readonly Need[]
  readonly unmet: readonly Need[]
}

export type FactName = keyof Figures

/** One placed set-up, what surrounds it, and its figures. */
export type Facts = { readonly assembly: Assembly; readonly context: Context } & Figures

/** A set-up with some of its figures: what a rule or a figure sees is what it needs and nothing else. */
export type Sees<N extends FactName = never> = Pick<Facts, 'assembly' | 'context' | N>

/** Two mounts of a brace meet when they stand no farther apart than this: a washer, a turn of the screw. mm */
export const BRACE_MM = 3

/** Does a second hold really hold? */
export const isFirm = ({ mate, gapMm }: Brace): boolean => mate.ok && gapMm <= BRACE_MM
