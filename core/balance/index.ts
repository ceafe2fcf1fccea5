export * from './hang.ts'
export * from './mass.ts'
export * from './twist.ts'
