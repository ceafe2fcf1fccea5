import { z } from 'zod'
import { roleIds } from './roles.ts'

/** What can be said of a figure beyond how its role is drawn: bars without windows, faces without ribs and hatching. */
export const figureFeatures = ['closed', 'smooth'] as const
export type FigureFeature = (typeof figureFeatures)[number]

/**
 * How a part is drawn, where that is not how its role is usually drawn: like another role's parts, as its bare solids,
 * or with features of its own. Its sizes are those of its solids.
 */
export const figureSchema = z.strictObject({
  like: z.enum([...roleIds, 'solids']).optional(),
  features: z.array(z.enum(figureFeatures)).max(figureFeatures.length).readonly().optional(),
})
export type FigureData = z.infer<typeof figureSchema>
