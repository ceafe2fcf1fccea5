export * from './capabilities.ts'
export * from './catalogue.ts'
export { type Concern, concerns, concernsPart } from './concerns.ts'
export * from './connectors.ts'
export * from './electrics.ts'
export { diameterOf } from './families.ts'
export { isStandard, standardOf, standards } from './interfaces/index.ts'
export * from './mating.ts'
export * from './order.ts'
export * from './optics.ts'
export * from './part-issues.ts'
export * from './part.ts'
export * from './partners.ts'
export * from './figure.ts'
export * from './roles.ts'
export { unknownStandard } from './unknown-standard.ts'
export {
  type Glyph,
  type Kind,
  type Way,
  type MateCode,
  type MountEnd,
  type MountStandard,
  type ObjectionCode,
} from './standard.ts'
export { kindFields } from './standard.ts'
export * from './unknowns.ts'
