export * from './order.ts'
export * from './paths.ts'
export * from './route.ts'
export * from './runs.ts'
