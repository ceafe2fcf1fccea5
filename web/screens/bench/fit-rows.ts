import type { Effect } from '@zucchini/core/assess'
import type { Level } from '@zucchini/core/checks'
import { degrees, grams, millimetres, money, signed, type Style } from '../../wording.ts'

export type Tone = 'better' | 'worse' | 'same'

export interface Cell {
  readonly text: string
  readonly tone: Tone
}

const GOOD_TILT_DEG = 3
const FELT_TILT_DEG = 0.05
const FELT_MM = 0.5

/** Tilt before and after, in words: better when it comes nearer to level. */
export const tiltCell = ({ tiltFromDeg: from, tiltToDeg: to }: Effect): Cell => {
  if (to === undefined) return { text: '–', tone: 'same' }
  if (from === undefined) return { text: degrees(to), tone: Math.abs(to) > GOOD_TILT_DEG ? 'worse' : 'better' }
  const change = Math.abs(to) - Math.abs(from)
  if (Math.abs(change) < FELT_TILT_DEG) return { text: degrees(to), tone: 'same' }
  const good = Math.abs(to) <= GOOD_TILT_DEG && Math.abs(from) <= GOOD_TILT_DEG
  return { text: `${degrees(from)} → ${degrees(to)}`, tone: good ? 'same' : change < 0 ? 'better' : 'worse' }
}

export const massCell = (effect: Effect, style: Style): string =>
  signed(Math.round(effect.massG), (g) => grams(g, style.units))
export const buyCell = (effect: Effect, style: Style): string =>
  effect.toBuyMinor === 0 ? '0' : signed(effect.toBuyMinor, (m) => money(m, style.currency))

export const heightCell = (effect: Effect, style: Style): Cell =>
  Math.abs(effect.tallMm) < FELT_MM
    ? { text: '–', tone: 'same' }
    : {
        text: signed(Math.round(effect.tallMm), (mm) => millimetres(mm, style.units)),
        tone: effect.tallMm > 0 ? 'worse' : 'better',
      }

const plural = (n: number, level: Level): string => `${n} ${level}${n === 1 ? '' : 's'}`

export interface Gain {
  readonly sign: '+' | '−'
  readonly n: number
  readonly level: Level
}
/** What is gained and lost of each level, worst first. */
export const gainsOf = ({ gained, lost }: Pick<Effect, 'gained' | 'lost'>): readonly Gain[] =>
  (['stop', 'risk', 'hint'] as const).flatMap((level) =>
    [['+', gained[level]] as const, ['−', lost[level]] as const].flatMap(([sign, n]) =>
      n > 0 ? [{ sign, n, level }] : [],
    ),
  )

/** What is gained and lost, worst first: "+1 stop, −2 risks". */
export const findingsCell = ({ gained, lost }: Effect): Cell => {
  const parts = gainsOf({ gained, lost }).map(({ sign, n, level }) => `${sign}${plural(n, level)}`)
  const weight = (counts: Effect['gained']) => counts.stop * 100 + counts.risk * 10 + counts.hint
  const change = weight(gained) - weight(lost)
  return { text: parts.join(', ') || 'no change', tone: change > 0 ? 'worse' : change < 0 ? 'better' : 'same' }
}
