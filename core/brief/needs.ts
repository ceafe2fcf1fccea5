import { capabilities, type Capability, capabilityIds, type Part } from '../catalogue/index.ts'
import { perPair, flatMap } from '../kernel/index.ts'
import type { Brief, Condition, ShootKind } from './brief.ts'

/** Why a shoot asks for something: its kind, a condition, or the operator. */
export interface Need {
  readonly capability: Capability
  readonly because: { readonly from: 'kind' | 'condition' | 'operator'; readonly reason: string }
}

type Wants = Readonly<Partial<Record<Capability, string>>>

const byKind: Readonly<Record<ShootKind, Wants>> = {
  desk: { 'scratch-sound': 'the camera’s own mic hears the room, not you' },
  promo: {
    cage: 'monitor, sound and plate need somewhere to sit',
    'quick-plate': 'from tripod to hand and back all day',
    screen: 'the client wants to see the frame',
    'scratch-sound': 'a guide track to sync by',
    'wireless-sound': 'people talk at arm’s length from the camera',
    nd: 'an open iris outdoors at 1/50 s',
  },
  'run-and-gun': {
    cage: 'a handle and a monitor need firm points',
    'top-handle': 'low, fast carry between takes',
    'side-grip': 'two hands keep a light rig quiet',
    screen: 'low and high angles without kneeling',
    'scratch-sound': 'a usable track when nobody wears a mic',
    nd: 'no time to change the shutter when the sun comes out',
  },
  event: {
    'quick-plate': 'on and off the sticks',
    xlr: 'the desk feed comes on XLR',
    headphones: 'nobody else listens for you',
    'scratch-sound': 'a safety track',
  },
  upright: {
    'top-handle': 'a hold when the camera is turned',
    'side-grip': 'a second hold when the camera is turned',
    screen: 'the camera’s own screen lies on its side',
  },
  narrative: {
    cage: 'rods, matte box and focus hang on it',
    'quick-plate': 'moves between supports',
    screen: 'focus is pulled by eye',
    nd: 'the iris is a choice, not an accident',
    xlr: 'the recordist sends a feed',
    headphones: 'sound is checked at the camera',
  },
  gimbal: { 'quick-plate': 'balance stays set when the camera comes off', stabiliser: 'that is the day' },
}

const byCondition: Readonly<Record<Condition, Wants>> = {
  sun: {
    'sun-view': 'a dim screen is a mirror in low sun',
    nd: 'water in sun is eight stops too bright for an open iris',
  },
  spray: {},
  cold: {},
  dark: {},
  wind: { 'wind-cover': 'moving air rumbles on a bare mic' },
  running: { 'top-handle': 'one safe hold while moving' },
  interviews: {
    'wireless-sound': 'voices need a mic on the person',
    headphones: 'a rustling shirt is heard only on headphones',
    'quick-plate': 'the interview stands on the tripod',
  },
  flight: {},
  overhead: { tether: 'over people or water a second hold must catch what lets go' },
}

/**
 * What this shoot asks for, each once, in the order of the work; the operator's wishes have the last word. The same
 * shoot asks for the very same needs.
 * @example a desk shoot with nothing else gives only `scratch-sound`
 */
export const needsOf = ({ kind, conditions, wishes }: Brief): readonly Need[] => {
  const kinds = asked(conditions, wishes)
  const known = kinds.get(kind)
  if (known) return known
  const needs = madeNeeds(kind, conditions, wishes)
  kinds.set(kind, needs)
  return needs
}
const asked = perPair(
  'needs',
  (_: Brief['conditions'], __: Brief['wishes']): Map<ShootKind, readonly Need[]> => new Map(),
)

const madeNeeds = (kind: ShootKind, conditions: Brief['conditions'], wishes: Brief['wishes']): readonly Need[] => {
  const found = new Map<Capability, Need>()
  const note = (wants: Wants, from: 'kind' | 'condition') => {
    for (const [capability, reason] of Object.entries(wants) as [Capability, string][])
      if (!found.has(capability)) found.set(capability, { capability, because: { from, reason } })
  }
  note(byKind[kind], 'kind')
  for (const condition of conditions) note(byCondition[condition], 'condition')
  return flatMap(capabilityIds, (capability): Need[] => {
    const wish = wishes[capability]
    if (wish === 'skip') return []
    const need = found.get(capability)
    if (need) return [need]
    return wish === 'want' ? [{ capability, because: { from: 'operator', reason: 'you asked for it' } }] : []
  })
}

/** The needs that none of these parts meets: what the camera lacks, when given the camera alone. */
export const unmet = (needs: readonly Need[], parts: readonly Part[]): readonly Need[] => {
  const given = new Set(flatMap(parts, (part) => part.provides))
  return needs.filter((need) => !given.has(need.capability))
}

export const stationOfNeed = (need: Need) => capabilities[need.capability].station
