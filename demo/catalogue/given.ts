import type { Price } from '../shapes/index.ts'

/** Low, usual and high price around a usual one. */
export const around = (usual: number): Price => [Math.round(usual * 0.86), usual, Math.round(usual * 1.15)]

export const maker = (name: string): string => name.split(' ')[0] ?? ''

/** What every entry of the catalogue starts with; the maker is the first word of the name. */
export const given = (id: string, name: string, massG: number, usual: number) => ({
  id,
  name,
  maker: maker(name),
  massG,
  price: around(usual),
})
