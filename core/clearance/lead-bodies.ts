import { cableWay, type Coupled, type PlacedPart, plugFrame } from '../assembly/index.ts'
import {
  BEND,
  type Cable,
  type CableEnd,
  connectors,
  FLAT_PLUG_MM,
  HANGS_MM,
  PLUG_ASIDE,
  type Room,
} from '../catalogue/index.ts'
import {
  add,
  type Bounds,
  boundsOf,
  CLASH_MM,
  dot,
  identity,
  lengthOf,
  overlap,
  penetration,
  perPair,
  perThing,
  type Placed,
  placeShape,
  point,
  scale,
  subtract,
  unit,
  type Vec3,
  flatMap,
} from '../kernel/index.ts'
import { sweepOf } from './rooms.ts'

/** One end of a lead as it lies: in which socket, with which plug, and where its cable is free to turn. */
export interface LaidEnd extends Coupled {
  readonly plug: CableEnd
  readonly exit: Vec3
}

/** A lead as it lies on the rig, as far as its bodies go. */
export interface LaidLead {
  readonly from: LaidEnd
  readonly to: LaidEnd
  readonly cable: Cable
  /** Corners of its way, from socket to socket. */
  readonly points: readonly Vec3[]
  readonly spareMm: number
  readonly middle: Vec3
}

/** A body of a lead: a plug with its first bend, the cable on its way, or what of it is coiled up. */
export interface LeadBody {
  readonly what: 'plug' | 'cable' | 'coil'
  readonly end: LaidEnd | undefined
  readonly shape: Placed
  readonly bounds: Bounds
}

/** A port saver as a bar from the piece's own socket to the one it makes of it, round the corner of an angled one. */
const saverOf = (end: LaidEnd): readonly LeadBody[] => {
  const { coupler, piece, socket } = end
  if (!coupler) return []
  const { wideMm, tallMm } = connectors[coupler.own.connector]
  const thick = Math.min(wideMm, tallMm)
  const isStraight = dot(coupler.own.out, socket.out) > 0.5
  const corner = isStraight ? coupler.own.at : add(coupler.own.at, scale(coupler.own.out, FLAT_PLUG_MM / 2))
  const corners = [coupler.own.at, corner, socket.at].map((at) => point(piece.frame, at))
  return flatMap(corners.slice(1), (to, i) => {
    const bar = strand(corners[i] ?? to, to, thick)
    return bar ? [body('plug', bar, end)] : []
  })
}

/** How much of a coil is cable; the rest is air between its turns. */
const FILL = 0.4

const body = (what: LeadBody['what'], shape: Placed, end?: LaidEnd): LeadBody => ({
  what,
  end,
  shape,
  bounds: boundsOf(shape),
})

/** A round cable between two points. */
const strand = (from: Vec3, to: Vec3, thickMm: number): Placed | undefined => {
  const way = subtract(to, from)
  const length = lengthOf(way)
  return length < 1
    ? undefined
    : placeShape(
        { kind: 'cylinder', centre: scale(add(from, to), 0.5), axis: unit(way), radius: thickMm / 2, length },
        identity,
      )
}

/** The plug in its socket: straight out, or flat with its body to the side the cable leaves by. */
const plugOf = (end: LaidEnd, thickMm: number): readonly LeadBody[] => {
  const { bodyMm, wideMm, tallMm } = connectors[end.plug.connector]
  const frame = plugFrame(end)
  if (end.plug.angle === 'straight') {
    const box = placeShape({ kind: 'box', centre: [0, 0, bodyMm / 2], size: [wideMm, tallMm, bodyMm] }, frame)
    const bend = placeShape(
      {
        kind: 'cylinder',
        centre: [0, 0, bodyMm + (BEND * thickMm) / 2],
        axis: [0, 0, 1],
        radius: thickMm / 2,
        length: BEND * thickMm,
      },
      frame,
    )
    return [body('plug', box, end), body('plug', bend, end)]
  }
  const way = cableWay(end, end.plug.angle) ?? unit(subtract(end.exit, frame.at))
  const [across, along] = [dot(way, frame.x), dot(way, frame.y)]
  const longMm = bodyMm * PLUG_ASIDE
  const isAcross = Math.abs(across) >= Math.abs(along)
  const half = (isAcross ? wideMm : tallMm) / 2
  const shift = (Math.sign(isAcross ? across : along) * (longMm - half)) / 2
  return [
    body(
      'plug',
      placeShape(
        {
          kind: 'box',
          centre: isAcross ? [shift, 0, FLAT_PLUG_MM / 2] : [0, shift, FLAT_PLUG_MM / 2],
          size: isAcross ? [longMm + half, tallMm, FLAT_PLUG_MM] : [wideMm, longMm + half, FLAT_PLUG_MM],
        },
        frame,
      ),
      end,
    ),
  ]
}

/** Half across a coil of so much cable, mm: `(3 L d^2 / 16 f)^(1/3)`, a ball. @example 600 mm of 4 mm: 16.5 mm */
export const coilMm = (longMm: number, thickMm: number): number => Math.cbrt((3 * longMm * thickMm ** 2) / (16 * FILL))

/** What a lead takes of the room round the rig. */
export const leadBodies = perThing('bodies of a lead', (lead: LaidLead): readonly LeadBody[] => {
  const { cable, points, spareMm, middle } = lead
  const thick = cable.thickMm
  // The first and the last stretch are the plugs' own.
  const between = points.slice(1, -1)
  const strands = flatMap(between.slice(1), (to, i) => strand(between[i] ?? to, to, thick) ?? []).map((shape) =>
    body('cable', shape),
  )
  const over = cable.coil ? 0 : spareMm
  const radius = coilMm(over, thick)
  const coil =
    over > HANGS_MM
      ? [
          body(
            'coil',
            placeShape({ kind: 'cylinder', centre: middle, axis: [0, 1, 0], radius, length: 2 * radius }, identity),
          ),
        ]
      : []
  const ends = flatMap([lead.from, lead.to], (end) => [...saverOf(end), ...plugOf(end, thick)])
  return [...ends, ...strands, ...coil]
})

/** A lead that lies in a room something wants for itself. */
export interface LeadIntrusion<L extends LaidLead = LaidLead> {
  readonly lead: L
  readonly what: LeadBody['what']
  readonly end: LaidEnd | undefined
  readonly piece: PlacedPart
  readonly room: Room
  readonly index: number
  readonly depthMm: number
  /** For a swing: the last angle that is still free, and the whole of it, degrees. */
  readonly freeDeg: number
  readonly fullDeg: number
}

/** Rooms that a plug or a cable can spoil. */
const KINDS: ReadonlySet<Room['kind']> = new Set(['swing', 'door', 'hand', 'lever', 'turn', 'view'])

const intrusionsOn = perPair('leads in rooms', (lead: LaidLead, piece: PlacedPart): readonly LeadIntrusion[] =>
  flatMap(piece.part.rooms, (room, index): readonly LeadIntrusion[] => {
    if (!KINDS.has(room.kind)) return []
    const { poses, swept } = sweepOf(piece, index, 0)
    const near = leadBodies(lead).filter(({ bounds }) => overlap(bounds, swept, CLASH_MM))
    if (near.length === 0) return []
    for (const [i, pose] of poses.entries()) {
      const met = near
        .map((one) => ({
          one,
          depthMm: overlap(one.bounds, pose.bounds, CLASH_MM) ? penetration(one.shape, pose.shape, CLASH_MM) : 0,
        }))
        .filter(({ depthMm }) => depthMm > CLASH_MM)
        .sort((a, b) => Number(b.one.what === 'plug') - Number(a.one.what === 'plug') || b.depthMm - a.depthMm)
      const [worst] = met
      if (worst)
        return [
          {
            lead,
            what: worst.one.what,
            end: worst.one.end,
            piece,
            room,
            index,
            depthMm: worst.depthMm,
            freeDeg: poses[i - 1]?.deg ?? 0,
            fullDeg: room.hinge?.toDeg ?? 0,
          },
        ]
    }
    return []
  }),
)

/** Every lead that lies in a room of a piece: the first thing of it that is met there. */
export const leadIntrusionsOf = <L extends LaidLead>(
  placed: readonly PlacedPart[],
  leads: readonly L[],
): readonly LeadIntrusion<L>[] => {
  const roomy = placed.filter(({ part }) => part.rooms.length > 0)
  return flatMap(leads, (lead) => flatMap(roomy, (piece) => intrusionsOn(lead, piece) as readonly LeadIntrusion<L>[]))
}

/** How deep the cable, a plug or the coil of a lead reaches into a shape, mm; 0 when it passes by. */
export const leadDepthIn = (shape: Placed, bounds: Bounds, lead: LaidLead): number =>
  leadBodies(lead).reduce(
    (deepest, one) =>
      overlap(one.bounds, bounds, CLASH_MM)
        ? Math.max(
            deepest,
            penetration(one.shape, shape, CLASH_MM, CLASH_MM) > CLASH_MM ? penetration(one.shape, shape) : 0,
          )
        : deepest,
    0,
  )
