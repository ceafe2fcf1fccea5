<script setup lang="ts">
import { computed, ref } from 'vue'
import { RouterLink } from 'vue-router'
import { save } from '../save-file.ts'
import { readDraft } from '../stores/draft.ts'
import { useContext } from '../stores/context.ts'
import HistoryList from './HistoryList.vue'
import { api } from '../api.ts'

// What is shown where a screen or a rig could not be: what happened, that nothing is lost, and the ways on.
const props = defineProps<{ title: string; words: string; detail?: string; rigId?: string }>()
const emit = defineEmits<{ again: [] }>()
const context = useContext()
const trouble = ref('')
const looking = ref(false)
const showHistory = ref(false)
const draft = computed(() => (props.rigId ? readDraft(props.rigId) : undefined))

const attempt = async (what: () => Promise<void>) => {
  try {
    trouble.value = ''
    looking.value = true
    await what()
  } catch (error) {
    trouble.value = error instanceof Error ? error.message : String(error)
  } finally {
    looking.value = false
  }
}
const lastGood = () =>
  attempt(async () => {
    await context.load()
    if (!props.rigId || !context.whole) return
    // Judging revisions takes all the rules there are: they come when they are needed, not with every page.
    const { backToGood } = await import('../stores/rescue.ts')
    const found = await backToGood(props.rigId, context.whole)
    if (found === undefined)
      trouble.value = 'None of the last revisions can be laid out. Take the rig out as a file; it holds everything.'
    else emit('again')
  })
const goBack = (revision: number) =>
  attempt(async () => {
    if (!props.rigId) return
    const [{ rig }, { revisions }] = await Promise.all([
      api.revision(props.rigId, revision),
      api.revisions(props.rigId),
    ])
    await api.save(rig, revisions[0]?.revision ?? revision, `back to revision ${revision}`, { same: revision })
    emit('again')
  })
const saveDraft = () =>
  draft.value &&
  save(`${draft.value.rig.id}.unsaved.json`, JSON.stringify(draft.value.rig, null, 2), 'application/json')
</script>

<template>
  <section class="mx-auto w-full max-w-2xl px-6 py-10" role="alert" aria-labelledby="broken-title" data-testid="broken">
    <h1 id="broken-title" class="text-xl font-semibold">{{ title }}</h1>
    <p class="mt-2">{{ words }}</p>
    <p class="mt-2 text-soft">
      Nothing is lost. Every edit that was saved is in the history{{
        draft ? ', and the last one, unsaved, is kept in this browser' : ''
      }}.
    </p>
    <div class="mt-5 flex flex-wrap gap-2">
      <button class="btn btn-do" @click="$emit('again')">Try again</button>
      <template v-if="rigId">
        <button class="btn" :disabled="looking" @click="lastGood">Open the last good revision</button>
        <button class="btn" :aria-expanded="showHistory" @click="showHistory = !showHistory">History</button>
        <a class="btn" :href="`/api/rigs/${rigId}/file`" :download="`${rigId}.rig.json`">The rig as a file</a>
        <button v-if="draft" class="btn" @click="saveDraft">The unsaved edit as a file</button>
      </template>
      <RouterLink to="/" class="btn">To the shelf</RouterLink>
    </div>
    <p v-if="trouble" class="mt-4 text-brick">{{ trouble }}</p>
    <div v-if="showHistory && rigId" class="mt-5 flex flex-col border-t border-line">
      <HistoryList :rig-id="rigId" @back="goBack" />
    </div>
    <details v-if="detail" class="mt-6">
      <summary class="label cursor-pointer">For whoever mends the program</summary>
      <pre class="mt-2 max-h-60 overflow-auto rounded-lg border border-line p-3 text-[12px] whitespace-pre-wrap">{{
        detail
      }}</pre>
    </details>
  </section>
</template>
