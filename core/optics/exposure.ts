/** What the camera is set to. */
export interface Setting {
  readonly fNumber: number
  readonly iso: number
  /** Frames in a second, and how long the shutter is open of each, degrees of 360. */
  readonly fps: number
  readonly shutterDeg: number
}

/** Why a setting can't be reckoned with; undefined when it can. */
export const settingTrouble = ({
  fNumber,
  iso,
  fps,
  shutterDeg,
}: Setting): 'f-number' | 'iso' | 'frame-rate' | 'shutter' | undefined => {
  if (!(fNumber > 0)) return 'f-number'
  if (!(iso > 0)) return 'iso'
  if (!(fps > 0)) return 'frame-rate'
  return shutterDeg > 0 && shutterDeg <= 360 ? undefined : 'shutter'
}

const checked = (setting: Setting): void => {
  const trouble = settingTrouble(setting)
  if (trouble) throw new RangeError(`no exposure with this ${trouble}: ${JSON.stringify(setting)}`)
}

/** How long the shutter is open, s: `angle / 360 / fps`. @example 180 degrees at 25 fps: 1/50 s */
export const openSeconds = ({ fps, shutterDeg }: Pick<Setting, 'fps' | 'shutterDeg'>): number => shutterDeg / 360 / fps

/** Exposure value at ISO 100: `log2(N^2 / t)`. @example f/16 at 1/125 s: 14.97 */
export const ev100 = (fNumber: number, seconds: number): number => Math.log2(fNumber ** 2 / seconds)

/**
 * Stops a filter has to take so that a scene is exposed right: `EVscene + log2(ISO / 100) - log2(N^2 / t)`; less than
 * nothing when the scene is too dark. @throws {RangeError} for a setting that can't be (f/0, ISO 0, a shutter over 360
 * degrees).
 * @example sun (15) at f/2.8, ISO 100, 1/50 s: 15 - 8.61 = 6.39 stops
 */
export const ndStops = (sceneAt100: number, setting: Setting): number => {
  checked(setting)
  return sceneAt100 + Math.log2(setting.iso / 100) - ev100(setting.fNumber, openSeconds(setting))
}

/** The f-number that does without a filter; what a closed iris costs. @example sun at ISO 100, 1/50 s: f/25.6 */
export const irisWithout = (sceneAt100: number, setting: Setting): number => {
  checked(setting)
  return Math.sqrt(2 ** (sceneAt100 + Math.log2(setting.iso / 100)) * openSeconds(setting))
}

/** The sensitivity that a scene too dark for its setting wants. @example 2 stops short at ISO 800: 3200 */
export const isoFor = (sceneAt100: number, setting: Setting): number =>
  setting.iso * 2 ** -Math.min(0, ndStops(sceneAt100, setting))
