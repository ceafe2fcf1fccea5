import type { Part } from '../catalogue/index.ts'
import { plug, tinyPart } from './index.ts'
import { wiredRig } from './wired.ts'

export const card = (gb: number, writeMBs = 90) =>
  tinyPart({ id: 'card', role: 'card', media: { stores: { gb, writeMBs, readMBs: 100, kind: 'sd' } } })

/** An hour of rolling at 100 Mbps: 78 min with some to spare. */
export const hour = { phases: [{ name: 'rolling', kind: 'roll' as const, minutes: 60, mains: false }] }

export const recording = (parts: readonly Part[], extra: readonly Part[] = []) =>
  wiredRig(parts, [], [], { brief: hour, extra })

export const drive = (foot: string) =>
  tinyPart({
    id: 'drive',
    role: 'drive',
    mounts: [plug('foot', foot)],
    media: { stores: { gb: 1000, writeMBs: 400, readMBs: 400, kind: 'drive' } },
  })
