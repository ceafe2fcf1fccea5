export * from './rig-file.ts'
