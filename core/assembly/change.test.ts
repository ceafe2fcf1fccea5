import { demoParts } from '@zucchini/demo/catalogue'
import { syntheticRig } from '@zucchini/demo/synthetic'
import fc from 'fast-check'
import { catalogueOf } from '../catalogue/index.ts'
import { trialRuns, trialSeed } from '../testing/trials.ts'
import { changeBetween, pickedAfter, type PlacedPart, placeSetup } from './index.ts'

const catalogue = catalogueOf(demoParts)
const rig = syntheticRig(12, 20, catalogue, 'calabash-h1')
const [setup] = rig.setups
const pieces = setup ? placeSetup(rig, setup, catalogue).placed : []
const [a, b, c, d] = pieces as [PlacedPart, PlacedPart, PlacedPart, PlacedPart]

test.each<[string, PlacedPart[], PlacedPart[], PlacedPart[], PlacedPart[]]>([
  ['nothing', [a, b], [a, b], [], []],
  ['one between', [a, c], [a, b, c], [b], []],
  ['one at the end', [a, b], [a, b, c], [c], []],
  ['one gone', [a, b, c], [a, c], [], [b]],
  ['one for another', [a, b, d], [a, c, d], [c], [b]],
  ['all others', [a, b], [c, d], [c, d], [a, b]],
])('%s came and went', (_, was, now, came, went) => {
  expect(changeBetween(was, now)).toEqual({ came, went })
})

test('two that changed places are no change of which anything follows', () => {
  expect(changeBetween([a, b, c], [a, c, b])).toBeUndefined()
  expect(changeBetween([a, b, c], [b, c, a])).toBeUndefined()
})

test('what came and what went make one list of the other, whatever both are', () => {
  const some = fc.subarray([...pieces], { minLength: 0 })
  fc.assert(
    fc.property(some, some, (was, now) => {
      // Both lists have their pieces in the order of all, so what they share is always in the same order.
      const change = changeBetween([...was], [...now])
      expect(new Set(change?.came)).toEqual(new Set(now.filter((piece) => !was.includes(piece))))
      expect(new Set(change?.went)).toEqual(new Set(was.filter((piece) => !now.includes(piece))))
    }),
    { numRuns: trialRuns(200), seed: trialSeed },
  )
})

test('what is wanted after a change is what one would pick of all anew, and the very list where nothing wanted came or went', () => {
  const some = fc.subarray([...pieces], { minLength: 0 })
  fc.assert(
    fc.property(some, some, some, (before, after, liked) => {
      const [was, now] = [[...before], [...after]]
      const wanted = (piece: PlacedPart) => liked.includes(piece)
      const change = changeBetween(was, now)
      if (!change) throw new Error('both are in the order of all')
      const picked = was.filter(wanted)
      const anew = now.filter(wanted)
      const made = pickedAfter(picked, change, now, wanted)
      expect(made).toEqual(anew)
      const stays = picked.length === anew.length && picked.every((piece, i) => piece === anew[i])
      expect(made === picked).toBe(stays)
    }),
    { numRuns: trialRuns(300), seed: trialSeed },
  )
})

test('only what came is asked whether it is wanted', () => {
  const asked: PlacedPart[] = []
  const wanted = (piece: PlacedPart) => {
    asked.push(piece)
    return true
  }
  const [was, now] = [
    [a, b, d],
    [a, c, d],
  ]
  expect(pickedAfter(was, { came: [c], went: [b] }, now, wanted)).toEqual([a, c, d])
  expect(asked).toEqual([c])
})
