import type { Assessment } from '@zucchini/core/assess'
import type { Assembly, PlacedPart, Point } from '@zucchini/core/assembly'
import { drawnLead, type Run } from '@zucchini/core/cabling'
import { inHand } from '@zucchini/core/balance'
import { roomPoses } from '@zucchini/core/clearance'
import { figureOf, hungPoints } from '@zucchini/core/drawing'
import { cross, direction, lengthOf, type Placed, point, unit, type Vec3 } from '@zucchini/core/kernel'
import {
  BoxGeometry,
  BufferAttribute,
  BufferGeometry,
  CatmullRomCurve3,
  Color,
  CylinderGeometry,
  EdgesGeometry,
  Group,
  InstancedMesh,
  Line,
  LineBasicMaterial,
  LineDashedMaterial,
  LineSegments,
  type Material,
  Matrix4,
  Mesh,
  MeshBasicMaterial,
  MeshLambertMaterial,
  type Object3D,
  SphereGeometry,
  type Texture,
  TubeGeometry,
  Vector3,
} from 'three'
import { mergeGeometries } from 'three/addons/utils/BufferGeometryUtils.js'
import { bodyOf } from './bodies.ts'
import { onFacesOf } from './faces.ts'

/** Colours of the turntable, read from the page so that both themes hold. */
export interface Palette {
  readonly look: (look: string) => string
  readonly ink: string
  readonly leaf: string
  readonly brick: string
  readonly amber: string
}

export const paletteOf = (element: Element): Palette => {
  const style = getComputedStyle(element)
  const read = (name: string) => style.getPropertyValue(name).trim() || '#888888'
  return {
    look: (look) => read(`--d-${look}`),
    ink: read('--ink'),
    leaf: read('--leaf'),
    brick: read('--brick'),
    amber: read('--amber'),
  }
}

const ROUND = 36
const EDGE_DEG = 28

const at = (v: Vec3): Vector3 => new Vector3(v[0], v[1], v[2])

/**
 * Where a unit shape of three has to go to become a placed one: a unit box, or a cylinder of radius and height 1 along
 * y.
 */
export const matrixOf = (shape: Placed): Matrix4 => {
  const m = new Matrix4()
  if (shape.kind === 'box') {
    const [x, y, z] = shape.edges.map((edge) => at(edge).multiplyScalar(2)) as [Vector3, Vector3, Vector3]
    return m.makeBasis(x, y, z).setPosition(at(shape.centre))
  }
  const axis = unit(shape.half)
  const side = unit(cross(axis, Math.abs(axis[0]) < 0.9 ? [1, 0, 0] : [0, 1, 0]))
  const other = cross(side, axis)
  return m
    .makeBasis(
      at(side).multiplyScalar(shape.radius),
      at(axis).multiplyScalar(2 * lengthOf(shape.half)),
      at(other).multiplyScalar(shape.radius),
    )
    .setPosition(at(shape.centre))
}

const box = new BoxGeometry(1, 1, 1)
const round = new CylinderGeometry(1, 1, 1, ROUND)

/** A geometry whose every corner has one colour, without an index: such can be put together into one. */
const coloured = (geometry: BufferGeometry, colour: string): BufferGeometry => {
  const plain = geometry.index ? geometry.toNonIndexed() : geometry
  const { r, g, b } = new Color(colour)
  const count = plain.getAttribute('position').count
  const values = new Float32Array(count * 3)
  for (let i = 0; i < count; i++) values.set([r, g, b], i * 3)
  plain.setAttribute('color', new BufferAttribute(values, 3))
  plain.deleteAttribute('uv')
  return plain
}

/** A body stands a hair behind its edges, or they would be dotted. */
const BEHIND = { polygonOffset: true, polygonOffsetFactor: 1, polygonOffsetUnits: 1 } as const

/** A piece in two draws: its bodies with what lies on their faces, and the edges of all that. */
const pieceMeshes = (piece: PlacedPart, palette: Palette, tone: string): readonly (Mesh | LineSegments)[] => {
  const bodies = piece.solids.map((placed, i) => ({
    geometry: bodyOf(piece, placed, i),
    colour: palette.look(figureOf(piece.part)[i]?.look ?? placed.solid.look ?? 'plain'),
  }))
  const faces = piece.solids.map((placed, i) => onFacesOf(piece, placed, i))
  const drawn = faces.flatMap(({ shapes }) =>
    shapes.map(({ geometry, look }) => ({ geometry, colour: palette.look(look) })),
  )
  const edges = mergeGeometries([
    ...bodies.map(({ geometry }) => new EdgesGeometry(geometry, EDGE_DEG)),
    ...faces.map(({ lines }) => new BufferGeometry().setFromPoints([...lines])).filter(hasPoints),
  ])
  const body = mergeGeometries([...bodies, ...drawn].map(({ geometry, colour }) => coloured(geometry, colour)))
  const mesh = new Mesh(body, new MeshLambertMaterial({ vertexColors: true, ...BEHIND }))
  mesh.userData['instance'] = piece.instance.id
  return [mesh, new LineSegments(edges, new LineBasicMaterial({ color: tone }))]
}

const hasPoints = (geometry: BufferGeometry): boolean => geometry.getAttribute('position').count > 0

const line = (points: readonly Vec3[], colour: string): Line<BufferGeometry, LineBasicMaterial> =>
  new Line(new BufferGeometry().setFromPoints(points.map(at)), new LineBasicMaterial({ color: colour }))

/**
 * How far a piece stands off when the rig is drawn apart: out along the mount it sits on, and as far as its host does
 * besides.
 */
export const apart = (piece: PlacedPart, byMm: number): Vec3 => {
  let shift: Vec3 = [0, 0, 0]
  for (let p: PlacedPart | undefined = piece; p?.host && p.joint; p = p.host) {
    const way = wayOff(p)
    shift = [shift[0] + way[0] * byMm, shift[1] + way[1] * byMm, shift[2] + way[2] * byMm]
  }
  return shift
}

/** The way a piece comes off its host. */
const wayOff = ({ host, joint, centre }: PlacedPart): Vec3 => {
  const mount = host?.part.mounts.find(({ id }) => id === joint?.hostMount)
  if (host && mount) return direction(host.frame, mount.out)
  return unit([
    centre[0] - (host?.centre[0] ?? 0),
    centre[1] - (host?.centre[1] ?? 0),
    centre[2] - (host?.centre[2] ?? 0),
  ])
}

/** From each piece that is drawn apart a line back to the mount it belongs on. */
const leaders = (assembly: Assembly, palette: Palette, apartMm: number): LineSegments => {
  const ends = assembly.placed.flatMap((piece) => {
    const mount = piece.part.mounts.find(({ id }) => id === piece.joint?.guestMount)
    if (!piece.host || !mount) return []
    const seat = point(piece.frame, mount.at)
    return [at(seat).add(at(apart(piece, apartMm))), at(seat).add(at(apart(piece.host, apartMm)))]
  })
  const lines = new LineSegments(
    new BufferGeometry().setFromPoints(ends),
    new LineDashedMaterial({ color: palette.leaf, dashSize: 3, gapSize: 2.4 }),
  )
  lines.computeLineDistances()
  return lines
}

export interface SceneOptions {
  readonly picked: string
  /** The open point in hand, as `instance/mount`. */
  readonly point: string
  readonly rooms: boolean
  readonly leads: boolean
  readonly apartMm: number
}

const pieceGroup = (piece: PlacedPart, palette: Palette, tone: string, options: SceneOptions): Group => {
  const group = new Group()
  group.add(...pieceMeshes(piece, palette, tone))
  if (options.rooms)
    for (const room of piece.part.rooms)
      for (const { shape } of roomPoses(piece, room)) {
        const geometry = (shape.kind === 'box' ? box : round).clone().applyMatrix4(matrixOf(shape))
        group.add(
          new Mesh(
            geometry,
            new MeshBasicMaterial({ color: palette.amber, transparent: true, opacity: 0.12, depthWrite: false }),
          ),
        )
      }
  group.position.copy(at(apart(piece, options.apartMm)))
  return group
}

const TUBE_STEPS = 64
const TUBE_SIDES = 8

/** A lead as the tube it is, along its way; drawn apart it would lead nowhere, so it stays away then. */
const leadTube = (run: Run, palette: Palette): readonly Mesh[] => {
  const { cable, part, spareMm } = run
  const shown = drawnLead(run)
  if (shown.points.length < 2) return []
  const curve = new CatmullRomCurve3(hungPoints(shown).map(at), false, 'catmullrom', 0.12)
  const mesh = new Mesh(
    new TubeGeometry(curve, TUBE_STEPS, cable.thickMm / 2, TUBE_SIDES),
    new MeshLambertMaterial({
      color: spareMm < 0 ? palette.brick : cable.carries.includes('power') ? palette.leaf : palette.look('knob'),
    }),
  )
  mesh.userData['lead'] = part.name
  return [mesh]
}

const POINT_MM = 3.4
const PICKED_POINT_MM = 5.5

/** The open mounting points as small balls a little off the skin, in one draw; they can be picked like on the elevations. */
const pointMarks = (points: readonly Point[], palette: Palette, options: SceneOptions): InstancedMesh => {
  const marks = new InstancedMesh(new SphereGeometry(1, 14, 10), new MeshBasicMaterial(), points.length)
  points.forEach((point, i) => {
    const inHand = keyOf(point) === options.point
    const size = inHand ? PICKED_POINT_MM : POINT_MM
    const place = at(apart(point.piece, options.apartMm))
      .add(at(point.at))
      .add(at(point.out).multiplyScalar(POINT_MM * 0.6))
    marks.setMatrixAt(i, new Matrix4().makeScale(size, size, size).setPosition(place))
    marks.setColorAt(i, new Color(inHand ? palette.amber : palette.leaf))
  })
  marks.userData['points'] = points.map(keyOf)
  return marks
}
const keyOf = (point: Point): string => `${point.piece.instance.id}/${point.mount.id}`

/** What lies under a place that was pressed on: a piece or an open point. */
export const pickedOf = ({
  object,
  instanceId,
}: {
  readonly object: Object3D
  readonly instanceId?: number | undefined
}): {
  readonly instance?: string
  readonly point?: string
} => {
  const { instance, points } = object.userData as { instance?: string; points?: readonly string[] }
  const point = instanceId === undefined ? undefined : points?.[instanceId]
  return { ...(instance === undefined ? {} : { instance }), ...(point === undefined ? {} : { point }) }
}

/** Everything on the turntable: the placed parts, the centre of mass, the plumb line from the palm. */
export const buildScene = (assessment: Assessment, palette: Palette, options: SceneOptions): Group => {
  const scene = new Group()
  const stopped = new Set(
    assessment.findings.filter(({ level }) => level === 'stop').flatMap(({ parts }) => parts.slice(0, 1)),
  )
  for (const piece of assessment.assembly.placed) {
    const id = piece.instance.id
    scene.add(
      pieceGroup(
        piece,
        palette,
        id === options.picked ? palette.amber : stopped.has(id) ? palette.brick : palette.ink,
        options,
      ),
    )
  }
  if (options.leads && options.apartMm === 0)
    for (const run of assessment.facts.leads) for (const tube of leadTube(run, palette)) scene.add(tube)
  if (options.apartMm > 0) scene.add(leaders(assessment.assembly, palette, options.apartMm))
  scene.add(
    pointMarks(
      assessment.points.filter(({ open }) => open),
      palette,
      options,
    ),
  )
  const centre = new Mesh(
    new SphereGeometry(6, 20, 14),
    new MeshBasicMaterial({ color: palette.ink, depthTest: false }),
  )
  centre.position.copy(at(assessment.mass.centre))
  centre.renderOrder = 2
  scene.add(centre)
  const { hang } = assessment
  if (hang) {
    const plumb = line([hang.grip, [hang.grip[0], assessment.size.bounds.min[1] - 15, hang.grip[2]]], palette.leaf)
    // Seen through what it hangs behind, as the centre is.
    plumb.material.depthTest = false
    plumb.renderOrder = 2
    scene.add(plumb)
  }
  return scene
}

/** The middle of what is in the hand and how far it reaches, for the camera of the turntable. */
export const middleOf = (assembly: Assembly): { readonly centre: Vector3; readonly radius: number } => {
  const low = new Vector3(Infinity, Infinity, Infinity)
  const high = new Vector3(-Infinity, -Infinity, -Infinity)
  for (const { bounds } of assembly.placed.filter(inHand)) {
    low.min(at(bounds.min))
    high.max(at(bounds.max))
  }
  return { centre: low.clone().add(high).multiplyScalar(0.5), radius: high.distanceTo(low) / 2 }
}

/** Gives back what a scene holds on the graphics card. */
export const dispose = (scene: Group): void => {
  scene.traverse((object) => {
    if (!(object instanceof Mesh || object instanceof Line)) return
    const drawn = object as Mesh<BufferGeometry, Material> | Line<BufferGeometry, Material>
    drawn.geometry.dispose()
    if ('map' in drawn.material) (drawn.material.map as Texture | null)?.dispose()
    drawn.material.dispose()
  })
}
