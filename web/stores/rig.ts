import { type Assessment, evaluate } from '@zucchini/core/assess'
import {
  adoptRig,
  type Command,
  edit,
  type History,
  redo,
  type Rig,
  soundnessIssues,
  startHistory,
  step,
  undo,
} from '@zucchini/core/assembly'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import { api, ApiRefusal, type Descent, type Receipt, type SavedLine, type SavedRig } from '../api.ts'
import { mendedWords, refusalSentence, type Style, waitingWords } from '../wording.ts'
import { dropDraft, keepDraft, readDraft } from './draft.ts'
import { noLine, stepBeyond } from './saved-line.ts'
import { useSettings } from './settings.ts'
import { useContext } from './context.ts'
import { equalJson } from '@zucchini/core/kernel'

const QUIET_MS = 250
const RETRY_MS = 3000
/** Slides of one piece that come faster than this after each other are one edit. */
const DRAG_PAUSE_MS = 3000

/** refused: the server will not have it as it is, and says why. removed: the rig was put away elsewhere. */
export type SaveState = 'saved' | 'saving' | 'waiting' | 'conflict' | 'refused' | 'removed'

/** Do two rigs say the same, whatever the order of their keys? */
const sameRig = (a: Rig | undefined, b: Rig): boolean => a !== undefined && equalJson(a, b)

/** The rig being worked on: its history of edits, its saving, and its assessment. */
export const useRig = defineStore('rig', () => {
  const contextStore = useContext()
  const settings = useSettings()
  const history = shallowRef<History<Rig>>()
  const line = shallowRef<SavedLine>(noLine)
  const revision = ref(0)
  const savedAt = ref('')
  const saveState = ref<SaveState>('saved')
  const waitingFor = ref('')
  const theirs = shallowRef<SavedRig>()
  const setupId = ref('')
  const refused = ref('')
  /** One line about something that happened to the rig without being asked for. */
  const notice = ref('')
  const lastEdit = ref('')
  let savedRig: Rig | undefined
  /** States that stand in the history, by the revision they were saved as. */
  let savedAs = new WeakMap<Rig, number>()
  let timer: ReturnType<typeof setTimeout> | undefined
  let sending = false
  const channel = typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel('zucchini-rigs')

  const rig = computed(() => history.value?.present)
  /** As what is told from the field names it. */
  const told = computed(() => rig.value && { id: rig.value.id, revision: Math.max(1, revision.value) })
  const setup = computed(() => rig.value?.setups.find(({ id }) => id === setupId.value) ?? rig.value?.setups[0])
  /** The last assessment of each set-up: the next one grows from it, and works out only what an edit reaches. */
  const grown = new Map<string, Assessment>()
  const judged = computed((): { readonly assessment?: Assessment; readonly trouble?: string } => {
    const context = contextStore.whole
    if (!rig.value || !setup.value || !context) return {}
    const key = `${rig.value.id} ${setup.value.id}`
    try {
      const assessment = evaluate(rig.value, setup.value.id, context, grown.get(key))
      grown.set(key, assessment)
      return { assessment }
    } catch (error) {
      return { trouble: error instanceof Error ? error.message : String(error) }
    }
  })
  const assessment = computed(() => judged.value.assessment)
  const style = computed<Style>(() => ({ currency: rig.value?.brief.currency ?? 'EUR', units: settings.units }))
  const canUndo = computed(() => (history.value?.past.length ?? 0) > 0 || line.value.undo.length > 0)
  const canRedo = computed(() => (history.value?.future.length ?? 0) > 0 || line.value.redo.length > 0)

  /**
   * Takes a rig up from wherever it comes. An unknown part may have been made in another window: the catalogue is read
   * anew once; what is still unknown is stood in for. What had to be mended is told.
   * @throws {Error} in words, when nothing can be made of it
   */
  const takeUp = async (given: Rig): Promise<Rig> => {
    await contextStore.load()
    const known = () => {
      if (!contextStore.catalogue) throw new Error('The catalogue could not be read.')
      return contextStore.catalogue
    }
    if (soundnessIssues(given, known()).length === 0) return given
    await contextStore.reload()
    const taken = adoptRig(given, known())
    if (!taken.ok)
      throw new Error(mendedWords.hopeless(taken.issues.map((issue) => refusalSentence(issue, style.value))))
    const { rig: mended, catalogue, mended: issues } = taken.value
    await contextStore.standIn(
      [...catalogue.gone].flatMap(([id, how]) => (how === 'placeholder' ? (catalogue.parts.get(id) ?? []) : [])),
    )
    if (issues.length > 0) notice.value = mendedWords.mended(issues, mended !== given)
    return mended
  }

  const adopt = (saved: SavedRig) => {
    revision.value = saved.revision
    savedAt.value = saved.updatedAt
    savedRig = saved.rig
    if (!savedAs.has(saved.rig)) savedAs.set(saved.rig, saved.revision)
  }

  const meetTheirs = (saved: SavedRig) => {
    theirs.value = saved
    saveState.value = 'conflict'
  }

  /** An edit is safe on the server. It may be that of a rig that is no longer open here. */
  const arrived = (saved: SavedRig) => {
    if (rig.value?.id !== saved.rig.id) {
      if (sameRig(readDraft(saved.rig.id)?.rig, saved.rig)) dropDraft(saved.rig.id)
      return
    }
    adopt(saved)
    if (rig.value !== saved.rig) return
    saveState.value = 'saved'
    dropDraft(saved.rig.id)
  }

  /** Where a state comes from: the saved one it is again, or the last saved one it grew from. */
  const descentOf = (state: Rig): Descent => {
    const same = savedAs.get(state)
    if (same !== undefined) return { same }
    const grewFrom = [...(history.value?.past ?? [])].reverse().flatMap((past) => savedAs.get(past) ?? [])[0]
    return grewFrom === undefined ? {} : { grewFrom }
  }

  /** The server has spoken, or can't be heard. Only the latter is tried again by itself. */
  const notSaved = (error: unknown, now: Rig) => {
    if (error instanceof ApiRefusal && error.code === 'saved-elsewhere') {
      const newest = error.more['theirs'] as SavedRig
      // The answer to an earlier try was lost on its way: what stands there is our own edit.
      if (sameRig(newest.rig, now)) arrived({ ...newest, rig: now })
      else if (rig.value?.id === now.id) meetTheirs(newest)
      return
    }
    if (rig.value?.id !== now.id) return
    if (error instanceof ApiRefusal && (error.code === 'rig-put-away' || error.code === 'rig-unknown')) {
      saveState.value = 'removed'
      return
    }
    if (error instanceof ApiRefusal && error.status < 500 && error.code !== 'too-many' && error.code !== 'too-slow') {
      saveState.value = 'refused'
      refused.value = error.message
      return
    }
    saveState.value = 'waiting'
    waitingFor.value = waitingWords(error instanceof ApiRefusal ? error.code : 'no-connection')
    clearTimeout(timer)
    timer = setTimeout(() => void send(), RETRY_MS)
  }

  const send = async () => {
    const now = rig.value
    if (!now || sending || saveState.value === 'conflict' || saveState.value === 'removed') return
    if (now === savedRig) {
      // Undone and redone before anything was sent: what stands on the server is what is here.
      saveState.value = 'saved'
      dropDraft(now.id)
      return
    }
    sending = true
    saveState.value = 'saving'
    try {
      const saved: Receipt = await api.save(now, revision.value, lastEdit.value, descentOf(now))
      arrived({ ...saved, rig: now })
      channel?.postMessage({ id: now.id, revision: saved.revision })
    } catch (error) {
      notSaved(error, now)
    } finally {
      sending = false
      if (rig.value !== savedRig && saveState.value === 'saving') void send()
    }
  }

  const changed = () => {
    const now = rig.value
    if (!now) return
    const kept = keepDraft({ base: revision.value, rig: now })
    if (!kept)
      notice.value =
        'This browser has no room to keep the edit in case the page closes; it goes to storage in a moment.'
    if (saveState.value === 'conflict' || saveState.value === 'removed') return
    saveState.value = 'saving'
    clearTimeout(timer)
    timer = setTimeout(() => void send(), QUIET_MS)
  }

  let dragged = ''
  let draggedAt = 0
  /** Carries out an edit, or says in words why it can't be done. */
  const apply = (commands: readonly Command[], note: string, draggedBy = ''): boolean => {
    const context = contextStore.whole
    if (!history.value || !context) return false
    const edited = edit(history.value.present, commands, context.catalogue)
    if (!edited.ok) {
      refused.value = edited.issues[0] ? refusalSentence(edited.issues[0], style.value) : ''
      return false
    }
    refused.value = ''
    notice.value = ''
    lastEdit.value = note.slice(0, 200)
    // One drag is one step: what it passed through on the way is not worth an undo each.
    const goesOn =
      draggedBy !== '' &&
      draggedBy === dragged &&
      Date.now() - draggedAt < DRAG_PAUSE_MS &&
      history.value.past.length > 0
    history.value = goesOn ? { ...history.value, present: edited.value } : step(history.value, edited.value)
    line.value = { ...line.value, redo: [] }
    ;[dragged, draggedAt] = [draggedBy, Date.now()]
    changed()
    return true
  }

  const show = (next: History<Rig>, note: string) => {
    history.value = next
    dragged = ''
    lastEdit.value = note
    refused.value = ''
    changed()
  }

  /**
   * Steps back or forward: first through what this window did, then through the revisions saved before it was opened.
   */
  const walk = async (way: 'undo' | 'redo'): Promise<void> => {
    const before = history.value
    if (!before) return
    const next = way === 'undo' ? undo(before) : redo(before)
    try {
      if (next !== before) {
        const { catalogue } = contextStore
        const sound = catalogue !== undefined && soundnessIssues(next.present, catalogue).length === 0
        const present = sound ? next.present : await takeUp(next.present)
        if (history.value === before) show({ ...next, present }, way)
        return
      }
      const [number] = line.value[way]
      if (number === undefined) return
      const fetched = await api.revision(before.present.id, number)
      const state = await takeUp(fetched.rig)
      if (history.value !== before) return
      savedAs.set(state, number)
      const beyond = stepBeyond(before, line.value, way, state)
      line.value = beyond.line
      show(beyond.history, way)
    } catch (error) {
      refused.value = error instanceof Error ? error.message : 'That state could not be opened.'
    }
  }

  /** Goes back to a revision of the history; that is an edit like any other and can be undone. */
  const goTo = async (number: number): Promise<void> => {
    const before = history.value
    if (!before) return
    const { rig: then } = await api.revision(before.present.id, number)
    const state = await takeUp(then)
    if (history.value !== before) return
    line.value = { ...line.value, redo: [] }
    show(step(before, { ...state }), `back to revision ${number}`)
  }

  /** Where undo leads beyond this window; without an answer it ends with what this window did. */
  const readLine = async (id: string) => {
    const found = await api.line(id).catch(() => noLine)
    if (rig.value?.id === id && history.value?.past.length === 0) line.value = found
  }

  /** Opens a rig; edits the server never confirmed are taken up again. The rig that is open already stays as it is. */
  const open = async (id: string): Promise<void> => {
    if (rig.value?.id === id) {
      await contextStore.load()
      void look()
      return
    }
    clearTimeout(timer)
    // What is still unsaved of the rig open till now goes off first; its draft stays in the browser until it has
    // arrived.
    if (rig.value && rig.value !== savedRig) void send()
    history.value = undefined
    theirs.value = undefined
    refused.value = ''
    notice.value = ''
    line.value = noLine
    savedAs = new WeakMap()
    const [saved] = await Promise.all([api.rig(id), contextStore.load()])
    await contextStore.standIn([])
    const present = await takeUp(saved.rig)
    adopt({ ...saved, rig: present })
    saveState.value = 'saved'
    history.value = startHistory(present)
    void readLine(id)
    const draft = readDraft(id)
    if (!draft) return
    // The edit had arrived; only its answer came too late for the page that sent it.
    if (sameRig(draft.rig, saved.rig)) {
      dropDraft(id)
      return
    }
    history.value = step(startHistory(present), await takeUp(draft.rig))
    if (draft.base === saved.revision) changed()
    else meetTheirs(saved)
  }

  const takeTheirs = async () => {
    const newest = theirs.value
    if (!newest) return
    const present = await takeUp(newest.rig)
    adopt({ ...newest, rig: present })
    dropDraft(newest.rig.id)
    if (history.value) history.value = step(history.value, present)
    line.value = { ...line.value, redo: [] }
    theirs.value = undefined
    saveState.value = 'saved'
  }

  const keepMine = () => {
    if (!theirs.value) return
    revision.value = theirs.value.revision
    theirs.value = undefined
    saveState.value = 'saving'
    void send()
  }

  const copyId = (id: string): string => `${id.slice(0, 48)}-${Date.now().toString(36)}`

  /**
   * Puts this window's version on the shelf as a rig of its own and goes on with the other one here. @returns the
   * copy's id
   */
  const keepBoth = async (): Promise<string | undefined> => {
    const mine = rig.value
    if (!mine || !theirs.value) return undefined
    const copy: Rig = { ...mine, id: copyId(mine.id), name: `${mine.name.slice(0, 70)}, copy` }
    await api.create(copy, 'kept beside another version')
    await takeTheirs()
    return copy.id
  }

  /** The rig was put away elsewhere: puts it back on the shelf, and what is unsaved here goes on from there. */
  const putBack = async (): Promise<void> => {
    const mine = rig.value
    if (!mine) return
    const back = await api.putBack(mine.id)
    if (back.revision === revision.value || sameRig(back.rig, mine)) {
      saveState.value = 'saving'
      revision.value = back.revision
      void send()
    } else meetTheirs(back)
  }

  /** The rig was put away elsewhere: what stands here becomes a rig of its own. @returns its id */
  const saveAsNew = async (): Promise<string | undefined> => {
    const mine = rig.value
    if (!mine) return undefined
    const copy: Rig = { ...mine, id: copyId(mine.id) }
    await api.create(copy, 'saved as a new rig')
    dropDraft(mine.id)
    history.value = undefined
    return copy.id
  }

  /** Another window may have saved: look, and follow it when nothing is unsaved here; this window's own undo stays. */
  const look = async () => {
    const now = rig.value
    if (!now || saveState.value !== 'saved') return
    let saved: SavedRig
    try {
      saved = await api.rig(now.id)
    } catch (error) {
      const away = error instanceof ApiRefusal && (error.code === 'rig-put-away' || error.code === 'rig-unknown')
      if (away && rig.value === now) saveState.value = 'removed'
      return
    }
    if (saved.revision <= revision.value || rig.value !== now || saveState.value !== 'saved') return
    theirs.value = saved
    await takeTheirs()
    notice.value = `Another window saved this rig (revision ${saved.revision}); this is it. Undo brings back what stood here.`
  }
  channel?.addEventListener('message', ({ data }: MessageEvent<{ id: string; revision: number }>) => {
    if (data.id === rig.value?.id && data.revision > revision.value) void look()
  })

  // What surrounds the rig may change under it, such as a part taken out in another window: then the rig is taken up
  // anew.
  watch(
    () => judged.value.trouble,
    async (trouble) => {
      const before = history.value
      if (trouble === undefined || !before) return
      try {
        const present = await takeUp(before.present)
        if (history.value === before && present !== before.present) history.value = { ...before, present }
      } catch (error) {
        refused.value = error instanceof Error ? error.message : trouble
      }
    },
  )

  return {
    history,
    rig,
    told,
    setup,
    setupId,
    assessment,
    trouble: computed(() => judged.value.trouble ?? ''),
    style,
    revision,
    savedAt,
    saveState,
    waitingFor,
    theirs,
    refused,
    notice,
    canUndo,
    canRedo,
    apply,
    open,
    goTo,
    takeTheirs,
    keepMine,
    keepBoth,
    putBack,
    saveAsNew,
    look,
    undo: () => walk('undo'),
    redo: () => walk('redo'),
  }
})
