import { add, lengthOf, scale, subtract, type Vec3 } from '../kernel/index.ts'
import type { Run } from './runs.ts'

/** So much of a lead to somewhere off the rig is drawn beyond its plug's bend. mm */
const TAIL_MM = 60

/** The first so many millimetres of a way. */
const firstOf = (points: readonly Vec3[], mm: number): readonly Vec3[] => {
  let left = mm
  const kept: Vec3[] = points.slice(0, 1)
  for (const [i, to] of points.slice(1).entries()) {
    const from = points[i] ?? to
    const step = lengthOf(subtract(to, from))
    if (step >= left) return [...kept, add(from, scale(subtract(to, from), step === 0 ? 0 : left / step))]
    kept.push(to)
    left -= step
  }
  return kept
}

/**
 * What of a lead is drawn with the rig: all of it, or a tail where its other end is off the rig; nothing where neither
 * end is on it.
 */
export const drawnLead = (
  run: Run,
): Pick<Run, 'points' | 'spareMm'> & { readonly ends: readonly Run['from'][]; readonly offTo?: string } => {
  const ends = [run.from, run.to].filter(({ onRig }) => onRig)
  const [only] = ends
  if (ends.length === 2) return { points: run.points, spareMm: run.spareMm, ends }
  if (!only) return { points: [], spareMm: 0, ends }
  const way = only === run.from ? run.points : [...run.points].reverse()
  const out = lengthOf(subtract(way[1] ?? only.at, only.at))
  const far = only === run.from ? run.to : run.from
  return { points: firstOf(way, out + TAIL_MM), spareMm: 0, ends, offTo: far.piece.part.name }
}
