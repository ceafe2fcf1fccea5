export * from './locker.ts'
export * from './ferry.ts'
