import type { Station } from '../catalogue/index.ts'
import type { Brief, Condition, ShootKind } from './brief.ts'

export type Verdict = 'worth it' | 'if it earns its place' | 'leave out'

/** What a station deserves on this shoot; a starting point the operator may overrule. */
export interface Advice {
  readonly station: Station
  readonly verdict: Verdict
  readonly reason: string
}

const starting: Readonly<Record<ShootKind, Readonly<Partial<Record<Station, readonly [Verdict, string]>>>>> = {
  desk: {
    body: ['if it earns its place', 'a bare body on the tripod is often enough'],
    grip: ['leave out', 'nothing is carried'],
    base: ['leave out', 'rods have nothing to hold here'],
    view: ['if it earns its place', 'the flip screen already faces you'],
    sound: ['worth it', 'voice is the product'],
    power: ['leave out', 'mains is within reach; a brick only adds weight'],
  },
  promo: {
    body: ['worth it', 'cage first, everything else sits on it'],
    base: ['worth it', 'one plate for tripod, slider and hand'],
    grip: ['if it earns its place', 'most of the day is on sticks'],
    glass: ['worth it', 'ND before a faster lens'],
    view: ['worth it', 'client and operator both look'],
    sound: ['worth it', 'interviews stand or fall with it'],
    power: ['if it earns its place', 'light rods only if a brick rides on them'],
  },
  'run-and-gun': {
    body: ['worth it', 'a half cage: warm hand, few grams'],
    base: ['if it earns its place', 'a small plate; no rods'],
    grip: ['worth it', 'a small top handle and one side grip'],
    glass: ['worth it', 'ND; no matte box, no follow focus'],
    view: ['worth it', 'low and close beats tall and far'],
    sound: ['worth it', 'scratch mic and receivers'],
    power: ['if it earns its place', 'spare camera packs weigh less than a brick'],
  },
  event: {
    body: ['if it earns its place', 'only as far as clamps need it'],
    base: ['worth it', 'a plate that matches the head'],
    grip: ['leave out', 'the rig stays on sticks'],
    view: ['worth it', 'hours of watching'],
    sound: ['worth it', 'the desk feed and a safety track'],
    power: ['worth it', 'brick or mains for the long take'],
  },
  upright: {
    body: ['worth it', 'needs a second plate axis'],
    base: ['worth it', 'a plate on the side as well'],
    grip: ['worth it', 'handles above and below the turned camera'],
    glass: ['if it earns its place', 'no tall lens supports'],
    view: ['worth it', 'an upright monitor'],
    sound: ['worth it', 'people talk to the lens'],
  },
  narrative: {
    body: ['worth it', 'full cage'],
    base: ['worth it', 'rods carry the front'],
    grip: ['if it earns its place', 'depends on the shot'],
    glass: ['worth it', 'matte box, follow focus, support'],
    view: ['worth it', 'focus is pulled by eye'],
    sound: ['if it earns its place', 'sound is recorded elsewhere; take a feed'],
    power: ['worth it', 'one brick for all'],
    media: ['worth it', 'a recorder if the body’s own codec is thin'],
  },
  gimbal: {
    body: ['leave out', 'strip the body; a cage is dead weight'],
    base: ['worth it', 'the plate that keeps the balance'],
    grip: ['leave out', 'the gimbal is the grip'],
    glass: ['worth it', 'a light lens'],
    view: ['if it earns its place', 'on the gimbal’s own arm'],
    power: ['leave out', 'no brick on the camera'],
  },
}

const standing: Readonly<Record<Station, readonly [Verdict, string]>> = {
  body: ['worth it', 'everything sits on it'],
  base: ['if it earns its place', 'only what rides on it justifies it'],
  grip: ['if it earns its place', 'depends how it is held'],
  glass: ['worth it', 'the lens kit and ND'],
  view: ['if it earns its place', 'when the camera’s own screen is not enough'],
  sound: ['worth it', 'sound is half the picture'],
  power: ['if it earns its place', 'work out the hours first'],
  media: ['worth it', 'cards for the day and one to spare'],
  cables: ['worth it', 'every link needs its lead'],
  proof: ['worth it', 'balance it on a finger and shake it before you leave'],
}

const changes: Readonly<Partial<Record<Condition, Readonly<Partial<Record<Station, readonly [Verdict, string]>>>>>> = {
  cold: { power: ['worth it', 'packs give about 20 % less at freezing point'] },
  spray: { cables: ['worth it', 'every open socket door lets water in'] },
  interviews: {
    base: ['worth it', 'hand to tripod in seconds'],
    sound: ['worth it', 'a receiver for the person speaking'],
  },
}

/** What each station deserves, in working order. */
export const adviceFor = (brief: Brief): readonly Advice[] =>
  (Object.keys(standing) as Station[]).map((station) => {
    const changed = brief.conditions
      .map((condition) => changes[condition]?.[station])
      .find((entry) => entry !== undefined)
    const [verdict, reason] = changed ?? starting[brief.kind][station] ?? standing[station]
    return { station, verdict, reason }
  })
