import type { Assessment } from '../assess/index.ts'

/**
 * Figures that are not there in the numbers of an assessment: each finding's, and the ones every screen shows. Empty
 * when all is well.
 */
export const unfitFigures = (assessment: Assessment): readonly string[] => {
  const { mass, hang, size, cost, setupSeconds, steadiness, findings, facts } = assessment
  const shown: Readonly<Record<string, number | undefined>> = {
    totalG: mass.totalG,
    inHandG: mass.inHandG,
    centreX: mass.centre[0],
    centreY: mass.centre[1],
    centreZ: mass.centre[2],
    tiltDeg: hang?.tiltDeg,
    rollDeg: hang?.rollDeg,
    tallMm: size.tallMm,
    wideMm: size.wideMm,
    longMm: size.longMm,
    low: cost.low,
    usual: cost.usual,
    high: cost.high,
    setupSeconds,
    pitch: steadiness?.pitch,
    yaw: steadiness?.yaw,
    roll: steadiness?.roll,
    chance: facts.chance.within,
    totalMinor: facts.bill.totalMinor,
  }
  return [
    ...Object.entries(shown)
      .filter(([, value]) => value !== undefined && !Number.isFinite(value))
      .map(([name, value]) => `${name} = ${String(value)}`),
    ...findings.flatMap(({ check, numbers }) =>
      Object.entries(numbers)
        .filter(([, value]) => !Number.isFinite(value))
        .map(([name, value]) => `${check}: ${name} = ${String(value)}`),
    ),
  ]
}
