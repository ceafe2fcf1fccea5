import type { Run } from './runs.ts'

/** When a lead goes in; strip in reverse. */
export const connectStages = ['power', 'sound', 'control', 'picture'] as const
export type ConnectStage = (typeof connectStages)[number]

/** One thing to do when the rig is wired. */
export interface ConnectStep {
  readonly do: 'plug' | 'switch-on'
  readonly stage: ConnectStage
  /** The lead, or the piece that is switched on. */
  readonly run: Run | undefined
  readonly piece: string | undefined
}

const stageOf = ({ cable }: Run): ConnectStage => {
  if (cable.carries.includes('picture')) return 'picture'
  if (cable.carries.includes('power')) return 'power'
  return cable.carries.includes('sound') || cable.carries.includes('timecode') ? 'sound' : 'control'
}

/**
 * The order in which leads go in: power leads, the camera on, what shows its picture on, sound and control, and the
 * picture leads last, so that a difference in charge between two pieces goes through the power leads and not through a
 * picture socket.
 * @param camera the camera; @param screens the pieces that take a picture and are switched on by hand
 */
export const connectOrder = (
  runs: readonly Run[],
  camera: string,
  screens: readonly string[],
): readonly ConnectStep[] => {
  const plugs = (stage: ConnectStage): ConnectStep[] =>
    runs.filter((run) => stageOf(run) === stage).map((run) => ({ do: 'plug', stage, run, piece: undefined }))
  const on = (piece: string): ConnectStep => ({ do: 'switch-on', stage: 'power', run: undefined, piece })
  return [
    ...plugs('power'),
    ...plugs('control'),
    ...plugs('sound'),
    on(camera),
    ...screens.map(on),
    ...plugs('picture'),
  ]
}
