import { demoParts } from '@zucchini/demo/catalogue'
import type { Part } from '../../catalogue/index.ts'
import type { Point2 } from '../../kernel/index.ts'
import type { Ink } from '../form.ts'
import { figureOf } from '../index.ts'

const named = (id: string): Part => {
  const part = demoParts.find((one) => one.id === id)
  if (!part) throw new Error(`no part ${id}`)
  return part
}
const faces = (part: Part) => figureOf(part).flatMap((form) => [form?.x, form?.y, form?.z])
const inks = (part: Part): readonly Ink[] =>
  faces(part).flatMap((face) => [...(face?.on ?? []), ...(face?.plus ?? []), ...(face?.minus ?? [])])
const said = (part: Part) =>
  inks(part)
    .flatMap((ink) => ink.said ?? [])
    .map(({ text }) => text)
/** How far out an outline reaches at a height. */
const outAt = (outline: readonly Point2[], v: number): number =>
  Math.max(
    ...outline.map(([u0, v0], i) => {
      const [u1, v1] = outline[(i + 1) % outline.length] ?? [u0, v0]
      if (v < Math.min(v0, v1) || v > Math.max(v0, v1)) return 0
      return v0 === v1 ? Math.max(Math.abs(u0), Math.abs(u1)) : Math.abs(u0 + ((v - v0) / (v1 - v0)) * (u1 - u0))
    }),
  )

test('a fluid head has a waist above its drum, and is as wide as its solid where it tilts', () => {
  // A drum of 38 mm, 62 high, its axis pointing down: its foot is at +31.
  const body = figureOf(named('gourdwell-head-4'))[1]?.z?.outline ?? []
  expect(outAt(body, 31 - 62 * 0.15)).toBeCloseTo(38 * 0.92, 6)
  expect(outAt(body, 31 - 62 * 0.33)).toBeCloseTo(38 * 0.62, 6)
  expect(outAt(body, 31 - 62 * 0.7)).toBeCloseTo(38, 6)
})

test('a ball head narrows to its neck at the top', () => {
  const ball = demoParts.find(({ role, solids }) => role === 'head' && solids.every(({ kind }) => kind === 'cylinder'))
  if (!ball) throw new Error('there is a ball head')
  const [, form] = figureOf(ball)
  const [, solid] = ball.solids
  if (solid?.kind !== 'cylinder') throw new Error('its body is round')
  const outline = form?.z?.outline ?? []
  const up = solid.axis[1]
  expect(outAt(outline, -up * 0.3 * solid.length)).toBeCloseTo(solid.radius, 6)
  expect(outAt(outline, up * 0.46 * solid.length)).toBeLessThan(solid.radius * 0.4)
})

test('small cases tell what they are: a running time, rising bars, an arrow, a knob for each inlet', () => {
  expect(said(named('papyr-timecode'))).toEqual(['01:00:00:00'])
  const bars = inks(demoParts.find(({ role }) => role === 'transmitter') as Part).filter(({ look }) => look === 'hole')
  const tall = bars.map(({ outline = [] }) => (outline[2]?.[1] ?? 0) - (outline[0]?.[1] ?? 0))
  expect(tall).toEqual([...tall].sort((a, b) => a - b))
  expect(tall.length).toBe(5)
  for (const part of demoParts.filter(({ role }) => role === 'preamp')) {
    const inlets = (part.sockets ?? []).filter(
      ({ carries, direction }) => carries?.includes('sound') && direction !== 'out',
    ).length
    expect([part.id, inks(part).filter(({ look }) => look === 'knob').length]).toEqual([
      part.id,
      Math.max(2, Math.min(6, inlets)),
    ])
  }
  expect(inks({ ...named('papyr-timecode'), role: 'converter' }).flatMap((ink) => ink.said ?? [])).toEqual([])
})

test('a tether hangs by a cord, a strap is broad', () => {
  const [, cord] = figureOf(demoParts.find(({ role }) => role === 'tether') as Part)
  const [, band] = figureOf(demoParts.find(({ role }) => role === 'strap') as Part)
  const wide = (outline: readonly Point2[] | undefined) => Math.max(...(outline ?? []).map(([u]) => u)) * 2
  expect(wide(cord?.x?.outline)).toBe(5)
  expect(band?.x?.outline).toBeUndefined()
})

test('the small holes of a cage keep 8 mm off its mounts and away from its windows; other plates have none', () => {
  const cage = named('reedsmith-full-h1')
  let holes = 0
  figureOf(cage).forEach((form, i) => {
    const solid = cage.solids[i]
    if (solid?.kind !== 'box') return
    for (const [name, u, v] of [
      ['x', 2, 1],
      ['y', 0, 2],
      ['z', 0, 1],
    ] as const) {
      const row = (form?.[name]?.on ?? []).filter(({ look, outline }) => look === 'line' && outline)
      if (row.length === 0) continue
      expect(form?.[name]?.holes ?? []).toEqual([])
      for (const { outline = [] } of row) {
        holes++
        const at = [0, 1].map((k) => outline.reduce((sum, p) => sum + (p[k as 0 | 1] ?? 0), 0) / outline.length)
        for (const mount of cage.mounts.filter(({ out }) => Math.abs(out['xyz'.indexOf(name)] ?? 0) > 0.9)) {
          const off = Math.abs((mount.at['xyz'.indexOf(name)] ?? 0) - (solid.centre['xyz'.indexOf(name)] ?? 0))
          if (Math.abs(off - (solid.size['xyz'.indexOf(name)] ?? 0) / 2) > 1.5) continue
          const apart = Math.hypot(
            (mount.at[u] ?? 0) - (solid.centre[u] ?? 0) - (at[0] ?? 0),
            (mount.at[v] ?? 0) - (solid.centre[v] ?? 0) - (at[1] ?? 0),
          )
          expect(apart).toBeGreaterThan(8)
        }
      }
    }
  })
  expect(holes).toBeGreaterThan(20)
  expect(inks({ ...cage, role: 'top-plate' }).filter(({ look, outline }) => look === 'line' && outline)).toEqual([])
})

test('a coiled lead shows its two plugs, as wide to each other as they are', () => {
  const lead = demoParts.find(
    ({ cable }) => cable && [cable.a.connector, cable.b.connector].sort().join() === 'hdmi-a,hdmi-d',
  )
  if (!lead) throw new Error('there is a lead from a large to a micro HDMI plug')
  const [form] = figureOf(lead)
  const bodies = (form?.y?.plus ?? []).filter(({ look }) => look === 'knob').map(({ outline = [] }) => outline)
  const wide = bodies.map((outline) => Math.max(...outline.map(([u]) => u)) - Math.min(...outline.map(([u]) => u)))
  // 20 mm and 13 mm wide, drawn to one scale.
  expect(Math.max(...wide) / Math.min(...wide)).toBeCloseTo(20 / 13, 6)
  expect(figureOf({ ...lead, cable: undefined } as Part)[0]?.y?.plus).toEqual([])
})
