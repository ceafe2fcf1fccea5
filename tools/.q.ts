import { evaluate, fitsHere } from '@zucchini/core/assess'
import { catalogueOf } from '@zucchini/core/catalogue'
import { demoParts } from '@zucchini/demo/catalogue'
import { demoLocker, secondMark } from '@zucchini/demo/scenario'
const shelf = { catalogue: catalogueOf(demoParts), owned: new Map(Object.entries(demoLocker)) }
const before = evaluate(secondMark, 'crossing', shelf, false)
const open = before.points.find(({ piece, mount }) => piece.instance.id === 'cage' && mount.id === 'top-rear')!
for (let i = 0; i < 40; i++) fitsHere(secondMark, 'crossing', open, shelf, before)
