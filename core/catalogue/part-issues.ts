import { distanceToSkin, dot, type Issue, SURFACE_MM, UNIT } from '../kernel/index.ts'
import { isStandard, standardOf } from './interfaces/index.ts'
import type { Part } from './part.ts'

/** The mount of a pair of rods lies midway between them. mm */
const BETWEEN_RODS_MM = 30

const repeated = (ids: readonly string[]): string[] => [...new Set(ids.filter((id, i) => ids.indexOf(id) !== i))]

const mountIssues = (part: Part): Issue[] =>
  part.mounts.flatMap((mount, i): Issue[] => {
    const path = `mounts[${i}]`
    if (!isStandard(mount.standard)) return [{ code: 'standard-unknown', path: `${path}.standard`, names: { standard: mount.standard } }]
    const issues: Issue[] = []
    if (Math.abs(dot(mount.out, mount.up)) > UNIT) issues.push({ code: 'not-square', path: `${path}.up`, names: { mount: mount.id } })
    const offMm = Math.min(...part.solids.map((solid) => distanceToSkin(solid, mount.at)))
    const allowedMm = standardOf(mount.standard).kind === 'rods' ? BETWEEN_RODS_MM : SURFACE_MM
    if (offMm > allowedMm)
      issues.push({ code: 'off-the-skin', path: `${path}.at`, names: { mount: mount.id }, numbers: { offMm, allowedMm } })
    for (const other of mount.shares ?? [])
      if (!part.mounts.some(({ id }) => id === other))
        issues.push({ code: 'shares-unknown', path: `${path}.shares`, names: { mount: other } })
    return issues
  })

const hingeIssues = (part: Part): Issue[] =>
  (part.hinges ?? []).flatMap((hinge, i): Issue[] => {
    const path = `hinges[${i}]`
    return [
      ...hinge.solids
        .filter((n) => n >= part.solids.length)
        .map((n) => ({ code: 'hinge-moves-nothing', path: `${path}.solids`, names: { what: `solid ${n}` } })),
      ...hinge.mounts
        .filter((id) => ![...part.mounts, ...(part.sockets ?? [])].some((own) => own.id === id))
        .map((id) => ({ code: 'hinge-moves-nothing', path: `${path}.mounts`, names: { what: id } })),
    ]
  })

/**
 * What a part's schema can't see: unknown standards, ids used twice, mounts that hang in the air or lie crooked, hinges that move nothing.
 * @returns an empty list for a part that can be placed
 */
export const partIssues = (part: Part): readonly Issue[] => [
  ...repeated(part.mounts.map(({ id }) => id)).map((id) => ({ code: 'id-repeated', path: 'mounts', names: { id } })),
  ...repeated((part.sockets ?? []).map(({ id }) => id)).map((id) => ({ code: 'id-repeated', path: 'sockets', names: { id } })),
  ...mountIssues(part),
  ...hingeIssues(part),
]
