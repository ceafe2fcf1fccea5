export * from './advice.ts'
export * from './brief.ts'
export * from './needs.ts'
