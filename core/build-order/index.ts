export * from './changeover.ts'
export {
  type BuildOrder,
  buildOrderOf,
  type Holding,
  isHolding,
  type Joining,
  type Jams,
  jamsIn,
  type Knot,
} from './order.ts'
export type { Against } from './stated.ts'
export * from './pace.ts'
export { type Path, pathsOf, RUB_MM, rubs, SCRAPE_MM, scrapes } from './paths.ts'
export type { Setting } from './setting.ts'
export * from './sheet.ts'
