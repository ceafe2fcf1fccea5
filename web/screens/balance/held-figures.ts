import { type Assessment, massOrigin, momentOrigin, tiltOrigin } from '@zucchini/core/assess'
import { wristNm } from '@zucchini/core/balance'
import { atLeast, degrees, grams, holdWords, millimetres, type Style } from '../../wording.ts'
import type { FigureRef } from '../../stores/ask.ts'

export interface HeldFigure {
  readonly title: string
  readonly figure: string
  readonly note?: string
  /** What is asked for when somebody asks how it is reckoned. */
  readonly asks: FigureRef
}

const newton = (value: number): string => `${value.toFixed(2)} N m`
const side = (value: number, plus: string, minus: string): string =>
  Math.abs(value) < 0.05 ? '' : value > 0 ? plus : minus

/** What counts for the way this set-up is held, with the word for which way it is off. */
export const heldFigures = (assessment: Assessment, style: Style): readonly HeldFigure[] => {
  const { facts, mass, holdMinutes, steadiness, assembly } = assessment
  const { hang, hands, ground, shoulder, onPlate, gimbal, tip } = facts
  const mm = (value: number) => millimetres(Math.round(value), style.units)
  const g = (value: number) => grams(value, style.units)
  const band = massOrigin(assessment)
  const figures: HeldFigure[] = [
    {
      title: 'in the hand',
      figure: atLeast(g(mass.inHandG), mass.unknown.length > 0),
      note: `± ${g(band.high - band.value)}`,
      asks: 'in-hand',
    },
  ]
  const add = (asks: FigureRef, title: string, figure: string, note?: string) =>
    figures.push({ title, figure, asks, ...(note ? { note } : {}) })
  const { support } = assembly.setup
  if (support === 'hand-low' && hang) {
    const tilt = tiltOrigin(assessment)
    const off = tilt ? `, ± ${degrees(tilt.high - tilt.value)}` : ''
    add(
      'hangs',
      'tilt',
      degrees(Math.abs(hang.tiltDeg)),
      `${side(hang.tiltDeg, 'nose down', 'nose up')}${off}`.replace(/^, /, ''),
    )
    add('fact hang', 'roll', degrees(Math.abs(hang.rollDeg)), side(hang.rollDeg, 'to the right', 'to the left'))
    add('fact hang', 'palm over centre', mm(hang.underMm))
    for (const other of facts.hangs.slice(1))
      add(
        'fact hangs',
        `by ${other.handle.part.name}`,
        degrees(Math.abs(other.tiltDeg)),
        side(other.tiltDeg, 'nose down', 'nose up'),
      )
  }
  const palms = ground.bearings.filter(({ by }) => by === 'hand')
  const [first, second] = palms
  if (first && second) {
    add('fact ground', 'left hand', g(ground.massG * first.share), `${Math.round(first.share * 100)} %`)
    add('fact ground', 'right hand', g(ground.massG * second.share), `${Math.round(second.share * 100)} %`)
    add('fact ground', 'left wrist holds', newton(wristNm(ground, first)), 'level')
    add('fact ground', 'right wrist holds', newton(wristNm(ground, second)), 'level')
  } else if (first && support !== 'shoulder')
    add('fact ground', 'the wrist holds', newton(wristNm(ground, first)), 'to keep it level')
  if ((support === 'two-hand' || support === 'chest') && hands)
    add('fact hands', 'grips apart', mm(hands.spreadMm), 'wider is steadier')
  if (support === 'shoulder' && shoulder) {
    const moment = momentOrigin(assessment, shoulder.at[2])
    add(
      'fact shoulder',
      'moment on the pad',
      newton(Math.abs(shoulder.momentNm)),
      `${side(shoulder.momentNm, 'front-heavy', 'tail-heavy')}, ± ${newton(moment.high - moment.value)}`.replace(
        /^, /,
        '',
      ),
    )
    add('fact shoulder', 'counterweight', g(shoulder.counterweightG), `${mm(shoulder.behindMm)} behind the pad`)
    if (shoulder.handG !== undefined)
      add('fact shoulder', 'hands lift', g(shoulder.handG), `${mm(shoulder.reachMm ?? 0)} ahead`)
  }
  if (onPlate) {
    add('fact onPlate', 'ahead of the plate', mm(onPlate.aheadMm))
    add('fact onPlate', 'beside it', mm(Math.abs(onPlate.rightMm)), side(onPlate.rightMm, 'right', 'left'))
    add('fact onPlate', 'over it', mm(onPlate.aboveMm))
    add(
      'fact onPlate',
      'moment when tilted',
      newton(onPlate.momentNm),
      onPlate.mount.momentNm === undefined ? undefined : `of ${newton(onPlate.mount.momentNm)}`,
    )
    if (onPlate.mount.limitG !== undefined)
      add('in-hand', 'payload', atLeast(g(mass.inHandG), mass.unknown.length > 0), `of ${g(onPlate.mount.limitG)}`)
  }
  if (gimbal)
    add(
      'fact gimbal',
      'beyond the arms',
      mm(Math.max(...gimbal.beyondMm)),
      Math.max(...gimbal.beyondMm) > 0 ? 'can not be balanced' : 'can be balanced',
    )
  if (tip) add('fact tip', 'goes over at', degrees(tip.tipDeg), `centre ${mm(tip.heightMm)} up`)
  if (steadiness) {
    add('fact steadiness', 'yaw shake', `${steadiness.yaw.toFixed(2)} ×`, 'of the bare camera')
    add('fact steadiness', 'pitch shake', `${steadiness.pitch.toFixed(2)} ×`)
    add('fact steadiness', 'roll shake', `${steadiness.roll.toFixed(2)} ×`)
  }
  if (holdMinutes !== undefined) add('held', 'held still for', holdWords(holdMinutes), 'estimate')
  return figures
}
