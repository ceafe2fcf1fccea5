<script setup lang="ts">
import { format, formatDistanceToNow } from 'date-fns'
import { computed, ref, shallowRef, watch } from 'vue'
import { api, type HistoryEntry } from '../api.ts'

const props = defineProps<{ rigId: string; present?: number }>()
defineEmits<{ back: [revision: number] }>()

const entries = shallowRef<readonly HistoryEntry[]>([])
const more = ref(false)
const trouble = ref('')
const naming = ref(0)
const name = ref('')

const read = async (before?: number) => {
  try {
    const answer = await api.revisions(props.rigId, before)
    entries.value = before === undefined ? answer.revisions : [...entries.value, ...answer.revisions]
    more.value = answer.more
    trouble.value = ''
  } catch (error) {
    trouble.value = error instanceof Error ? error.message : 'The history could not be read.'
  }
}
watch([() => props.rigId, () => props.present], () => void read(), { immediate: true })

const keepName = async (revision: number) => {
  try {
    await api.nameRevision(props.rigId, revision, name.value.trim() || null)
    entries.value = entries.value.map((one) =>
      one.revision === revision ? { ...one, name: name.value.trim() || null } : one,
    )
    naming.value = 0
  } catch (error) {
    trouble.value = error instanceof Error ? error.message : 'The name could not be kept.'
  }
}
const startNaming = (entry: HistoryEntry) => {
  naming.value = entry.revision
  name.value = entry.name ?? ''
}
const newest = computed(() => props.present ?? entries.value[0]?.revision)
const when = (moment: string) => format(new Date(moment), 'd MMM yyyy, HH:mm')
const ago = (moment: string) => formatDistanceToNow(new Date(moment), { addSuffix: true })
</script>

<template>
  <p v-if="trouble" class="py-2 text-brick" role="alert">{{ trouble }}</p>
  <ol class="flex flex-col" aria-label="Revisions, newest first">
    <li
      v-for="entry in entries"
      :key="entry.revision"
      class="grid grid-cols-[52px_minmax(0,1fr)_auto] items-baseline gap-x-3 border-b border-line py-2"
      :data-revision="entry.revision"
    >
      <span class="fig text-right text-soft">{{ entry.revision }}</span>
      <span class="min-w-0">
        <strong v-if="entry.name" class="tag mr-1.5">{{ entry.name }}</strong><span>{{ entry.note || 'edited' }}</span>
        <span class="label block" :title="when(entry.savedAt)">{{ ago(entry.savedAt) }}</span>
      </span>
      <span class="flex gap-1.5">
        <form v-if="naming === entry.revision" class="flex gap-1.5" @submit.prevent="keepName(entry.revision)">
          <input
            v-model="name"
            class="field w-36 py-0.5"
            maxlength="80"
            aria-label="Name of this revision"
            placeholder="as shot, day one"
          />
          <button class="btn py-0.5" type="submit">Keep</button>
        </form>
        <template v-else>
          <button
            class="btn px-2 py-0.5"
            :title="`Name revision ${entry.revision}, so that it always stays`"
            @click="startNaming(entry)"
          >
            {{ entry.name ? 'Rename' : 'Name it' }}
          </button>
          <span v-if="entry.revision === newest" class="label self-center">as it is now</span>
          <button v-else class="btn px-2 py-0.5" @click="$emit('back', entry.revision)">Go back to it</button>
        </template>
      </span>
    </li>
  </ol>
  <button v-if="more" class="btn mt-2 self-start" @click="read(entries.at(-1)?.revision)">Older ones</button>
</template>
