import {
  type Assembly,
  cableWay,
  type Coupled,
  coupledAt,
  type Link,
  pathToRoot,
  type PlacedPart,
  socketAt,
  type SocketHere,
} from '../assembly/index.ts'
import {
  BEND,
  type Cable,
  type CableEnd,
  connectors,
  FLAT_PLUG_MM,
  goesIn,
  PLUG_ASIDE,
  type Part,
  type Role,
} from '../catalogue/index.ts'
import {
  add,
  type Bounds,
  direction,
  dot,
  numberOf,
  perKey,
  perThing,
  point,
  scale,
  subtract,
  unit,
  type Vec3,
  flatMap,
} from '../kernel/index.ts'
import { distance, KnownRoutes, type Route } from './route.ts'

/** Slack for each thing between the two ends that moves: a hinge, an arm, a ball joint. mm */
export const LOOP_MM = 60
/** A spring lead reaches this many times its resting length. */
export const COIL_REACH = 3

/** Pieces that are there to be moved. */
const movers: ReadonlySet<Role> = new Set(['arm', 'monitor-mount'])

/** One end of a lead in its socket. */
export interface RunEnd extends Coupled {
  readonly plug: CableEnd
  /** Does this plug go into this socket? */
  readonly fits: boolean
  /** Where the plug sits, and where the cable leaves it. */
  readonly at: Vec3
  readonly exit: Vec3
  /**
   * Angle between the way the cable leaves an angled plug and the way it has to go, degrees; 0 for a swivel, and for a
   * straight plug, whose bend is in its room.
   */
  readonly turnsDeg: number
  /** What the plug and its bend need in front of the socket, mm. */
  readonly roomMm: number
  /** Is this socket on the rig, rather than on something worn or standing beside it? */
  readonly onRig: boolean
}

/** A lead on the placed rig. */
export interface Run {
  readonly link: Link
  readonly part: Part
  readonly cable: Cable
  readonly from: RunEnd
  readonly to: RunEnd
  /** Corners of its way, from socket to socket. */
  readonly points: readonly Vec3[]
  readonly pathMm: number
  /** Slack for what moves between its ends. */
  readonly loopMm: number
  readonly needMm: number
  /** How far the lead reaches; a spring lead more than its length. */
  readonly reachMm: number
  /** What hangs over, mm; less than nothing when it is too short. */
  readonly spareMm: number
  readonly clear: boolean
  /** Where its mass acts on the rig: the middle of its way, or the plug on the rig when the other end is off it. */
  readonly middle: Vec3
  /** The part of its mass that the rig carries: all, half when one end is off the rig, none when both are. */
  readonly onRig: number
  /** The pieces that hold it, and how far each is from either end along the way, mm. */
  readonly held: readonly { readonly piece: PlacedPart; readonly fromMm: number; readonly toMm: number }[]
  /** The lead is taken the wrong way round: its a end is in the `to` socket. */
  readonly flipped: boolean
}

/**
 * Room in front of a socket for a plug at the end of a cable. @example straight HDMI A on 4 mm: 24 + 5 x 4 = 44 mm;
 * angled: 12 mm
 */
export const plugRoomMm = (plug: CableEnd, thickMm: number): number =>
  plug.angle === 'straight' ? connectors[plug.connector].bodyMm + BEND * thickMm : FLAT_PLUG_MM

const socketPoint = ({ piece, socket }: SocketHere): Vec3 => point(piece.frame, socket.at)

/** Where the cable may start to turn. */
const exitOf = (here: SocketHere, plug: CableEnd, thickMm: number, towards: Vec3): Vec3 => {
  const at = socketPoint(here)
  const out = direction(here.piece.frame, here.socket.out)
  if (plug.angle === 'straight') return add(at, scale(out, plugRoomMm(plug, thickMm)))
  const front = add(at, scale(out, FLAT_PLUG_MM / 2))
  const way = cableWay(here, plug.angle) ?? sideways(out, subtract(towards, front))
  return add(front, scale(way, connectors[plug.connector].bodyMm * PLUG_ASIDE))
}

/** The part of a direction that lies across another; the other one itself when nothing does. */
const sideways = (out: Vec3, towards: Vec3): Vec3 => {
  const across = subtract(towards, scale(out, dot(towards, out)))
  return Math.hypot(...across) < 1e-6 ? out : unit(across)
}

const turnOf = (here: SocketHere, plug: CableEnd, exit: Vec3, next: Vec3): number => {
  const way = cableWay(here, plug.angle)
  const go = subtract(next, exit)
  if (!way || plug.angle === 'straight' || Math.hypot(...go) < 1e-6) return 0
  return (Math.acos(Math.min(1, Math.max(-1, dot(way, unit(go))))) * 180) / Math.PI
}

/** How many moving things lie between two pieces. */
export const moversBetween = (a: PlacedPart, b: PlacedPart): readonly PlacedPart[] => {
  const [up, down] = [pathToRoot(a), pathToRoot(b)]
  const between = [...up.filter((piece) => !down.includes(piece)), ...down.filter((piece) => !up.includes(piece))]
  return between.filter(({ part }) => movers.has(part.role))
}

/** Which end of a lead goes where: a converting lead only one way, any other as its plugs fit. */
export const isFlipped = (cable: Cable, from: SocketHere, to: SocketHere): boolean => {
  const straight = goesIn(cable.a.connector, from.socket.connector) && goesIn(cable.b.connector, to.socket.connector)
  const turned = goesIn(cable.b.connector, from.socket.connector) && goesIn(cable.a.connector, to.socket.connector)
  return !straight && turned && !cable.converts
}

/** The hard solids of a piece. */
const wallsOf = perThing('walls of a piece', ({ solids }: PlacedPart): readonly Bounds[] =>
  solids.filter(({ solid }) => solid.matter === 'body').map(({ bounds }) => bounds),
)
/** What a lead has to go round: every hard solid, but those a point of the way lies against. */
const wallsAround = perThing('walls', (placed: Assembly['placed']) => placed.map(wallsOf))

const routesFrom = perThing('routes', (_: PlacedPart) => new KnownRoutes())

const halfway = ({ points, lengthMm }: Route): Vec3 => {
  let left = lengthMm / 2
  for (const [i, to] of points.slice(1).entries()) {
    const from = points[i] ?? to
    const step = distance(from, to)
    if (left <= step) return step === 0 ? from : add(from, scale(subtract(to, from), left / step))
    left -= step
  }
  return points[0] ?? [0, 0, 0]
}

/** A lead with its plugs in two sockets, before its way is known. */
interface Plugged {
  readonly from: Coupled
  readonly to: Coupled
  readonly cable: Cable
  readonly flipped: boolean
  /** Where the lead passes, the exits of both plugs first and last. */
  readonly stops: readonly Vec3[]
}

const pluggedIn = (from: Coupled, to: Coupled, cable: Cable, through: readonly PlacedPart[]): Plugged => {
  const flipped = isFlipped(cable, from, to)
  const [first, last] = flipped ? [cable.b, cable.a] : [cable.a, cable.b]
  const holds = flatMap(through, (piece) =>
    piece.part.holdsCable ? [point(piece.frame, piece.part.holdsCable.at)] : [],
  )
  const fromExit = exitOf(from, first, cable.thickMm, holds[0] ?? socketPoint(to))
  const toExit = exitOf(to, last, cable.thickMm, holds.at(-1) ?? socketPoint(from))
  return { from, to, cable, flipped, stops: [fromExit, ...holds, toExit] }
}

/** The way round all that stands on the rig. */
const routed = (assembly: Assembly, { from, cable, stops }: Plugged): Route => {
  return routesFrom(from.piece).routeOf(stops, wallsAround(assembly.placed), cable.thickMm)
}

/** In front of the piece's own socket: a straight port saver and the plug in it; an angled one lies flat. */
const roomAt = ({ coupler, socket }: Coupled, plugMm: number): number => {
  const saver = coupler?.part.coupler
  if (!saver || !coupler) return plugMm
  return dot(coupler.own.out, socket.out) > 0.5 ? saver.longMm + plugMm : FLAT_PLUG_MM
}

/** The ends of a lead that are on the rig. */
const endsOnRig = ({ off }: Assembly, ends: readonly SocketHere[]): readonly SocketHere[] =>
  ends.filter((end) => !off.some(({ piece }) => piece === end.piece))

const laid = (
  assembly: Assembly,
  { from, to, cable, flipped, stops }: Plugged,
  way: Route,
): Omit<Run, 'link' | 'part' | 'held'> => {
  const [first, last] = flipped ? [cable.b, cable.a] : [cable.a, cable.b]
  const [start, end] = [socketPoint(from), socketPoint(to)]
  const [fromExit, toExit] = [stops[0] ?? start, stops.at(-1) ?? end]
  const points = [start, ...way.points, end]
  const pathMm = distance(start, fromExit) + way.lengthMm + distance(toExit, end)
  const loopMm = LOOP_MM * moversBetween(from.piece, to.piece).length
  const needMm = pathMm + loopMm
  const reachMm = cable.lengthMm * (cable.coil ? COIL_REACH : 1)
  const held = endsOnRig(assembly, [from, to])
  const [only] = held.length === 1 ? held : []
  const endOf = (here: Coupled, plug: CableEnd, at: Vec3, exit: Vec3, next: Vec3): RunEnd => ({
    ...here,
    plug,
    fits: goesIn(plug.connector, here.socket.connector),
    at,
    exit,
    turnsDeg: turnOf(here, plug, exit, next),
    roomMm: roomAt(here, plugRoomMm(plug, cable.thickMm)),
    onRig: held.includes(here),
  })
  return {
    cable,
    from: endOf(from, first, start, fromExit, way.points[1] ?? toExit),
    to: endOf(to, last, end, toExit, way.points.at(-2) ?? fromExit),
    points,
    pathMm,
    loopMm,
    needMm,
    reachMm,
    spareMm: (cable.coil ? Math.max(cable.lengthMm, Math.min(needMm, reachMm)) : reachMm) - needMm,
    clear: way.clear,
    middle: only ? socketPoint(only) : halfway({ points, lengthMm: pathMm, clear: way.clear }),
    onRig: held.length / 2,
    flipped,
  }
}

/** The way of a lead between two sockets of the placed rig, as short as it can lie. */
export const runBetween = (
  assembly: Assembly,
  from: SocketHere,
  to: SocketHere,
  cable: Cable,
  through: readonly PlacedPart[] = [],
): Omit<Run, 'link' | 'part' | 'held'> => {
  const plugged = pluggedIn(from, to, cable, through)
  return laid(assembly, plugged, routed(assembly, plugged))
}

const heldBy = (run: Pick<Run, 'points' | 'pathMm'>, through: readonly PlacedPart[]): Run['held'] =>
  flatMap(through, (piece) => {
    const at = piece.part.holdsCable && point(piece.frame, piece.part.holdsCable.at)
    if (!at) return []
    const until = run.points.findIndex((corner) => distance(corner, at) < 1e-6)
    if (until < 0) return []
    const fromMm = run.points
      .slice(1, until + 1)
      .reduce((sum, corner, i) => sum + distance(run.points[i] ?? corner, corner), 0)
    return [{ piece, fromMm, toMm: run.pathMm - fromMm }]
  })

/** A socket as the lead meets it: with the port saver that stays in it, if there is one. */
const saved = (
  here: SocketHere,
  id: string | undefined,
  parts: ReadonlyMap<string, Part>,
  far: SocketHere,
): Coupled => {
  const part = id === undefined ? undefined : parts.get(id)
  return id !== undefined && part ? coupledAt(here, id, part, socketPoint(far)) : here
}

const pluggedLeads = perKey<Link, Plugged>('leads in their sockets')
/** What each laid lead was before its way was known. */
const pluggedOf = new WeakMap<Run, Plugged>()
const laidLeads = perKey<Link, Run>('leads laid')

/**
 * Every lead of the set-up whose two ends go along, laid out. Links with an end that is not there are left out:
 * see `loose-lead`. A lead that lies as it lay before, between the same pieces, is the same lead.
 * @param cables the parts of the linked cables and port savers, by instance
 */
export const runsOf = (assembly: Assembly, cables: ReadonlyMap<string, Part>): readonly Run[] =>
  flatMap(assembly.setup.links, (link): Run[] => {
    const [own, far, part] = [socketAt(assembly, link.from), socketAt(assembly, link.to), cables.get(link.cable)]
    const cable = part?.cable
    if (!own || !far || !cable) return []
    const [from, to] = [saved(own, link.couplers?.from, cables, far), saved(far, link.couplers?.to, cables, own)]
    const through = flatMap(link.through, (id) => assembly.byInstance.get(id) ?? [])
    const key = [part, from.piece, to.piece, ...through, ...flatMap([from, to], ({ coupler }) => coupler?.part ?? part)]
      .map(numberOf)
      .join()
    const plugged = pluggedLeads(link, key, () => pluggedIn(from, to, cable, through))
    const way = routed(assembly, plugged)
    return [
      laidLeads(link, `${key} ${numberOf(way)}`, () => {
        const lies = laid(assembly, plugged, way)
        const run = { ...lies, link, part, held: heldBy(lies, through) }
        pluggedOf.set(run, plugged)
        return run
      }),
    ]
  })

/**
 * Could a piece that comes or goes change how leads lie? It is an end of one or holds it, or stands in one of the ways that
 * were tried.
 * @param runs the leads as they were laid, among these pieces
 */
export const touchesLeads = (
  piece: PlacedPart,
  links: readonly Link[],
  runs: readonly Run[],
  placed: Assembly['placed'],
): boolean => {
  const { id } = piece.instance
  const holds = ({ from, to, through }: Link): boolean =>
    from.instance === id || to.instance === id || through.includes(id)
  const walls = wallsAround(placed)
  const turnsAside = (run: Run): boolean => {
    const plugged = pluggedOf.get(run)
    if (!plugged) return true
    return !routesFrom(plugged.from.piece).stays(plugged.stops, walls, run.cable.thickMm, wallsOf(piece))
  }
  return links.some(holds) || runs.some(turnsAside)
}
