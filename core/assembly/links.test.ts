import type { Part } from '../catalogue/index.ts'
import { tinyCamera, tinyPart, tinyRig, on, plug } from '../testing/index.ts'
import { type Command, edit, emptySetup, liftRig, rigSchema, soundnessIssues } from './index.ts'

const out = {
  id: 'hdmi',
  connector: 'hdmi-a' as const,
  direction: 'out' as const,
  at: [0, 0, 30] as const,
  out: [0, 0, 1] as const,
}
const screen = tinyPart({
  id: 'screen',
  role: 'monitor',
  mounts: [plug('foot', 'thread-1/4')],
  sockets: [{ ...out, id: 'in', direction: 'in' }],
})
const lead: Part = tinyPart({
  id: 'lead',
  role: 'video-cable',
  cable: {
    a: { connector: 'hdmi-a', angle: 'straight' },
    b: { connector: 'hdmi-a', angle: 'right' },
    lengthMm: 300,
    thickMm: 4,
    carries: ['picture'],
  },
})
const { rig, context } = tinyRig([screen, lead], [on('screen', 'foot', 'camera', 'hole')], {
  extra: [{ ...tinyCamera, sockets: [out] }],
})
const link = {
  cable: 'lead',
  from: { instance: 'camera', socket: 'hdmi' },
  to: { instance: 'screen', socket: 'in' },
  through: [],
}
const wire: Command = { do: 'link', setup: 'main', link }
const links = (...commands: Command[]) => {
  const edited = edit(rig, commands, context.catalogue)
  return edited.ok ? edited.value.setups[0]?.links : edited.issues.map(({ code }) => code)
}

test('a lead joins two sockets, once; it comes off by itself or with what it was plugged into', () => {
  expect(links(wire, wire)).toEqual([link])
  expect(links(wire, { do: 'unlink', setup: 'main', cable: 'lead' })).toEqual([])
  expect(links(wire, { do: 'take-off', setup: 'main', instance: 'screen' })).toEqual([])
  expect(links(wire, { do: 'discard', instance: 'lead' })).toEqual([])
  expect(
    links(wire, { do: 'take-off', setup: 'main', instance: 'screen' }, { do: 'discard', instance: 'screen' }),
  ).toEqual([])
})

test.each<[string, Command, string]>([
  ['a lead that is none', { ...wire, link: { ...link, cable: 'screen' } }, 'cable-unknown'],
  ['a lead nobody has', { ...wire, link: { ...link, cable: 'ghost' } }, 'cable-unknown'],
  [
    'a socket that is not there',
    { ...wire, link: { ...link, to: { instance: 'screen', socket: 'nose' } } },
    'socket-unknown',
  ],
  [
    'a piece that is not there',
    { ...wire, link: { ...link, from: { instance: 'ghost', socket: 'hdmi' } } },
    'socket-unknown',
  ],
])('refused: %s', (_, command, code) => expect(links(command)).toContain(code))

test('one lead in two places is unsound', () => {
  const twice = { ...rig, setups: rig.setups.map((setup) => ({ ...setup, links: [link, link] })) }
  expect(soundnessIssues(twice, context.catalogue).map(({ code }) => code)).toContain('cable-twice')
})

test('a rig of version 2 comes out with nothing wired, and everything else as it was', () => {
  const { links: _, ...before } = { ...emptySetup, orientation: 'upright' as const, capG: 1500 }
  const lifted = rigSchema.safeParse(liftRig({ ...rig, version: 2, setups: [before] }))
  expect(lifted.success && lifted.data.setups).toEqual([{ ...before, links: [] }])
})
