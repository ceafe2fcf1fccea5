import {
  type Assembly,
  type Command,
  edit,
  guestsOf,
  type PlacedPart,
  placeSetup,
  pointsOf,
  type Rig,
  seatingsAt,
  setupOf,
  swapCommands,
  travelOf,
} from '../assembly/index.ts'
import type { Catalogue } from '../catalogue/index.ts'
import type { WayKind } from '../checks/index.ts'
import { seeded } from '../kernel/index.ts'

/** Something done wrong on a rig that was sound, and the kinds of move by which a practitioner puts it right. */
export interface Fault {
  readonly setup: string
  readonly what: string
  /** The piece it was done to. */
  readonly piece: string
  readonly commands: readonly Command[]
  readonly cures: readonly WayKind[]
}

type Maker = (assembly: Assembly, catalogue: Catalogue, pick: <T>(from: readonly T[]) => T | undefined) => Fault[]

const fault = (
  { setup }: Assembly,
  what: string,
  piece: string,
  commands: readonly Command[],
  ...cures: WayKind[]
): Fault[] => [{ setup: setup.id, what, piece, commands, cures }]

/** Pieces that sit on another. */
const seated = ({ placed }: Assembly): readonly PlacedPart[] => placed.filter(({ joint }) => joint)

const slid: Maker = (assembly, _, pick) => {
  const piece = pick(seated(assembly).filter((one) => (travelOf(one)?.maxMm ?? 0) - (travelOf(one)?.minMm ?? 0) >= 20))
  const travel = piece && travelOf(piece)
  if (!piece?.joint || !travel) return []
  const { slideMm } = piece.joint
  const far = slideMm - travel.minMm > travel.maxMm - slideMm ? travel.minMm : travel.maxMm
  return fault(
    assembly,
    'slid to the end of its travel',
    piece.instance.id,
    [{ do: 'set', setup: assembly.setup.id, instance: piece.instance.id, slideMm: far }],
    'slide',
    'move',
  )
}

const turnedRound: Maker = (assembly, _, pick) => {
  const piece = pick(seated(assembly).filter(({ mate }) => mate?.ok && mate.value.turnStepDeg <= 180))
  if (!piece?.joint || !piece.mate?.ok) return []
  const by = piece.mate.value.turnStepDeg <= 90 ? (pick([90, 180, 270]) ?? 90) : 180
  const turnDeg = ((piece.joint.turnDeg + by + 540) % 360) - 180
  return fault(
    assembly,
    `turned by ${by}`,
    piece.instance.id,
    [{ do: 'set', setup: assembly.setup.id, instance: piece.instance.id, turnDeg }],
    'turn',
    'move',
  )
}

const elsewhere: Maker = (assembly, _, pick) => {
  const piece = pick(seated(assembly).filter((one) => !guestsOf(assembly.placed).has(one)))
  if (!piece) return []
  const points = pointsOf(assembly).filter(({ open, piece: host }) => open && host !== piece)
  const seating = pick(points.flatMap((point) => seatingsAt(point, piece.instance, piece.part)))
  if (!seating) return []
  return fault(
    assembly,
    `put on ${seating.joint.host}.${seating.joint.hostMount}`,
    piece.instance.id,
    [{ do: 'place', setup: assembly.setup.id, joint: seating.joint }],
    'move',
    'turn',
    'slide',
  )
}

const unplugged: Maker = (assembly, _, pick) => {
  const link = pick(assembly.setup.links)
  if (!link) return []
  const commands: Command[] = [{ do: 'discard', instance: link.cable }]
  return fault(assembly, 'lead left at home', link.cable, commands, 'lead', 'add')
}

const unequal: Maker = (assembly, catalogue, pick) => {
  const piece = pick(seated(assembly))
  if (!piece) return []
  const other = pick((catalogue.byRole.get(piece.part.role) ?? []).filter(({ id }) => id !== piece.part.id))
  const commands = other && swapCommands(assembly.rig, piece.instance.id, other, catalogue)
  if (!other || commands?.some((command) => command.do === 'take-off')) return []
  return fault(assembly, `taken as ${other.id}`, piece.instance.id, commands ?? [], 'swap', 'lead', 'insert', 'support')
}

const forgotten: Maker = (assembly, _, pick) => {
  const piece = pick(seated(assembly).filter((one) => !guestsOf(assembly.placed).has(one)))
  if (!piece) return []
  return fault(
    assembly,
    'left at home',
    piece.instance.id,
    [{ do: 'discard', instance: piece.instance.id }],
    'add',
    'swap',
    'insert',
    'support',
    'lead',
  )
}

const shut: Maker = (assembly, _, pick) => {
  const choices = assembly.placed.flatMap((piece) =>
    (piece.part.hinges ?? []).flatMap((hinge) =>
      hinge.positions.map((position) => ({ piece, hinge: hinge.id, position: position.id })),
    ),
  )
  const now = (piece: PlacedPart, hinge: string) =>
    assembly.setup.poses.find((pose) => pose.instance === piece.instance.id && pose.hinge === hinge)?.position ??
    piece.part.hinges?.find(({ id }) => id === hinge)?.positions[0]?.id
  const choice = pick(choices.filter(({ piece, hinge, position }) => now(piece, hinge) !== position))
  if (!choice) return []
  const instance = choice.piece.instance.id
  return fault(
    assembly,
    `${choice.hinge} set to ${choice.position}`,
    instance,
    [{ do: 'pose', setup: assembly.setup.id, instance, hinge: choice.hinge, position: choice.position }],
    'pose',
    'turn',
  )
}

const makers: readonly Maker[] = [slid, turnedRound, elsewhere, unplugged, unequal, forgotten, shut]

/** A rig with one to three faults in one of its set-ups. */
export interface Faulty {
  readonly rig: Rig
  readonly setup: string
  readonly faults: readonly Fault[]
}

/** A sound rig spoilt by chance, the same for the same seed. */
export const spoilt = (sound: Rig, catalogue: Catalogue, seed: number): Faulty => {
  const random = seeded(seed)
  const pick = <T>(from: readonly T[]): T | undefined => from[Math.floor(random() * from.length)]
  const { id } = pick(sound.setups) ?? { id: '' }
  const wanted = 1 + Math.floor(random() * 3)
  const faults: Fault[] = []
  let rig = sound
  for (let tries = 0; faults.length < wanted && tries < 40; tries++) {
    const setup = setupOf(rig, id)
    if (!setup) break
    const [one] = pick(makers)?.(placeSetup(rig, setup, catalogue), catalogue, pick) ?? []
    const done = one && edit(rig, one.commands, catalogue)
    if (!one || !done?.ok || faults.some(({ piece }) => piece === one.piece)) continue
    faults.push(one)
    rig = done.value
  }
  return { rig, setup: id, faults }
}
