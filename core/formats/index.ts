export * from './csv.ts'
export * from './gltf.ts'
export * from './rig-file.ts'
