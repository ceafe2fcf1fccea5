export * from './locker.ts'
export * from './ferry.ts'
export * from './season.ts'
