import type { BuildPlan, Proof, ToolPlace } from '@zucchini/core/assess'
import type { Kind } from '@zucchini/core/catalogue'
import type { Setting, SheetCheck, SheetStep } from '@zucchini/core/build-order'
import { degrees, fill, millimetres, type Style, volts } from '../../wording.ts'

/** How each sort of joint is made, once the piece is where it comes from. */
const makes: Readonly<Record<Kind, string>> = {
  thread: 'Turn it in by hand until it stands, then tighten.',
  shoe: 'Slide the foot in as far as it goes, then turn the lock down.',
  rail: 'Jaw open, set it on the rail, close the jaw.',
  plate: 'Slide it in until it clicks, then close the lever.',
  seat: 'Set it round the body, all corners flush, then the screw.',
  bayonet: 'Dot to dot, then turn until it clicks.',
  filter: 'Two turns back to find the thread, then in by two fingers.',
  tray: 'Drop the tray in.',
  ring: 'Open the clamp, lay it round the ring, close it.',
  rods: 'Rods through both bores, then the knobs.',
  rosette: 'Teeth together at the angle, then the bolt.',
  battery: 'Push it in until it clicks.',
  pad: 'Wipe the face, press it on for ten seconds.',
  clamp: 'Open it, set it on, close it evenly.',
  gear: 'Teeth in mesh with the least play, then the clamp.',
}

/** What is looked at when it is done; what must not be. */
const looks: Readonly<Record<SheetCheck, string>> = {
  thread: 'Twist it hard by hand: it must not turn.',
  shoe: 'Pull it back: it must not slide out.',
  rail: 'Pull at it: it must not click or creep.',
  plate: 'Lift it by the plate: the pin holds.',
  seat: 'Screen and doors still open; nothing rocks.',
  bayonet: 'Turn it back without the button: it stays.',
  filter: 'It sits flat all round; two fingers free it again.',
  tray: 'It is the right way up and the tray can not rise.',
  ring: 'Focus runs from end to end without a catch.',
  rods: 'Both rods end alike; nothing turns.',
  rosette: 'Lean on it: no tooth slips.',
  battery: 'Pull: it stays. The charge is shown.',
  pad: 'No corner lifts.',
  clamp: 'It closes on metal, not on a ring that turns.',
  gear: 'Focus runs from end to end and the gear stays in mesh.',
  pose: 'It stays where it was set when you let go.',
  hold: 'Now neither of the two turns.',
  lead: 'It hangs in a bow and touches nothing that moves.',
  stand: 'One hand stays on the rig until the lever is shut. It must not slide.',
  off: 'The lead reaches when you stand up straight.',
  balance: 'Let go: it stays wherever you point it.',
}

/** Pictures go through the joint's own sentence; what is turned, set and swung is told after it. */
export const titleOf = (step: SheetStep): string =>
  ({
    join: `${step.name} on ${step.onto}`,
    pose: `Swing ${step.name}`,
    hold: `Hold ${step.name} to ${step.onto}`,
    'plug in': `Plug in ${step.name}`,
    stow: `${step.name}: ${step.onto}`,
    balance: `Balance it on ${step.onto}`,
  })[step.do]

const capital = (words: string): string => `${words.charAt(0).toUpperCase()}${words.slice(1)}`

/** How something is set: on its scale, turned, which way up. */
export const settingWords = (setting: Setting, style: Style): readonly string[] => {
  const set =
    setting.scaleMm === undefined
      ? []
      : [`Scale at ${millimetres(setting.scaleMm, style.units)}, counted from its ${setting.from ?? 'rear'} end.`]
  const turned =
    setting.turnDeg === undefined
      ? []
      : Math.abs(Math.abs(setting.turnDeg) - 180) < 0.5
        ? ['Turned round.']
        : [
            `Turned ${degrees(Math.abs(setting.turnDeg)).replace('.0°', '°')} ${setting.turnDeg > 0 ? 'anticlockwise' : 'clockwise'}.`,
          ]
  const up = setting.up === undefined ? [] : [`Up: ${setting.up}.`]
  const swung = (setting.poses ?? []).map(({ hinge, position }) => `${capital(hinge)}: ${position}.`)
  const laid =
    setting.through === undefined
      ? []
      : [setting.through.length > 0 ? `Through ${setting.through.join(', ')}.` : 'It hangs free.']
  return [...up, ...set, ...turned, ...swung, ...laid]
}

/** From where it comes, how it is joined, and how it is set. */
export const howOf = (step: SheetStep, style: Style): readonly string[] => {
  const { setting, do: kind } = step
  const set = settingWords(setting, style)
  if (kind === 'plug in') return [...voltWords(step), `From ${step.at}.`]
  if (kind === 'stow' || kind === 'pose') return set
  if (kind === 'balance') return [step.timed === 'balance-gimbal' ? ON_GIMBAL : ON_HEAD]
  const make = step.check in makes ? makes[step.check as Kind] : step.check === 'stand' ? STAND : makes.thread
  if (step.inHand) return ['In the hand, before that goes on the rig.', make, ...set]
  const riders = step.riders ?? []
  const together =
    riders.length > 0
      ? [`${riders.map(({ name }) => name).join(' and ')} ${riders.length > 1 ? 'are' : 'is'} on it already.`]
      : []
  const comes = step.side ? [`It comes from ${step.side}.`] : []
  return [...comes, ...together, make, ...set]
}
const ON_GIMBAL =
  'Motors off. Tilt first, lens up and lens level, then roll, then pan; lens, leads and card as they are used.'
const ON_HEAD = 'Drag off, a hand on the handle. Slide the plate until it stays level, then set the drag.'
const STAND = 'Legs spread and levelled first, then the rig on top and the lock.'

/** Voltage and polarity are looked at before anything is plugged. */
const voltWords = ({ volts: span }: SheetStep): readonly string[] => {
  if (!span) return []
  const said = ([min, max]: readonly [number, number]) => (min === max ? volts(max) : `${volts(min)} to ${volts(max)}`)
  return [
    span.takes
      ? `Before plugging: it gives ${said(span.gives)}, the other end takes ${said(span.takes)}. Look at the polarity on both labels.`
      : `Before plugging: it gives ${said(span.gives)}. Look at both labels.`,
  ]
}

export const checkOf = (step: SheetStep): string => looks[step.check]

const proofs: Readonly<Record<Proof['what'], { readonly do: string; readonly expect: string }>> = {
  weigh: { do: 'Put it on a scale.', expect: '{massG:g}, give or take a few.' },
  hang: {
    do: 'Hang it from one finger under {handle}.',
    expect: '{tiltDeg:deg} {way}, {rollDeg:deg} {side}.',
  },
  'turns-over': { do: 'Hang it from {handle}, the other hand below.', expect: 'It wants to turn over: hold on.' },
  flat: { do: 'Stand it on the table.', expect: 'It stands on {part} and does not rock.' },
  swings: { do: 'Open the screen of {part} and turn it.', expect: 'It opens all the way.' },
  'swings-so-far': {
    do: 'Open the screen of {part}.',
    expect: 'It opens to {freeDeg:deg} of {fullDeg:deg}, then meets {by}.',
  },
  door: { do: 'Open every door of {part}.', expect: 'All of them open; cards and battery come out.' },
  'door-shut': { do: 'Open every door of {part}.', expect: 'One meets {by}: know which before you leave.' },
  leads: { do: 'Tug at every plug.', expect: '{count} leads, {held} of them held; none comes out.' },
  shake: { do: 'Shake it, upside down too, over something soft.', expect: 'Nothing clicks, nothing moves.' },
}
export const proofWords = ({ what, numbers, names }: Proof, style: Style) => ({
  do: fill(proofs[what].do, numbers, names, style),
  expect: fill(proofs[what].expect, numbers, names, style),
})

/** What tells a step from the others and from what it was before it was set otherwise. */
export const stepKey = (step: SheetStep): string =>
  step.commands.length > 0 ? JSON.stringify(step.commands.slice(0, 1)) : `${step.do} ${step.instance}`

/** The tools of a sheet with where each is, and how often one is laid down for another. */
export const toolsOf = ({ places, toolChanges }: Pick<BuildPlan, 'places' | 'toolChanges'>) => ({
  lines: places.map((place) => ({
    tool: place.tool,
    where: place.part && place.at !== 'missing' ? `${toolAtWords(place)}: ${place.part.name}` : toolAtWords(place),
    isMissing: place.at === 'missing' || place.at === 'locker',
  })),
  changes:
    toolChanges === 0 ? '' : toolChanges === 1 ? 'the tool changed once' : `the tool changed ${toolChanges} times`,
})
/** The same in one line, for paper. */
export const toolsLine = (plan: Pick<BuildPlan, 'places' | 'toolChanges'>): string => {
  const { lines, changes } = toolsOf(plan)
  const told = lines.map(({ tool, where }) => `${tool} (${where})`)
  return [told.join(', ') || 'no tools', changes].filter(Boolean).join('; ')
}

/** Where a tool is. */
export const toolAtWords = (place: ToolPlace | undefined): string =>
  ({
    rig: 'lives on the rig',
    bag: 'in the bag',
    locker: 'owned, not in the bag',
    pocket: 'in the pocket',
    missing: 'not owned yet',
  })[place?.at ?? 'pocket']
