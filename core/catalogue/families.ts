import type { Issue } from '../kernel/index.ts'
import type { MountEnd } from './standard.ts'

/** An objection when two ends belong to different families; an end without a family goes with none. */
export const sameFamily =
  (code: string) =>
  (socket: MountEnd, plug: MountEnd): readonly Issue[] =>
    socket.mount.family !== undefined && socket.mount.family === plug.mount.family
      ? []
      : [{ code, path: plug.mount.id, names: { holds: socket.mount.family ?? 'unknown', wants: plug.mount.family ?? 'unknown' } }]

/** Like `sameFamily`, but a family the socket lists as almost fitting goes in, with a fault. */
export const familyOrAlmost =
  (code: string) =>
  (socket: MountEnd, plug: MountEnd): readonly Issue[] =>
    socket.mount.almost?.includes(plug.mount.family ?? '') ? [] : sameFamily(code)(socket, plug)

/** The fault of an almost fitting family. */
export const almostFault =
  (words: string) =>
  (socket: MountEnd, plug: MountEnd): string | undefined =>
    socket.mount.family !== plug.mount.family && socket.mount.almost?.includes(plug.mount.family ?? '') ? words : undefined
