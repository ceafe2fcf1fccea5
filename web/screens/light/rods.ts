import { type Assembly, rodUse } from '@zucchini/core/assembly'

/** The rods of a set-up that something stands on: how much of their length is needed. */
export const rodsOf = (
  assembly: Assembly,
): readonly { readonly name: string; readonly usedMm: number; readonly longMm: number }[] =>
  assembly.placed
    .filter(({ part, host }) => part.role === 'rods' && host)
    .flatMap((piece) => {
      const use = rodUse(assembly, piece)
      return use ? [{ name: piece.part.name, ...use }] : []
    })
