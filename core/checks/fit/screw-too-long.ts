import { z } from 'zod'
import type { PlacedPart } from '../../assembly/index.ts'
import { exceeds } from '../../kernel/index.ts'
import { defineCheck, piecesThat } from '../check.ts'

const screw = ({ mate }: PlacedPart) =>
  mate?.ok && mate.value.socket.mount.deepMm !== undefined
    ? { deepMm: mate.value.socket.mount.deepMm, screwMm: mate.value.plug.mount.screwMm }
    : undefined

/** A screw longer than its blind hole, or one that hardly bites. */
export const screwTooLong = defineCheck<PlacedPart, { engagedMm: number }>({
  id: 'screw-too-long',
  family: 'fit',
  title: 'Screw and hole do not match in depth',
  why: 'Too long, it presses through the floor of the camera; too short, it strips the thread.',
  level: 'stop',
  source: 'The depth of the hole in the camera’s data; a 1/4" thread wants 4.5 mm of engagement.',
  options: z.object({ engagedMm: z.number().positive() }),
  defaults: { engagedMm: 4.5 },
  units: { engagedMm: 'mm' },
  needs: [],
  limit: { measured: 'screwMm', allowed: 'deepMm' },
  messages: {
    speaks: {
      long: '{part} presses on the bottom of its hole. The screw stands out {screwMm:mm}, the hole is {deepMm:mm} deep. Use a washer.',
      short: '{part} hardly bites. {screwMm:mm} of thread goes in; {engagedMm:mm} holds.',
    },
    silent: { right: '{part} goes {screwMm:mm} into {deepMm:mm}.' },
    cannotTell: {
      unmeasured: 'How long the screw of {part} is, nobody has measured; the hole is {deepMm:mm} deep. Assumed to fit.',
    },
  },
  subjects: piecesThat((piece) => screw(piece) !== undefined),
  judge: (piece, _, { engagedMm }) => {
    const { deepMm, screwMm } = screw(piece) ?? { deepMm: 0, screwMm: undefined }
    const names = { part: piece.part.name }
    const parts = [piece.instance.id]
    if (screwMm === undefined)
      return { group: 'cannotTell', message: 'unmeasured', names, numbers: { deepMm }, parts, at: piece.centre }
    const numbers = { deepMm, screwMm, engagedMm }
    if (exceeds(screwMm, deepMm)) return { group: 'speaks', message: 'long', names, numbers, parts, at: piece.centre }
    if (exceeds(engagedMm, screwMm))
      return { group: 'speaks', message: 'short', level: 'risk', names, numbers, parts, at: piece.centre }
    return { group: 'silent', message: 'right', names, numbers }
  },
  aims: (piece, _, judgement, { engagedMm }) => {
    if (judgement.group === 'cannotTell') return []
    const { deepMm } = screw(piece) ?? { deepMm: 0 }
    const fits = (length: number | undefined) => length !== undefined && length <= deepMm && length >= engagedMm
    const own = piece.part.mounts.find(({ id }) => id === piece.joint?.guestMount)
    return [
      {
        do: 'swap',
        piece,
        for: ({ mounts }) => mounts.some(({ standard, screwMm }) => standard === own?.standard && fits(screwMm)),
      },
      { do: 'take-off', piece },
    ]
  },
})
