import { z } from 'zod'
import { adoptRig, type Rig } from '../assembly/index.ts'
import { type Level, levels } from '../checks/index.ts'
import { type Context } from '../context/index.ts'
import { fitTo, sketchOf, strokesOf } from '../drawing/index.ts'
import { evaluate } from './evaluate.ts'

/** The sheet a card's drawing is made for, px. */
export const CARD_WIDTH = 330
export const CARD_HEIGHT = 224
const PAD = 12

const strokeSchema = z.object({
  key: z.string(),
  instance: z.string(),
  look: z.string(),
  outline: z.string(),
  onFace: z.boolean().optional(),
})

/** What the shelf shows of a rig: its first set-up's figures and outline, and the worst that is known of any set-up. */
export const summarySchema = z.object({
  setups: z.int(),
  currency: z.string(),
  inHandG: z.number(),
  /** Something on it has no known mass, or no known price: the figures are at least what they say. */
  unweighed: z.boolean(),
  unpriced: z.boolean(),
  toBuyMinor: z.number(),
  /**
   * How far into the day the batteries get, minutes, and whether that is enough; null: nothing draws power, or no hours
   * are asked for.
   */
  runs: z.object({ lastsMin: z.number(), enough: z.boolean() }).nullable(),
  counts: z.object({ stop: z.int(), risk: z.int(), hint: z.int() }),
  /** How many things had to be mended or stood in for to open it. */
  mended: z.int(),
  strokes: z.array(strokeSchema).readonly(),
  /** The drawing runs on into a stand: it is cut at its lower edge. */
  cut: z.boolean().optional(),
})
export type RigSummary = z.infer<typeof summarySchema>

/**
 * Works out what the shelf shows of a rig. Whatever state the rig is in, it is taken up as far as it can be.
 * @throws {RangeError} for a rig nothing can be made of; its card then says so, and the others stay
 */
export const summaryOf = (given: Rig, context: Context): RigSummary => {
  const taken = adoptRig(given, context.catalogue)
  if (!taken.ok) throw new RangeError(taken.issues.map(({ code, path }) => `${code} at ${path}`).join(', '))
  const { rig, catalogue, mended } = taken.value
  const all = rig.setups.map(({ id }) => evaluate(rig, id, { ...context, catalogue }))
  const [first] = all
  if (!first) throw new RangeError('a rig has at least one set-up')
  const most = (level: Level) =>
    Math.max(...all.map(({ findings }) => findings.filter((finding) => finding.level === level).length))
  const sketch = sketchOf('side', first.assembly)
  const fit = fitTo(sketch.extent, CARD_WIDTH, CARD_HEIGHT, {
    left: PAD,
    right: PAD,
    top: PAD,
    bottom: PAD,
  })
  const { day, network } = first.facts
  const asked = day.minutes > 0 && network.nodes.some(({ drawW }) => drawW > 0)
  const lastsMin = Math.min(day.failsAtMin, day.minutes)
  return {
    setups: rig.setups.length,
    currency: rig.brief.currency,
    inHandG: first.mass.inHandG,
    unweighed: first.mass.unknown.length > 0,
    unpriced: first.cost.unpriced.length > 0,
    toBuyMinor: first.cost.usual,
    runs: asked ? { lastsMin, enough: lastsMin >= day.minutes } : null,
    counts: Object.fromEntries(levels.map((level) => [level, most(level)])) as Record<Level, number>,
    mended: mended.length,
    ...(sketch.cut ? { cut: true } : {}),
    strokes: strokesOf('side', first.assembly, fit, false)
      .filter(({ outline }) => outline !== '')
      .map(({ key, instance, look, outline, onFace }) => ({
        key,
        instance,
        look,
        outline,
        ...(onFace ? { onFace } : {}),
      })),
  }
}
