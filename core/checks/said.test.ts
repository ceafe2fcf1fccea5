import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { checks } from './index.ts'

/**
 * What practitioners learn the hard way, a sentence each, and where it is said: the rule and its message. Every one
 * speaks over a rig made for it in the rule's own test, beside one that stays just within and is passed over.
 */
const said: readonly (readonly [sentence: string, rule: string, message: string])[] = [
  // Joints.
  ['more twist than the screw’s clamping holds, by the tool and the foot that touches', 'single-screw', 'turns'],
  ['twist that is held at rest and creeps at a brisk step', 'single-screw', 'creeps'],
  ['two screws, and the second finds no hole', 'two-screw-spacing', 'apart'],
  ['a foot held by the springs of its shoe alone, on the run', 'shoe-slides', 'slides'],
  ['a holder by friction, while you move', 'friction-holder', 'loose'],
  ['a suction pad pulled off its face', 'pad-overload', 'peels'],
  ['more than a maker’s rating', 'joint-overload', 'over'],
  ['more than is usual for such a joint, where no maker rates it', 'joint-overload', 'usual'],
  ['a ball or tilt that droops under its load', 'joint-overload', 'droops'],
  ['more than a shoe takes', 'shoe-overload', 'over'],
  ['long rods bend, and steel would do', 'rods-sag', 'bend'],
  ['a clamp on one rod swings', 'rod-single', 'swings'],
  ['rods longer than what is used of them', 'rods-overlong', 'long'],
  ['rods too short for what sits on them', 'rods-short', 'short'],
  ['a second hold that does not reach', 'brace-gap', 'gap'],
  ['a screw longer than its hole is deep', 'screw-too-long', 'long'],
  ['a rail closed at both ends for a clamp that can not open', 'rail-entry', 'shut'],
  ['a dovetail likewise', 'dovetail-entry', 'shut'],
  ['a heavy lens hangs on its mount', 'mount-moment', 'support'],
  ['falls over when put down, and on what it comes to lie', 'stands-crooked', 'falls'],
  // Nowhere to sit, nothing to stand on.
  ['a part that would go on where something is in its way', 'loose-part', 'blocked'],
  ['a part whose place is taken', 'loose-part', 'taken'],
  ['a part that nothing on the rig takes', 'loose-part', 'foreign'],
  ['no sticks, head or gimbal in a set-up that stands on one', 'stand-missing', 'missing'],
  ['no lens in the set-up', 'lens-missing', 'missing'],
  // Leads, plugs, hands and knobs have bodies.
  ['a plug closes the swing of the screen', 'lead-in-room', 'swing'],
  ['a cable lies in a room', 'lead-in-room', 'cable'],
  ['a coil of spare lead lies in a room', 'lead-in-room', 'coil'],
  ['a lead over the hand that holds', 'lead-over-grip', 'over'],
  ['the hand round the camera’s own grip has no room', 'own-grip', 'taken'],
  ['no room for the palm at a handle', 'hand-room', 'pinched'],
  ['a lever or knob that can’t be turned', 'lever-room', 'blocked'],
  ['the same with gloves', 'glove-room', 'blocked'],
  ['a plug and its bend stand into something', 'plug-room', 'angled'],
  ['an angled plug that leaves into the body', 'plug-direction', 'away'],
  ['a record button out of the thumb’s reach', 'trigger-path', 'far'],
  ['a lead that does not reach', 'cable-short', 'short'],
  ['a piece on the belt that no lead joins', 'off-place', 'alone'],
  ['a place on a leg, and no sticks', 'off-place', 'legless'],
  // Views.
  ['a share of the monitor’s picture hidden, and by what', 'view-blocked', 'hidden'],
  ['a monitor that looks away from where the eye is', 'view-blocked', 'away'],
  ['the camera’s own screen covered, and nothing else to look at', 'own-screen', 'hidden'],
  ['the eye does not come to the finder', 'eye-blocked', 'blocked'],
  ['too few nits for open sun', 'screen-dim', 'dim'],
  ['a screen that can’t swing open', 'screen-swing', 'stopped'],
  // The front of the lens.
  ['what sits before a ring that is turned to set it', 'rotating-base', 'ring'],
  ['a box on a front that turns', 'rotating-base', 'box'],
  ['a graduated filter upside down', 'grad-up', 'turned'],
  ['filters in the wrong order', 'filter-order', 'buried'],
  ['a filter that can’t be set in its tray', 'filter-order', 'stuck'],
  ['an adapter between lens and body, its length and contacts', 'lens-mount', 'adapter'],
  ['a filter of another size than the box or thread', 'filter-thread', 'ring'],
  ['stops that no filter of the day holds', 'nd-short', 'bright'],
  ['dark corners from what stands before the lens', 'stack-vignettes', 'short'],
  // A capability is a path.
  ['headphones hear nothing where the operator can plug in', 'no-monitoring-path', 'silent'],
  ['a codec that the path does not give', 'codec-unmet', 'path'],
  ['a picture that no format of the path carries', 'signal-unsupported', 'none'],
  ['a quiet mic into a noisy input', 'weak-preamp', 'hiss'],
  ['timecode that goes nowhere', 'timecode-path', 'nowhere'],
  ['a load that switches off before its battery is empty', 'voltage', 'early'],
  ['too many volts', 'voltage', 'over'],
  ['the day outlasts the batteries', 'runtime-short', 'short'],
  ['the camera without any power', 'unpowered', 'none'],
  ['two leads in one socket', 'socket-twice', 'twice'],
  // Money by use, needs by pose.
  ['a cheaper part that does what this rig uses', 'cheaper-equal', 'cheaper'],
  ['a box whose other parts nobody needs', 'bundle-waste', 'waste'],
  ['the bill without what is bound to come', 'forgotten-cost', 'forgotten'],
  ['a wish that nothing meets', 'need-unmet', 'unmet'],
  ['the same work done twice', 'need-twice', 'twice'],
]

const byId = new Map(checks.map((check) => [check.id, check]))
const testOf = (rule: string): string =>
  readFileSync(join(import.meta.dirname, byId.get(rule)?.family ?? '', `${rule}.test.ts`), 'utf8')

// That every message of a rule is reached by a case, and its limit met by one exactly, is what the tester wants of it.
test.each(said)('%s: %s says "%s"', (_, rule, message) => {
  const { messages } = byId.get(rule) ?? {}
  expect(Object.keys(messages?.speaks ?? {})).toContain(message)
  const text = testOf(rule)
  expect(text).toContain('testCheck(')
  expect(Object.keys(messages?.silent ?? {}).length > 0 || text.includes('near misses stay silent')).toBe(true)
})

test('at least forty-five of them, none twice', () => {
  expect(said.length).toBeGreaterThanOrEqual(45)
  expect(new Set(said.map(([, rule, message]) => `${rule} ${message}`)).size).toBe(said.length)
})
