import { evaluate } from '@zucchini/core/assess'
import { type Command, edit, type History, redo, type Rig, rigSchema, startHistory, step, undo } from '@zucchini/core/assembly'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { api, ApiRefusal, type SavedRig } from '../api.ts'
import { refusal, type Style } from '../wording.ts'
import { dropDraft, keepDraft, readDraft } from './draft.ts'
import { useSettings } from './settings.ts'
import { useShelf } from './shelf.ts'

const QUIET_MS = 250
const RETRY_MS = 3000
/** Slides of one piece that come faster than this after each other are one edit. */
const DRAG_PAUSE_MS = 1200

export type SaveState = 'saved' | 'saving' | 'waiting' | 'conflict'

/** Do two rigs say the same, whatever the order of their keys? */
const sameRig = (a: Rig | undefined, b: Rig): boolean =>
  a !== undefined && JSON.stringify(rigSchema.parse(a)) === JSON.stringify(rigSchema.parse(b))

/** The rig being worked on: its history of edits, its saving, and its assessment. */
export const useRig = defineStore('rig', () => {
  const shelfStore = useShelf()
  const settings = useSettings()
  const history = shallowRef<History<Rig>>()
  const revision = ref(0)
  const savedAt = ref('')
  const saveState = ref<SaveState>('saved')
  const theirs = shallowRef<SavedRig>()
  const setupId = ref('')
  const refused = ref('')
  const lastEdit = ref('')
  let savedRig: Rig | undefined
  let timer: ReturnType<typeof setTimeout> | undefined
  let sending = false
  const channel = typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel('zucchini-rigs')

  const rig = computed(() => history.value?.present)
  const setup = computed(() => rig.value?.setups.find(({ id }) => id === setupId.value) ?? rig.value?.setups[0])
  const assessment = computed(() => {
    const shelf = shelfStore.shelf
    return rig.value && setup.value && shelf ? evaluate(rig.value, setup.value.id, shelf) : undefined
  })
  const style = computed<Style>(() => ({ currency: rig.value?.brief.currency ?? 'EUR', units: settings.units }))
  const canUndo = computed(() => (history.value?.past.length ?? 0) > 0)
  const canRedo = computed(() => (history.value?.future.length ?? 0) > 0)

  const adopt = (saved: SavedRig) => {
    revision.value = saved.revision
    savedAt.value = saved.updatedAt
    savedRig = saved.rig
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

  const send = async () => {
    const now = rig.value
    if (!now || sending || saveState.value === 'conflict') return
    if (now === savedRig) {
      // Undone and redone before anything was sent: what stands on the server is what is here.
      saveState.value = 'saved'
      dropDraft(now.id)
      return
    }
    sending = true
    saveState.value = 'saving'
    try {
      const saved = await api.save(now, revision.value, lastEdit.value)
      arrived({ ...saved, rig: now })
      channel?.postMessage({ id: now.id, revision: saved.revision })
    } catch (error) {
      if (error instanceof ApiRefusal && error.code === 'saved-elsewhere') {
        const newest = error.more['theirs'] as SavedRig
        // The answer to an earlier try was lost on its way: what stands there is our own edit.
        if (sameRig(newest.rig, now)) arrived({ ...newest, rig: now })
        else if (rig.value?.id === now.id) meetTheirs(newest)
      } else if (rig.value?.id === now.id) {
        saveState.value = 'waiting'
        if (error instanceof ApiRefusal && error.status < 500) refused.value = error.message
        timer = setTimeout(() => void send(), RETRY_MS)
      }
    } finally {
      sending = false
      if (rig.value !== savedRig && saveState.value === 'saving') void send()
    }
  }

  const changed = () => {
    const now = rig.value
    if (!now) return
    keepDraft({ base: revision.value, rig: now })
    if (saveState.value === 'conflict') return
    saveState.value = 'saving'
    clearTimeout(timer)
    timer = setTimeout(() => void send(), QUIET_MS)
  }

  let dragged = ''
  let draggedAt = 0
  /** Carries out an edit, or says in words why it can't be done. */
  const apply = (commands: readonly Command[], note: string, draggedBy = ''): boolean => {
    const shelf = shelfStore.shelf
    if (!history.value || !shelf) return false
    const edited = edit(history.value.present, commands, shelf.catalogue)
    if (!edited.ok) {
      refused.value = edited.issues[0] ? refusal(edited.issues[0], style.value) : ''
      return false
    }
    refused.value = ''
    lastEdit.value = note.slice(0, 200)
    // One drag is one step: what it passed through on the way is not worth an undo each.
    const goesOn = draggedBy !== '' && draggedBy === dragged && Date.now() - draggedAt < DRAG_PAUSE_MS && history.value.past.length > 0
    history.value = goesOn ? { ...history.value, present: edited.value } : step(history.value, edited.value)
    ;[dragged, draggedAt] = [draggedBy, Date.now()]
    changed()
    return true
  }

  const walk = (way: typeof undo, note: string) => {
    if (!history.value) return
    const next = way(history.value)
    if (next === history.value) return
    history.value = next
    dragged = ''
    lastEdit.value = note
    changed()
  }

  /** Opens a rig; edits the server never confirmed are taken up again. The rig that is open already stays as it is. */
  const open = async (id: string): Promise<void> => {
    if (rig.value?.id === id) {
      await shelfStore.load()
      void look()
      return
    }
    clearTimeout(timer)
    // What is still unsaved of the rig open till now goes off first; its draft stays in the browser until it has arrived.
    if (rig.value && rig.value !== savedRig) void send()
    history.value = undefined
    theirs.value = undefined
    refused.value = ''
    const [saved] = await Promise.all([api.rig(id), shelfStore.load()])
    adopt(saved)
    saveState.value = 'saved'
    history.value = startHistory(saved.rig)
    const draft = readDraft(id)
    if (!draft) return
    history.value = step(startHistory(saved.rig), draft.rig)
    if (draft.base === saved.revision) changed()
    else meetTheirs(saved)
  }

  const takeTheirs = () => {
    if (!theirs.value) return
    adopt(theirs.value)
    dropDraft(theirs.value.rig.id)
    if (history.value) history.value = step(history.value, theirs.value.rig)
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

  /** Puts this window's version on the shelf as a rig of its own and goes on with the other one here. @returns the copy's id */
  const keepBoth = async (): Promise<string | undefined> => {
    const mine = rig.value
    if (!mine || !theirs.value) return undefined
    const copy: Rig = { ...mine, id: `${mine.id.slice(0, 48)}-${Date.now().toString(36)}`, name: `${mine.name.slice(0, 70)}, copy` }
    await api.create(copy, 'kept beside another version')
    takeTheirs()
    return copy.id
  }

  /** Another window may have saved: look, and follow it when nothing is unsaved here. */
  const look = async () => {
    const now = rig.value
    if (!now || saveState.value !== 'saved') return
    const saved = await api.rig(now.id).catch(() => undefined)
    if (!saved || saved.revision <= revision.value || rig.value !== now) return
    theirs.value = saved
    saveState.value = 'conflict'
  }
  channel?.addEventListener('message', ({ data }: MessageEvent<{ id: string; revision: number }>) => {
    if (data.id === rig.value?.id && data.revision > revision.value) void look()
  })

  return {
    history,
    rig,
    setup,
    setupId,
    assessment,
    style,
    revision,
    savedAt,
    saveState,
    theirs,
    refused,
    canUndo,
    canRedo,
    apply,
    open,
    takeTheirs,
    keepMine,
    keepBoth,
    look,
    undo: () => walk(undo, 'undo'),
    redo: () => walk(redo, 'redo'),
  }
})
