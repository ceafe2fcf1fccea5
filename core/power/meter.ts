/** A simulated battery meter between a battery and what it feeds. */
export interface Meter {
  readonly seed: number
  /** What is behind it draws so much, W; nothing is plugged in behind it: 0. */
  readonly trueW: number
  readonly volts: number
  readonly seconds: number
}

export interface MeterReading {
  readonly watts: number
  readonly volts: number
  /** The mean since it was plugged in, W; what one writes down. */
  readonly meanW: number
  readonly steady: boolean
}

/** The draw of a device swings by this share as it focuses, writes and cools, over so many seconds. Made up. */
const SWING = 0.08
const SWING_S = 7
/** The mean is worth writing down after so long. */
const STEADY_S = 4
/** Wires and contacts take so much. V for each W */
const SAG_V = 0.01
/** It shows hundredths. */
const rounded = (value: number): number => Math.round(value * 100) / 100

/**
 * What a device of this kind really draws in the simulation: by its name off what its maker states, at most by an
 * eighth, always the same. @param statedW W
 */
export const trueDrawW = (partId: string, statedW: number): number => {
  let hash = 0x811c9dc5
  for (const letter of partId) hash = Math.imul(hash ^ letter.charCodeAt(0), 0x01000193)
  return statedW * (1 + (((hash >>> 8) % 1000) / 999 - 0.5) * 0.25)
}

/** What it shows; the mean of a swing that begins at rest. */
export const meterReadingOf = ({ seed, trueW, volts, seconds }: Meter): MeterReading => {
  const phase = (2 * Math.PI) / SWING_S
  const start = seed % SWING_S
  const at = (second: number) => Math.sin(phase * (second + start))
  // The mean of the sine from plugging in until now, worked out whole.
  const mean = seconds > 0 ? (Math.cos(phase * start) - Math.cos(phase * (seconds + start))) / (phase * seconds) : at(0)
  return {
    watts: rounded(trueW * (1 + SWING * at(seconds))),
    volts: rounded(volts - SAG_V * trueW),
    meanW: rounded(trueW * (1 + SWING * mean)),
    steady: trueW > 0 && seconds >= STEADY_S,
  }
}
