import type { Check } from '../check.ts'
import { changeTool } from './change-tool.ts'
import { loosePart } from './loose-part.ts'
import { needTwice } from './need-twice.ts'
import { needUnmet } from './need-unmet.ts'
import { notNeeded } from './not-needed.ts'
import { staysUnused } from './stays-unused.ts'

/** The rules of this family, in the order of their ids. */
export const needChecks: readonly Check[] = [changeTool, loosePart, needTwice, needUnmet, notNeeded, staysUnused]
