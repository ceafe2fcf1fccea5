import type { Assessment } from '@zucchini/core/assess'
import type { Assembly, PlacedPart, Point } from '@zucchini/core/assembly'
import type { Run } from '@zucchini/core/cabling'
import { inHand } from '@zucchini/core/balance'
import { roomPoses } from '@zucchini/core/clearance'
import { cross, lengthOf, type Placed, unit, type Vec3 } from '@zucchini/core/kernel'
import {
  BoxGeometry,
  BufferGeometry,
  CatmullRomCurve3,
  CylinderGeometry,
  EdgesGeometry,
  Group,
  Line,
  LineBasicMaterial,
  LineSegments,
  type Material,
  Matrix4,
  Mesh,
  MeshBasicMaterial,
  MeshLambertMaterial,
  SphereGeometry,
  TubeGeometry,
  Vector3,
} from 'three'

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

const solidMesh = (shape: Placed, colour: string, line: string, instance: string): Group => {
  const geometry = (shape.kind === 'box' ? box : round).clone().applyMatrix4(matrixOf(shape))
  const group = new Group()
  const mesh = new Mesh(geometry, new MeshLambertMaterial({ color: colour }))
  mesh.userData['instance'] = instance
  group.add(mesh, new LineSegments(new EdgesGeometry(geometry, EDGE_DEG), new LineBasicMaterial({ color: line })))
  return group
}

const line = (points: readonly Vec3[], colour: string): Line =>
  new Line(new BufferGeometry().setFromPoints(points.map(at)), new LineBasicMaterial({ color: colour }))

/**
 * How far a piece stands off from the middle when the rig is drawn apart: along its joint, more the farther out it
 * hangs.
 */
export const apart = (piece: PlacedPart, byMm: number): Vec3 => {
  let shift: Vec3 = [0, 0, 0]
  for (let p: PlacedPart | undefined = piece; p?.host && p.joint; p = p.host) {
    const way = unit([p.centre[0] - p.host.centre[0], p.centre[1] - p.host.centre[1], p.centre[2] - p.host.centre[2]])
    shift = [shift[0] + way[0] * byMm, shift[1] + way[1] * byMm, shift[2] + way[2] * byMm]
  }
  return shift
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
  for (const { solid, shape } of piece.solids)
    group.add(solidMesh(shape, palette.look(solid.look ?? 'plain'), tone, piece.instance.id))
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
const leadTube = ({ points, cable, part, spareMm }: Run, palette: Palette): Mesh => {
  const curve = new CatmullRomCurve3(points.map(at), false, 'catmullrom', 0.12)
  const mesh = new Mesh(
    new TubeGeometry(curve, TUBE_STEPS, cable.thickMm / 2, TUBE_SIDES),
    new MeshLambertMaterial({
      color: spareMm < 0 ? palette.brick : cable.carries.includes('power') ? palette.leaf : palette.look('knob'),
    }),
  )
  mesh.userData['lead'] = part.name
  return mesh
}

const POINT_MM = 3.4
const PICKED_POINT_MM = 5.5

/** An open mounting point as a small ball a little off the skin; it can be picked like on the elevations. */
const pointMark = (point: Point, palette: Palette, options: SceneOptions): Mesh => {
  const key = `${point.piece.instance.id}/${point.mount.id}`
  const inHand = key === options.point
  const mark = new Mesh(
    new SphereGeometry(inHand ? PICKED_POINT_MM : POINT_MM, 14, 10),
    new MeshBasicMaterial({ color: inHand ? palette.amber : palette.leaf }),
  )
  mark.userData['point'] = key
  mark.position
    .copy(at(apart(point.piece, options.apartMm)))
    .add(at(point.at))
    .add(at(point.out).multiplyScalar(POINT_MM * 0.6))
  return mark
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
    for (const run of assessment.facts.leads) scene.add(leadTube(run, palette))
  for (const point of assessment.points) if (point.open) scene.add(pointMark(point, palette, options))
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
    drawn.material.dispose()
  })
}
