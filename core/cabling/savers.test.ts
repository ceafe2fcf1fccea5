import { adoptRig, type Rig, soundnessIssues } from '../assembly/index.ts'
import type { Coupler, Part } from '../catalogue/index.ts'
import { evaluate } from '../assess/index.ts'
import { leadBodies } from '../clearance/index.ts'
import { on, tinyPart, type TinyRig } from '../testing/index.ts'
import { hdmiLead, link, screen, wiredRig } from '../testing/wired.ts'

const saver = (coupler: Partial<Coupler> = {}, id = 'saver'): Part =>
  tinyPart({
    id,
    role: 'coupler',
    massG: 12,
    coupler: { connector: 'hdmi-a', angle: 'straight', longMm: 40, ...coupler },
  })
const shown = (part: Part, couplers: { from?: string; to?: string } = { from: 'saver' }): TinyRig =>
  wiredRig(
    [screen(), hdmiLead(), part],
    [on('screen', 'foot', 'camera', 'pinned')],
    [{ ...link('hdmi', 'camera/hdmi', 'screen/in'), couplers }],
  )
const seen = ({ rig, context }: TinyRig) => evaluate(rig, 'main', context)
const run = (tiny: TinyRig) => {
  const [only] = seen(tiny).facts.leads
  if (!only) throw new Error('a lead')
  return only
}

test('a straight port saver puts the plug its length further out of the same socket', () => {
  // The camera's HDMI is at (-50, -25, 20) and looks left.
  const [bare, saved] = [run(shown(saver(), {})), run(shown(saver()))]
  expect(bare.from.at).toEqual([-50, -25, 20])
  expect(saved.from.at).toEqual([-90, -25, 20])
  expect(saved.from.roomMm).toBe(bare.from.roomMm + 40)
  expect(saved.from.socket.id).toBe('hdmi')
  expect(saved.from.fits).toBe(true)
})

test('an angled one lies flat against the body and leads the plug along it', () => {
  const { from } = run(shown(saver({ angle: 'down' })))
  // Half of a flat plug, 6 mm, out of the body, then 40 mm down.
  expect(from.at).toEqual([-56, -65, 20])
  expect(from.roomMm).toBe(12)
  // A swivel turns to where the lead goes: the screen stands above.
  expect(run(shown(saver({ angle: 'swivel' }))).from.at).toEqual([-56, 15, 20])
})

test('it weighs on the rig, is no lead of its own, and has a body', () => {
  const [bare, saved] = [seen(shown(saver(), {})), seen(shown(saver()))]
  expect(saved.mass.inHandG - bare.mass.inHandG).toBe(12)
  expect(saved.facts.leads).toHaveLength(1)
  const plugs = (tiny: TinyRig) =>
    leadBodies(run(tiny)).filter(({ what, end }) => what === 'plug' && end?.socket.id === 'hdmi')
  expect(plugs(shown(saver())).length).toBe(plugs(shown(saver(), {})).length + 1)
  expect(plugs(shown(saver({ angle: 'down' }))).length).toBe(plugs(shown(saver(), {})).length + 2)
  expect(saved.findings.filter(({ check }) => check === 'loose-part')).toEqual([])
})

test('a picture heavier than it passes does not get through', () => {
  expect(seen(shown(saver())).facts.pictures[0]?.format).toBe('uhd30')
  expect(seen(shown(saver({ upTo: 'hd60' }))).facts.pictures[0]?.format).toBe('hd60')
})

test('only a port saver that goes in, once, makes a sound rig; a file that says otherwise is mended', () => {
  const issues = (tiny: TinyRig) => soundnessIssues(tiny.rig, tiny.context.catalogue).map(({ code }) => code)
  const mended = ({ rig, context }: TinyRig): Rig | undefined => {
    const adopted = adoptRig(rig, context.catalogue)
    return adopted.ok ? adopted.value.rig : undefined
  }
  const cases: readonly (readonly [TinyRig, string])[] = [
    [shown(saver({ connector: 'usb-c' })), 'coupler-unfit'],
    [shown(tinyPart({ id: 'saver' })), 'coupler-unknown'],
    [shown(saver(), { from: 'saver', to: 'saver' }), 'coupler-twice'],
  ]
  for (const [tiny, code] of cases) {
    expect(issues(tiny)).toEqual([code])
    expect(soundnessIssues(mended(tiny) ?? tiny.rig, tiny.context.catalogue)).toEqual([])
  }
  expect(mended(shown(saver({ connector: 'usb-c' })))?.setups[0]?.links[0]).not.toHaveProperty('couplers')
  expect(issues(shown(saver()))).toEqual([])
})
