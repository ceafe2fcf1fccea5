import type { WrittenRig } from './write.ts'

export const out = [{ instance: 'camera', hinge: 'screen', position: 'out' }]
export const h1 = ['prime=calabash-20 bayonet>camera.lens', 'pack=calabash-pack contacts>camera.bay'] as const
export const halfH1 = 'cage=sedgewick-half-h1 seat>camera.seat'
export const basicH1 = 'cage=bulrush-basic-h1 seat>camera.seat'
export const fullH1 = 'cage=reedsmith-full-h1 seat>camera.seat'
export const tripod = (by: string) => [`head=gourdwell-head-4 clamp>${by}`, 'legs=gourdwell-legs top>head.legs']

export type { WrittenRig }
