/** A line of states one can walk back and forth along without limit. */
export interface History<T> {
  readonly past: readonly T[]
  readonly present: T
  readonly future: readonly T[]
}

export const startHistory = <T>(present: T): History<T> => ({ past: [], present, future: [] })

/** Steps to a new state; what was undone before can't be redone any more. The same state is no step. */
export const step = <T>(history: History<T>, next: T): History<T> =>
  next === history.present ? history : { past: [...history.past, history.present], present: next, future: [] }

/** One step back; at the start it returns the same history. */
export const undo = <T>(history: History<T>): History<T> => {
  if (history.past.length === 0) return history
  return {
    past: history.past.slice(0, -1),
    present: history.past[history.past.length - 1] as T,
    future: [history.present, ...history.future],
  }
}

/** One step forward again; at the end it returns the same history. */
export const redo = <T>(history: History<T>): History<T> => {
  if (history.future.length === 0) return history
  return { past: [...history.past, history.present], present: history.future[0] as T, future: history.future.slice(1) }
}
