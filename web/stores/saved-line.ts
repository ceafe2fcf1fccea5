import type { History } from '@zucchini/core/assembly'
import type { SavedLine } from '../api.ts'

/** Undo and redo beyond this window's own history: revisions saved before the page was opened. */
export const noLine: SavedLine = { undo: [], redo: [] }

/** One step back or forward beyond what the window has, to a state that was fetched. */
export const stepBeyond = <T>(
  history: History<T>,
  line: SavedLine,
  way: 'undo' | 'redo',
  state: T,
): { readonly history: History<T>; readonly line: SavedLine } =>
  way === 'undo'
    ? {
        history: { past: [], present: state, future: [history.present, ...history.future] },
        line: { ...line, undo: line.undo.slice(1) },
      }
    : {
        history: { past: [...history.past, history.present], present: state, future: [] },
        line: { ...line, redo: line.redo.slice(1) },
      }
