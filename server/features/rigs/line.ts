/**
 * A revision's place in the history: the one it grew from by an edit, or the one it is the same as after an undo or
 * redo.
 */
export interface Step {
  readonly revision: number
  readonly grewFrom: number | null
  readonly same: number | null
}

/** Where undo and redo lead from the newest revision: nearest first. */
export interface Line {
  readonly undo: readonly number[]
  readonly redo: readonly number[]
}

const MOST_STEPS = 500

const nearestOlder = (known: Iterable<number>, wanted: number): number | null => {
  let best: number | null = null
  for (const revision of known) if (revision < wanted && revision > (best ?? -1)) best = revision
  return best
}

/**
 * Undo and redo through saved revisions. An edit grows from the state it was made in; an undo or redo adds a revision
 * that is the same as an earlier one. So the states form a tree: undo walks towards its root, redo back along the way
 * it came. Revisions that were thinned out are stepped over.
 * @param steps all revisions there are, in any order
 * @example edits 1, 2, 3, then an undo saved as 4 (the same as 2): undo leads to 1, redo to 3
 */
export const lineOf = (steps: readonly Step[]): Line => {
  const parents = new Map<number, number | null>()
  const states = new Map<number, number>()
  /** From a state towards the root, itself first, until the one that is looked for. */
  const wayUp = (from: number, to?: number): number[] => {
    const way = [from]
    for (
      let next = parents.get(from) ?? null;
      next !== null && way.length <= MOST_STEPS;
      next = parents.get(next) ?? null
    ) {
      way.push(next)
      if (next === to) break
    }
    return way
  }
  let at: number | null = null
  let redo: readonly number[] = []
  for (const { revision, grewFrom, same } of [...steps].sort((a, b) => a.revision - b.revision)) {
    const state: number = same === null ? revision : (states.get(same) ?? revision)
    states.set(revision, state)
    if (state === revision) {
      const from = grewFrom === null ? at : (states.get(grewFrom) ?? nearestOlder(parents.keys(), grewFrom))
      parents.set(revision, from)
      redo = []
    } else if (at !== null && state !== at) {
      const way = wayUp(at, state)
      if (way.at(-1) === state) redo = [...way.slice(0, -1).reverse(), ...redo]
      else redo = redo.includes(state) ? redo.slice(redo.indexOf(state) + 1) : []
    }
    at = state
  }
  return { undo: at === null ? [] : wayUp(at).slice(1, MOST_STEPS), redo: redo.slice(0, MOST_STEPS) }
}
