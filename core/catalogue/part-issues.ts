import { distanceToSeat, dot, exceeds, type Issue, SURFACE_MM, UNIT, flatMap } from '../kernel/index.ts'
import { isStandard, standardOf } from './interfaces/index.ts'
import { diameterOf } from './families.ts'
import type { Part } from './part.ts'
import { isUnknown } from './unknowns.ts'

/** The mount of a pair of rods lies midway between them. mm */
const BETWEEN_RODS_MM = 30

/** An adapter's thickness is stated to the tenth of a millimetre. */
const ADAPTER_MM = 0.1

const repeated = (ids: readonly string[]): string[] => [...new Set(ids.filter((id, i) => ids.indexOf(id) !== i))]

const mountIssues = (part: Part): Issue[] =>
  flatMap(part.mounts, (mount, i): Issue[] => {
    const path = `mounts[${i}]`
    if (!isStandard(mount.standard))
      return [{ code: 'standard-unknown', path: `${path}.standard`, names: { standard: mount.standard } }]
    const issues: Issue[] = []
    if (standardOf(mount.standard).sized && mount.family !== undefined && diameterOf(mount.family) === undefined)
      issues.push({ code: 'no-size', path: `${path}.family`, names: { mount: mount.id, typed: mount.family } })
    if (Math.abs(dot(mount.out, mount.up)) > UNIT)
      issues.push({ code: 'not-square', path: `${path}.up`, names: { mount: mount.id } })
    const offMm = Math.min(...part.solids.map((solid) => distanceToSeat(solid, mount.at)))
    const allowedMm = standardOf(mount.standard).kind === 'rods' ? BETWEEN_RODS_MM : SURFACE_MM
    if (offMm > allowedMm)
      issues.push({
        code: 'off-the-skin',
        path: `${path}.at`,
        names: { mount: mount.id },
        numbers: { offMm, allowedMm },
      })
    for (const other of mount.shares ?? [])
      if (!part.mounts.some(({ id }) => id === other))
        issues.push({ code: 'shares-unknown', path: `${path}.shares`, names: { mount: other } })
    return issues
  })

const hingeIssues = (part: Part): Issue[] =>
  flatMap(part.hinges ?? [], (hinge, i): Issue[] => {
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

const orderIssues = ({ order, mounts }: Part): Issue[] =>
  (order?.joinedBefore ?? [])
    .filter((id) => !mounts.some((mount) => mount.id === id))
    .map((mount) => ({ code: 'order-unknown', path: 'order.joinedBefore', names: { mount } }))

const screenIssues = ({ screen, solids }: Part): Issue[] =>
  screen && screen.solid >= solids.length
    ? [{ code: 'screen-on-nothing', path: 'screen.solid', numbers: { solid: screen.solid, solids: solids.length } }]
    : []

/**
 * An adapter stands a lens off by the difference of the two flange distances, so that only a longer one goes on a
 * shorter.
 */
const adapterIssues = (part: Part): Issue[] => {
  if (part.role !== 'lens-adapter') return []
  const [rear, front] = (['sits', 'holds'] as const).map((side) =>
    part.mounts.find((mount) => mount.side === side && mount.flangeMm !== undefined),
  )
  if (!rear?.flangeMm || !front?.flangeMm) return []
  const wantsMm = front.flangeMm - rear.flangeMm
  const numbers = { lensMm: front.flangeMm, bodyMm: rear.flangeMm }
  if (wantsMm < 0) return [{ code: 'adapter-backwards', path: 'mounts', numbers }]
  const thickMm = Math.abs(rear.at[2] - front.at[2])
  return exceeds(Math.abs(thickMm - wantsMm), ADAPTER_MM)
    ? [{ code: 'adapter-thickness', path: 'mounts', numbers: { ...numbers, thickMm, wantsMm } }]
    : []
}

/**
 * What a part's schema can't see: unknown standards, ids used twice, mounts that hang in the air or lie crooked, hinges
 * that move nothing, orders of points that are not there, lens adapters that can not reach infinity.
 * @returns an empty list for a part that can be placed
 */
export const partIssues = (part: Part): readonly Issue[] => [
  ...repeated(part.mounts.map(({ id }) => id)).map((id) => ({ code: 'id-repeated', path: 'mounts', names: { id } })),
  ...repeated((part.sockets ?? []).map(({ id }) => id)).map((id) => ({
    code: 'id-repeated',
    path: 'sockets',
    names: { id },
  })),
  ...(part.massG === 0 && !isUnknown(part, 'massG') ? [{ code: 'mass-missing', path: 'massG' }] : []),
  ...mountIssues(part),
  ...hingeIssues(part),
  ...orderIssues(part),
  ...screenIssues(part),
  ...adapterIssues(part),
]
