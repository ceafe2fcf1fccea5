import fc from 'fast-check'
import { secondMark } from '@zucchini/demo/scenario'
import { lineOf, type Step } from './line.ts'
import { packRevision, packWhole, unpackRevision } from './revision-codec.ts'
import { type Aged, thinnedOut } from './thinning.ts'

const edit = (revision: number, grewFrom: number | null = null): Step => ({ revision, grewFrom, same: null })
const back = (revision: number, same: number): Step => ({ revision, grewFrom: null, same })

describe('undo and redo through saved revisions', () => {
  test('a line of edits leads back one by one', () =>
    expect(lineOf([edit(1), edit(2), edit(3)])).toEqual({ undo: [2, 1], redo: [] }))
  test('after undos redo leads forward again', () =>
    expect(lineOf([edit(1), edit(2), edit(3), back(4, 2), back(5, 1)])).toEqual({ undo: [], redo: [2, 3] }))
  test('redone once, one is left', () =>
    expect(lineOf([edit(1), edit(2), edit(3), back(4, 2), back(5, 1), back(6, 2)])).toEqual({ undo: [1], redo: [3] }))
  test('an edit after an undo grows from there and ends redo', () =>
    expect(lineOf([edit(1), edit(2), edit(3), back(4, 2), edit(5)])).toEqual({ undo: [2, 1], redo: [] }))
  test('several undos saved as one step', () =>
    expect(lineOf([edit(1), edit(2), edit(3), back(4, 1)])).toEqual({ undo: [], redo: [2, 3] }))
  test('a state reached by undo that was never saved itself grew from the last saved one before it', () =>
    expect(lineOf([edit(1), edit(2), edit(3, 1)])).toEqual({ undo: [1], redo: [] }))
  test('revisions that were thinned out are stepped over', () =>
    expect(lineOf([edit(1), edit(4, 3), edit(9, 8), back(10, 4)])).toEqual({ undo: [1], redo: [9] }))
  test('nothing saved leads nowhere', () => expect(lineOf([])).toEqual({ undo: [], redo: [] }))

  test('it is what a history in memory does, whatever is pressed', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom('edit', 'undo', 'redo'), { maxLength: 40 }), (presses) => {
        let [past, present, future]: [number[], number, number[]] = [[], 1, []]
        const steps: Step[] = [edit(1)]
        for (const press of presses) {
          const revision = steps.length + 1
          if (press === 'edit') {
            ;[past, present, future] = [[...past, present], revision, []]
            steps.push(edit(revision))
          } else if (press === 'undo' && past.length > 0) {
            ;[past, present, future] = [past.slice(0, -1), past.at(-1) ?? 0, [present, ...future]]
            steps.push(back(revision, present))
          } else if (press === 'redo' && future.length > 0) {
            ;[past, present, future] = [[...past, present], future[0] ?? 0, future.slice(1)]
            steps.push(back(revision, present))
          }
        }
        expect(lineOf(steps)).toEqual({ undo: [...past].reverse(), redo: future })
      }),
      { numRuns: 200, seed: 11 },
    )
  })
})

describe('packed revisions', () => {
  const whole = packWhole(secondMark)
  const on = { revision: 1, rig: unpackRevision(whole), bytes: whole.body.length }
  test('a whole one gives back the same rig', () => expect(unpackRevision(whole)).toEqual(secondMark))
  test('an edit is a small difference from a whole one, and gives back the same rig', () => {
    const renamed = { ...secondMark, name: 'renamed' }
    const packed = packRevision(renamed, on)
    expect(packed.whole).toBe(1)
    expect(packed.body.length).toBeLessThan(80)
    expect(unpackRevision(packed, on.rig)).toEqual(renamed)
  })
  test('a rig that shares little is kept whole', () => {
    const other = { ...secondMark, kit: [], setups: [] as never }
    expect(
      packRevision({ ...other, brief: { ...secondMark.brief, about: 'x'.repeat(20) } } as never, on).body.length,
    ).toBeLessThan(whole.body.length)
  })
  test('a difference without its whole one is refused, not guessed', () =>
    expect(() => unpackRevision(packRevision({ ...secondMark, name: 'x' }, on))).toThrow('is missing'))
  test('whatever changes, it comes back the same', () => {
    fc.assert(
      fc.property(
        fc.record({
          name: fc.string({ minLength: 1, maxLength: 20 }),
          from: fc.nat(20),
          to: fc.nat(40),
          about: fc.string({ maxLength: 200 }),
        }),
        ({ name, from, to, about }) => {
          const rig = {
            ...secondMark,
            name,
            kit: secondMark.kit.slice(from, to),
            brief: { ...secondMark.brief, about },
          }
          const packed = packRevision(rig, on)
          expect(unpackRevision(packed, packed.whole === null ? undefined : on.rig)).toEqual(
            JSON.parse(JSON.stringify(rig)),
          )
        },
      ),
      { numRuns: 60, seed: 11 },
    )
  })
})

describe('thinning', () => {
  const now = new Date('2026-11-25T12:00:00Z')
  const at = (revision: number, when: string, more: Partial<Aged> = {}): Aged => ({
    revision,
    savedAt: new Date(when),
    pinned: false,
    whole: null,
    ...more,
  })
  test('every edit of a week stays, then the last of each hour, then the last of each day', () => {
    const revisions = [
      at(1, '2026-01-01T08:00:00Z'),
      at(2, '2026-05-02T08:00:00Z'),
      at(3, '2026-05-02T18:00:00Z'),
      at(4, '2026-11-10T08:10:00Z'),
      at(5, '2026-11-10T08:50:00Z'),
      at(6, '2026-11-10T09:05:00Z'),
      at(7, '2026-11-24T08:00:00Z'),
      at(8, '2026-11-24T08:00:01Z'),
    ]
    expect(thinnedOut(revisions, now)).toEqual([4, 2])
  })
  test('seven days to the millisecond: at the limit it may go, just under it stays', () => {
    const hour = (ms: number) => at(2, new Date(now.getTime() - 7 * 86_400_000 + ms).toISOString())
    const rest = [at(1, '2026-11-18T11:00:00Z'), at(3, '2026-11-18T12:00:00.500Z'), at(4, '2026-11-25T11:59:00Z')]
    expect(thinnedOut([...rest, hour(0)], now)).toEqual([2])
    expect(thinnedOut([...rest, hour(1)], now)).toEqual([])
  })
  test('the first, the newest, those with a name, and whole ones that others stand on never go', () => {
    const old = '2025-05-02T08:00:00Z'
    const revisions = [
      at(1, old),
      at(2, old),
      at(3, old, { pinned: true }),
      at(4, old, { whole: 2 }),
      at(5, old, { whole: 2 }),
    ]
    expect(thinnedOut(revisions, now)).toEqual([4])
  })
})
