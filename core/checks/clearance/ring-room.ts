import type { Invasion } from '../../clearance/index.ts'
import { dot, point, subtract } from '../../kernel/index.ts'
import type { Drive } from '../../optics/index.ts'
import { roomCheck } from '../room-check.ts'

/** Is what stands in a ring's room the drive that turns this very ring? Its gear then lies over it. */
const turns = ({ piece: drive, toothed }: Drive, { piece, room, by }: Invasion): boolean => {
  const gear = drive.part.mounts.find(({ side, standard }) => side === 'sits' && standard.startsWith('gear'))
  if (by !== drive || !gear || room.shape.kind !== 'cylinder') return false
  if (toothed !== piece && toothed?.host !== piece) return false
  const at = dot(subtract(point(drive.frame, gear.at), point(piece.frame, room.shape.centre)), piece.frame.z)
  return Math.abs(at) <= room.shape.length / 2 + BESIDE_MM
}
/** A gear drives a ring that it overlaps by half its breadth. mm */
const BESIDE_MM = 4

/** A ring on the lens that has to be turned, and can not. */
export const ringRoom = roomCheck({
  id: 'ring-room',
  family: 'clearance',
  title: 'A ring can not be turned',
  why: 'Zoom, focus or the variable ND stays where it is.',
  level: 'risk',
  source: 'Two fingers’ width round each ring in the part’s data.',
  kind: 'turn',
  also: ['drives'],
  among: ({ invasions, drives }) => invasions.filter((one) => !drives.some((drive) => turns(drive, one))),
})
