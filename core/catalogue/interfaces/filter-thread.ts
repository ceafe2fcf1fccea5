import type { MountStandard } from '../standard.ts'

/** The thread on a lens front; only the same diameter goes in. Pitch 0.75 mm. */
export const filterThread: MountStandard = {
  id: 'filter-thread',
  title: 'filter thread',
  ends: { holds: 'filter thread', sits: 'filter ring' },
  kind: 'filter',
  glyph: 'filter',
  accepts: ['filter-thread'],
  holdsTwist: true,
  turnStepDeg: 360,
  mayLift: false,
  limitG: 400,
  tool: 'fingers',
  seconds: 15,
  objections: (lens, filter) =>
    lens.mount.family === filter.mount.family
      ? []
      : [
          {
            code: 'filter-size-differs',
            path: filter.mount.id,
            numbers: { lensMm: Number(lens.mount.family ?? 0), filterMm: Number(filter.mount.family ?? 0) },
          },
        ],
}
