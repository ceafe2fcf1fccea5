export * from './demands.ts'
export * from './leads.ts'
export * from './plan.ts'
export * from './schools.ts'
