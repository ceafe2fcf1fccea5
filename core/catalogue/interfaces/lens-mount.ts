import type { MountStandard } from '../standard.ts'

/** A bayonet between lens and camera; only the same family locks. */
export const lensMount: MountStandard = {
  id: 'lens-mount',
  title: 'lens mount',
  ends: { holds: 'lens mount', sits: 'lens bayonet' },
  kind: 'bayonet',
  glyph: 'bayonet',
  accepts: ['lens-mount'],
  holdsTwist: true,
  turnStepDeg: 360,
  mayLift: false,
  limitG: 4000,
  tool: 'fingers',
  seconds: 15,
  objections: (camera, lens) =>
    camera.mount.family === lens.mount.family
      ? []
      : [
          {
            code: 'lens-mount-differs',
            path: lens.mount.id,
            names: { holds: camera.mount.family ?? 'unknown', wants: lens.mount.family ?? 'unknown' },
          },
        ],
}
