import { type Assessment, type Blame, blameOf } from '@zucchini/core/assess'
import type { FactName } from '@zucchini/core/facts'
import { benchWorker } from './client.ts'

/** How far a figure of a set-up may be off, worked out beside the page; where there is no worker, on it. */
export const blameLater = (assessment: Assessment, fact: FactName): Promise<Blame | undefined> =>
  typeof Worker === 'undefined'
    ? Promise.resolve(blameOf(assessment, fact))
    : benchWorker().blame(assessment.rig, assessment.setupId, fact)
