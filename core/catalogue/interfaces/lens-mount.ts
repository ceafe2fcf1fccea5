import { exceeds } from '../../kernel/index.ts'
import type { MountStandard } from '../standard.ts'

/** Beyond this a lens no longer reaches infinity, or its scale lies. mm */
const FLANGE_MM = 0.1

/** A bayonet between lens and camera; only the same family locks. */
export const lensMount: MountStandard = {
  id: 'lens-mount',
  title: 'lens mount',
  ends: { holds: 'lens mount', sits: 'lens bayonet' },
  kind: 'bayonet',
  glyph: 'bayonet',
  fields: ['family', 'flangeMm'],
  accepts: ['lens-mount'],
  holdsTwist: true,
  turnStepDeg: 360,
  mayLift: false,
  limitG: 4000,
  tool: 'fingers',
  seconds: 15,
  objections: (camera, lens) => {
    if (camera.mount.family !== lens.mount.family)
      return [
        {
          code: 'lens-mount-differs',
          path: lens.mount.id,
          names: { holds: camera.mount.family ?? 'unknown', wants: lens.mount.family ?? 'unknown' },
        },
      ]
    const [holdsMm, wantsMm] = [camera.mount.flangeMm, lens.mount.flangeMm]
    return holdsMm === undefined || wantsMm === undefined || !exceeds(Math.abs(holdsMm - wantsMm), FLANGE_MM)
      ? []
      : [{ code: 'flange-differs', path: lens.mount.id, numbers: { holdsMm, wantsMm } }]
  },
}
