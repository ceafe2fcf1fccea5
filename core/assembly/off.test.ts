import { evaluate } from '../assess/index.ts'
import { on, plug, socket, tinyPart, tinyRig, type TinyRig } from '../testing/index.ts'
import { inBay, link, pack, tank, usbLead, wiredRig } from '../testing/wired.ts'
import { adoptRig, type Command, edit, everywhere, OFF_MM, type Rig, soundnessIssues } from './index.ts'

const done = ({ rig, context }: TinyRig, commands: readonly Command[]): Rig => {
  const edited = edit(rig, commands, context.catalogue)
  if (!edited.ok) throw new Error(JSON.stringify(edited.issues))
  return edited.value
}
const lead = usbLead('usb', { lengthMm: 2000 })
const powered = (more: Parameters<typeof wiredRig>[3] = {}) =>
  wiredRig(
    [pack(), tank(), lead],
    [inBay(), on('tank', 'foot', 'camera', 'hole')],
    [link('usb', 'tank/usb', 'camera/usb')],
    more,
  )
const toBelt: Command = { do: 'stow', setup: 'main', instance: 'tank', at: 'belt' }
const seen = (rig: Rig, { context }: TinyRig) => evaluate(rig, 'main', context)

test('a battery on the belt leaves the hand, feeds on, and half of its lead stays', () => {
  const given = powered()
  // Camera 1000 g, pack 100, tank 100, lead 20: on the belt the tank and half the lead are no longer carried.
  expect(seen(given.rig, given).mass.inHandG).toBe(1220)
  const { mass, facts, assembly } = seen(done(given, [toBelt]), given)
  expect(mass.inHandG).toBe(1110)
  expect(facts.worn.map(({ at, massG }) => [at, massG])).toEqual([['belt', 110]])
  expect(assembly.placed.map(({ instance }) => instance.id)).toEqual(['camera', 'pack'])
  expect(assembly.loose.map(({ instance }) => instance.id)).toEqual(['usb'])
  expect(facts.network.feeds.map(({ from, to }) => `${from} ${to}`)).toContain('tank camera')
})

test('the lead has to reach from the socket to the belt: the way to its place and no more', () => {
  const given = powered()
  const [run] = seen(done(given, [toBelt]), given).facts.leads
  // The camera's underside is 40 mm down, the tank's socket 10 mm up in it: 1130 mm below the camera's own socket at 0.
  expect(run?.to.onRig).toBe(true)
  expect(run?.from.onRig).toBe(false)
  expect(run?.from.at[1]).toBe(-40 - OFF_MM.belt['hand-low'] + 10)
  expect(run?.needMm).toBeGreaterThan(OFF_MM.belt['hand-low'])
  expect(run?.needMm).toBeLessThan(OFF_MM.belt['hand-low'] + 120)
  const short = wiredRig(
    [pack(), tank(), usbLead('usb', { lengthMm: 1000 })],
    [inBay()],
    [link('usb', 'tank/usb', 'camera/usb')],
    { setup: { off: [{ instance: 'tank', at: 'belt' }] } },
  )
  const checks = (rig: TinyRig) => seen(rig.rig, rig).findings.map(({ check }) => check)
  expect(checks(short)).toContain('cable-short')
  expect(checks({ ...given, rig: done(given, [toBelt]) })).not.toContain('cable-short')
})

test('by the sticks a lead to the belt has to be longer, and nothing off the rig makes it taller or runs into it', () => {
  const given = powered()
  const off = seen(done(given, [toBelt, { do: 'change-setup', setup: 'main', support: 'tripod' }]), given)
  expect(off.facts.leads[0]?.from.at[1]).toBe(-40 - 1400 + 10)
  expect(off.size.tallMm).toBe(
    seen(done(given, [{ do: 'take-off', setup: 'main', instance: 'tank' }]), given).size.tallMm,
  )
  expect(off.facts.clashes).toEqual([])
})

const stand = tinyPart({ id: 'stand', mounts: [plug('foot', 'thread-1/4'), socket('top', 'thread-1/4', [0, 20, 0])] })
const cube = tinyPart({ id: 'cube', mounts: [plug('foot', 'thread-1/4'), plug('side', 'thread-1/4')] })
const stacked = (more: Parameters<typeof tinyRig>[2] = {}) =>
  tinyRig([stand, cube], [on('stand', 'foot', 'camera', 'hole'), on('cube', 'foot', 'stand', 'top')], more)

test('what sits on a piece goes along, a brace to the rig does not; put on again it is off no more', () => {
  const given = stacked({ setup: { braces: [on('cube', 'side', 'camera', 'pinned')] } })
  const away = done(given, [{ do: 'stow', setup: 'main', instance: 'stand', at: 'beside' }])
  expect(away.setups[0]?.braces).toEqual([])
  const { assembly } = seen(away, given)
  expect(assembly.off.map(({ piece, at }) => [piece.instance.id, piece.host?.instance.id, at])).toEqual([
    ['stand', undefined, 'beside'],
    ['cube', 'stand', 'beside'],
  ])
  expect(everywhere(assembly)).toHaveLength(3)
  const back = done({ ...given, rig: away }, [
    { do: 'place', setup: 'main', joint: on('stand', 'foot', 'camera', 'hole') },
  ])
  const [was] = given.rig.setups
  expect(back.setups[0]).toEqual({ ...was, braces: [], joints: [...(was?.joints ?? [])].reverse() })
})

test('taken off, discarded or swapped it is off nowhere, and its leads are unplugged', () => {
  const given = powered()
  const away = { ...given, rig: done(given, [toBelt]) }
  for (const command of [
    { do: 'take-off', setup: 'main', instance: 'tank' },
    { do: 'discard', instance: 'tank' },
  ] as const) {
    const [setup] = done(away, [command]).setups
    expect(setup).not.toHaveProperty('off')
    expect(setup?.links).toEqual([])
  }
})

test('nothing is on the rig and off it, off it twice, or off it unknown; a file that says so is mended', () => {
  const given = powered()
  const off = [{ instance: 'tank', at: 'belt' as const }]
  const codes = (list: Rig['setups'][number]['off']) => {
    const rig = { ...given.rig, setups: given.rig.setups.map((setup) => ({ ...setup, off: list })) }
    const adopted = adoptRig(rig, given.context.catalogue)
    expect(adopted.ok && soundnessIssues(adopted.value.rig, adopted.value.catalogue)).toEqual([])
    return soundnessIssues(rig, given.context.catalogue).map(({ code }) => code)
  }
  expect(codes(off)).toEqual(['off-and-on'])
  expect(codes([{ instance: 'camera', at: 'bag' }])).toEqual(['off-and-on'])
  expect(codes([{ instance: 'nothing', at: 'bag' }])).toEqual(['instance-unknown'])
  expect(codes([...off, ...off])).toEqual(['off-twice', 'off-and-on', 'off-and-on'])
  expect(
    edit(given.rig, [{ do: 'stow', setup: 'main', instance: 'camera', at: 'bag' }], given.context.catalogue).ok,
  ).toBe(false)
})
