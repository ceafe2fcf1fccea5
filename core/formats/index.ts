export * from './csv.ts'
export * from './csv-read.ts'
export * from './locker-csv.ts'
export * from './rig-file.ts'
