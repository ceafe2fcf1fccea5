import { isDeepStrictEqual } from 'node:util'
import { deflateRawSync, inflateRawSync } from 'node:zlib'
import type { Rig } from '@zucchini/core/assembly'
import * as jsonPatch from 'fast-json-patch/index.mjs'

/**
 * A revision as it is stored: whole, or as what differs from an earlier whole one. Both are JSON, deflated (RFC 1951);
 * the difference is a JSON Patch (RFC 6902). Each difference stands by itself on its whole revision, so any other one
 * may be thinned out.
 */
export interface Packed {
  readonly body: Buffer
  /** The whole revision this differs from; null: it is whole itself. */
  readonly whole: number | null
}

/** So many differences at most stand on one whole revision. */
export const MOST_ON_ONE = 100
/** A difference larger than this share of the whole is not worth having. */
const WORTH = 0.5

const copy = (value: unknown): unknown => JSON.parse(JSON.stringify(value)) as unknown
const pack = (value: unknown): Buffer => deflateRawSync(Buffer.from(JSON.stringify(value)), { level: 6 })
const unpack = (body: Buffer): unknown => JSON.parse(inflateRawSync(body).toString('utf8')) as unknown

export const packWhole = (rig: unknown): Packed => ({ body: pack(rig), whole: null })

/** Packs a rig, as a difference from a whole revision when that is smaller and gives back the very same rig. */
export const packRevision = (
  rig: Rig,
  on?: { readonly revision: number; readonly rig: unknown; readonly bytes: number },
): Packed => {
  if (!on) return packWhole(rig)
  const changes = jsonPatch.compare(on.rig as object, rig)
  const body = pack(changes)
  if (body.length > on.bytes * WORTH) return packWhole(rig)
  const again = jsonPatch.applyPatch(copy(on.rig), changes).newDocument
  return isDeepStrictEqual(again, copy(rig)) ? { body, whole: on.revision } : packWhole(rig)
}

/** @param whole the whole revision it differs from, unpacked; it is not touched */
export const unpackRevision = ({ body, whole }: Packed, wholeRig?: unknown): unknown => {
  if (whole === null) return unpack(body)
  if (wholeRig === undefined) throw new RangeError(`revision ${whole}, which this one differs from, is missing`)
  return jsonPatch.applyPatch(copy(wholeRig), unpack(body) as jsonPatch.Operation[]).newDocument
}
