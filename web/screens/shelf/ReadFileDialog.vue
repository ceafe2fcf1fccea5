<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { ref, shallowRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import { api, type FileAnswer } from '../../api.ts'
import { useContext } from '../../stores/context.ts'

const LARGEST_BYTES = 2_000_000

const props = defineProps<{ file: File | undefined }>()
const emit = defineEmits<{ close: [] }>()
const router = useRouter()
const context = useContext()
const answer = shallowRef<FileAnswer>()
const trouble = ref('')
let text = ''

const refuse = (error: unknown) =>
  (trouble.value = error instanceof Error ? error.message : 'The file could not be read.')
watch(
  () => props.file,
  async (file) => {
    answer.value = undefined
    trouble.value = ''
    if (!file) return
    if (file.size > LARGEST_BYTES) {
      trouble.value = 'A rig file may have 2 MB at most; this one is larger.'
      return
    }
    try {
      text = await file.text()
      answer.value = await api.readFile(text, true)
    } catch (error) {
      refuse(error)
    }
  },
)
const take = async () => {
  try {
    const done = await api.readFile(text, false)
    await context.reload()
    emit('close')
    await router.push({ name: 'bench', params: { id: done.rigId } })
  } catch (error) {
    refuse(error)
  }
}
</script>

<template>
  <Dialog :open="file !== undefined" class="relative z-50" @close="$emit('close')">
    <div class="fixed inset-0 bg-black/30" aria-hidden="true" />
    <div class="fixed inset-0 flex items-center justify-center p-6">
      <DialogPanel
        class="max-h-full w-full max-w-lg overflow-y-auto rounded-xl border border-line bg-card p-6 shadow-xl"
      >
        <DialogTitle class="text-lg font-semibold">{{ file?.name }}</DialogTitle>
        <p v-if="trouble" class="mt-3 text-brick" role="alert">{{ trouble }}</p>
        <template v-else-if="answer?.ok">
          <p class="mt-3">
            Holds <strong>{{ answer.name }}</strong>. Nothing has been changed yet.
          </p>
          <ul class="mt-2 list-disc pl-5">
            <li>It goes on the shelf as a rig of its own.</li>
            <li v-if="answer.newParts.length">
              {{ answer.newParts.length }} new in the catalogue: {{ answer.newParts.join(', ') }}
            </li>
            <li v-if="answer.differing.length">
              {{ answer.differing.length }} known here with other data; yours stay: {{ answer.differing.join(', ') }}
            </li>
            <li v-if="answer.limits">
              It carries {{ answer.limits }} limits of whoever wrote it; here your own judge it.
            </li>
          </ul>
        </template>
        <template v-else-if="answer">
          <p class="mt-3 font-semibold text-brick" role="alert">This file can’t be taken in. Nothing was changed.</p>
          <ul class="mt-2">
            <li v-for="(issue, i) in answer.issues.slice(0, 12)" :key="i" class="border-t border-line py-1">
              <code v-if="issue.path" class="label">{{ issue.path }}</code> {{ issue.message }}
            </li>
          </ul>
        </template>
        <p v-else class="mt-3 text-soft">Reading ...</p>
        <div class="mt-5 flex gap-2">
          <button v-if="answer?.ok" class="btn btn-do" @click="take">Put it on the shelf</button
          ><button class="btn" @click="$emit('close')">{{ answer?.ok ? 'Not now' : 'Close' }}</button>
        </div>
      </DialogPanel>
    </div>
  </Dialog>
</template>
