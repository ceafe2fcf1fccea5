import { type Command, edit, placeSetup, pointsOf, type Rig, seatingsAt, newRig } from '@zucchini/core/assembly'
import { bagRoles, type Catalogue, type Mount, type Part, type Room, type Solid } from '@zucchini/core/catalogue'
import { clashWith } from '@zucchini/core/clearance'
import { scale, seeded, type Vec3 } from '@zucchini/core/kernel'
import { demoParts } from '../catalogue/index.ts'

const bigger = (k: number) => {
  const at = (v: Vec3): Vec3 => scale(v, k)
  const size = ([w, h, d]: Vec3): Vec3 => [w * k, h * k, d * k]
  const shape = <S extends Solid | Room['shape']>(s: S): S =>
    s.kind === 'box'
      ? { ...s, centre: at(s.centre), size: size(s.size) }
      : {
          ...s,
          centre: at(s.centre),
          radius: s.radius * k,
          length: s.length * k,
          ...('bore' in s && s.bore !== undefined ? { bore: s.bore * k } : {}),
        }
  return {
    solid: (s: Solid): Solid => shape(s),
    room: (r: Room): Room => ({
      ...r,
      shape: shape(r.shape),
      ...(r.hinge ? { hinge: { ...r.hinge, at: at(r.hinge.at) } } : {}),
    }),
    mount: (m: Mount): Mount => ({ ...m, at: at(m.at) }),
    at,
  }
}

/**
 * A catalogue of so many parts for measuring speed: every one a demo part of another size, mass and price. The same
 * seed gives the same parts.
 */
export const syntheticParts = (count: number, seed: number): readonly Part[] => {
  const random = seeded(seed)
  return Array.from({ length: count }, (_, i): Part => {
    const base = demoParts[Math.floor(random() * demoParts.length)] ?? demoParts[0]
    if (!base) throw new Error('the demo has parts')
    const k = 0.92 + random() * 0.16
    const change = bigger(k)
    const massG = Math.max(1, Math.round(base.massG * k ** 3 * (0.9 + random() * 0.2)))
    const usual = Math.round(base.price.usual * (0.6 + random()))
    const { hinges, sockets, optics, under, needsOneOf, ...plain } = base
    void [hinges, under, needsOneOf]
    return {
      ...plain,
      id: `synthetic-${String(i).padStart(5, '0')}`,
      name: `${base.name} #${i}`.slice(0, 80),
      massG,
      centre: change.at(base.centre),
      solids: base.solids.map(change.solid),
      rooms: base.rooms.map(change.room),
      mounts: base.mounts.map(change.mount),
      grips: base.grips.map((grip) => ({ ...grip, at: change.at(grip.at) })),
      ...(sockets ? { sockets: sockets.map((socket) => ({ ...socket, at: change.at(socket.at) })) } : {}),
      ...(optics?.kind === 'sensor' ? { optics } : {}),
      price: { low: Math.round(usual * 0.85), usual, high: Math.round(usual * 1.2) },
    }
  })
}

/**
 * A rig of so many pieces, put together at random where there is room, for measuring speed. It is sound, not sensible.
 * @returns fewer pieces when the catalogue has nothing more that goes on
 */
export const syntheticRig = (pieces: number, seed: number, catalogue: Catalogue, cameraId: string): Rig => {
  const random = seeded(seed)
  const parts = [...catalogue.parts.values()].filter((part) => part.role !== 'camera' && !bagRoles.has(part.role))
  let rig = newRig(`synthetic-${pieces}`, `Synthetic rig of ${pieces}`, cameraId)
  for (let tries = 0; rig.kit.length < pieces && tries < pieces * 60; tries++) {
    const [setup] = rig.setups
    if (!setup) break
    const assembly = placeSetup(rig, setup, catalogue)
    const open = pointsOf(assembly).filter((point) => point.open)
    const point = open[Math.floor(random() * open.length)]
    const part = parts[Math.floor(random() * parts.length)]
    if (!point || !part) continue
    const instance = { id: `piece-${rig.kit.length}`, partId: part.id, status: 'in' as const }
    const seating = seatingsAt(point, instance, part).find(({ piece }) => clashWith(piece, assembly.placed) === 0)
    if (!seating) continue
    const commands: Command[] = [
      { do: 'add', instance },
      { do: 'place', setup: setup.id, joint: seating.joint },
    ]
    const edited = edit(rig, commands, catalogue)
    if (edited.ok) rig = edited.value
  }
  return rig
}
