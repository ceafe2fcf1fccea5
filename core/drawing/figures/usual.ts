import type { Solid } from '../../catalogue/index.ts'
import { disc, type Form, rect, stroke } from '../form.ts'
import { along, ribbed } from './glass.ts'
import { type BarSolid, isBar } from './read.ts'

/** Hollows round a knob for the fingers, and how deep they are. mm */
const HOLLOWS = 9
const KNURLS = 7

/** A knob: hollows for the fingers seen from its end, knurl from its side. */
const knob = ({ radius: r, length }: BarSolid): Form => ({
  turned: true,
  y: {
    outline: disc(r, [0, 0], HOLLOWS * 4).map(([x, y]) => {
      const angle = Math.atan2(y, x)
      const k = 1 - 0.09 * (0.5 + 0.5 * Math.cos(HOLLOWS * angle))
      return [x * k, y * k] as const
    }),
    roundMm: 0,
    on: [{ look: 'metal', outline: disc(r * 0.5, [0, 0], 22), lines: [stroke([-r * 0.32, 0], [r * 0.32, 0])] }],
  },
  z: {
    roundMm: Math.min(1.6, length / 4),
    on: [{ look: 'texture', lines: along(r, [-length / 2 + 0.8, length / 2 - 0.8], KNURLS) }],
  },
})

/** How a solid is drawn that its role says nothing about, by its look. */
export const usualForm = (solid: Solid): Form | undefined => {
  if (!isBar(solid)) {
    const [wide, high] = solid.size
    // What is let into a face: a label, a tray.
    return solid.look === 'detail' && Math.min(wide, high) > 12
      ? { z: { roundMm: solid.roundMm ?? 2, on: [{ look: 'line', outline: rect(wide - 4, high - 4), roundMm: 1.5 }] } }
      : undefined
  }
  if (solid.look === 'knob') return knob(solid)
  return solid.look === 'ribs' ? ribbed(solid) : undefined
}
