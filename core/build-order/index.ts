export * from './changeover.ts'
export { type BuildOrder, buildOrderOf, type Holding, isHolding, type Joining, type Knot, knotsIn } from './order.ts'
export { type Path, pathsOf, SCRAPE_MM, scrapes } from './paths.ts'
export * from './sheet.ts'
