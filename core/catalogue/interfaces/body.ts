import type { MountStandard } from '../standard.ts'

/** The seat of a cage or plate that was shaped for one camera body, or a door family of it. */
export const body: MountStandard = {
  id: 'body',
  title: 'body seat',
  ends: { holds: 'camera body', sits: 'body seat' },
  kind: 'seat',
  glyph: 'seat',
  fields: ['family'],
  accepts: ['body'],
  holdsTwist: false,
  turnStepDeg: 360,
  mayLift: true,
  limitG: 8000,
  goesOn: ['out', 'side', 'up', 'down'],
  closesRound: true,
  tool: 'coin',
  seconds: 40,
  objections: (camera, cage) =>
    cage.part.fits.includes(camera.mount.family ?? '')
      ? []
      : [{ code: 'body-unfit', path: cage.mount.id, names: { camera: camera.part.name, cage: cage.part.name } }],
}
