import type { Assessment } from '@zucchini/core/assess'
import { findingsOfCheck } from '@zucchini/core/checks'
import { degrees, hours, millimetres, type Style } from '../../wording.ts'

export interface HeldScale {
  readonly label: string
  readonly figure: string
  readonly of: string
  readonly share: number
  readonly state: 'good' | 'look' | 'over' | 'none'
}

/**
 * Whether a figure is good is what the check about it says; the limits stand there and nowhere else. That one check is
 * asked and no other: a scale is painted with the edit, all that the rules say comes after.
 */
const graded = ({ strict }: Assessment, check: string): HeldScale['state'] => {
  const levels = findingsOfCheck(strict, check).flatMap((one) => (one.check === check ? [one.level] : []))
  return levels.length === 0 ? 'good' : levels.every((level) => level === 'hint') ? 'look' : 'over'
}

/** The one figure of balance that counts for the way a set-up is held. */
export const heldScale = (assessment: Assessment, style: Style): HeldScale => {
  const { facts, hang, assembly } = assessment
  const mm = (value: number) => millimetres(Math.round(value), style.units)
  const { support } = assembly.setup
  const { onPlate, gimbal, hands, shoulder } = facts
  if (support === 'gimbal' && gimbal) {
    const beyond = Math.max(...gimbal.beyondMm)
    return {
      label: 'Gimbal arms',
      figure: beyond > 0 ? mm(beyond) : 'in reach',
      of: beyond > 0 ? 'too far' : '',
      share: Math.min(2, beyond / 20),
      state: beyond > 0 ? 'over' : 'good',
    }
  }
  if ((support === 'tripod' || support === 'gimbal') && onPlate) {
    const off = onPlate.offMm
    return {
      label: 'Off the plate',
      figure: mm(off),
      of: onPlate.aheadMm > 1 ? 'ahead' : onPlate.aheadMm < -1 ? 'behind' : '',
      share: off / 45,
      state: graded(assessment, 'plate-offset'),
    }
  }
  if (support === 'shoulder' && shoulder) {
    const moment = Math.abs(shoulder.momentNm)
    return {
      label: 'On the pad',
      figure: `${moment.toFixed(2)} N m`,
      of: shoulder.momentNm > 0 ? 'front-heavy' : 'tail-heavy',
      share: moment / 3,
      state: graded(assessment, 'shoulder-front-heavy'),
    }
  }
  const [left, right] = facts.ground.bearings.filter(({ by }) => by === 'hand')
  if ((support === 'two-hand' || support === 'chest') && left && right)
    return {
      label: 'Left and right hand',
      figure: `${Math.round(left.share * 100)} : ${Math.round(right.share * 100)}`,
      of: hands ? `${mm(hands.spreadMm)} apart` : 'one on the camera',
      share: Math.abs(left.share - 0.5) * 2,
      state: 'none',
    }
  if (support !== 'hand-low' || !hang)
    return { label: 'Hangs', figure: '–', of: support === 'hand-low' ? 'no top handle' : '', share: 0, state: 'none' }
  const tilt = Math.abs(hang.tiltDeg)
  return {
    label: 'Hangs',
    figure: degrees(tilt),
    of: tilt < 0.05 ? 'level' : hang.tiltDeg > 0 ? 'nose down' : 'nose up',
    share: tilt / 8,
    state: graded(assessment, 'hang-tilt'),
  }
}

/** How much of the day of the brief the batteries last; as good as the checks of power say. */
export const runsScale = (assessment: Assessment): HeldScale => {
  const { day, network, runDown } = assessment.facts
  const draws = network.nodes.some(({ drawW, unknown }) => drawW > 0 || unknown)
  if (!draws || day.minutes === 0)
    return {
      label: 'Runs',
      figure: '–',
      of: draws ? 'no hours in the brief' : 'nothing draws power',
      share: 0,
      state: 'none',
    }
  const lasts = Math.min(day.failsAtMin, day.minutes)
  /** What nobody knows the draw of makes it less. */
  const atMost = network.nodes.some(({ unknown }) => unknown)
  const first = runDown.events.find(({ what }) => what === 'dark')
  return {
    label: 'Runs',
    figure: `${atMost ? '≤ ' : ''}${hours(lasts)}`,
    of: `of ${hours(day.minutes)}`,
    share: lasts / day.minutes,
    state:
      lasts >= day.minutes
        ? atMost
          ? 'look'
          : 'good'
        : first?.minute === 0
          ? 'over'
          : graded(assessment, 'runtime-short'),
  }
}
