<script setup lang="ts">
import { newRig } from '@zucchini/core/assembly'
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { z } from 'zod'
import { api, ApiRefusal } from '../../api.ts'
import { useContext } from '../../stores/context.ts'
import Field from '../../widgets/Field.vue'
import { useSchemaForm } from '../../widgets/form.ts'
import { partGrams } from '../../wording.ts'

const props = defineProps<{ open: boolean }>()
const emit = defineEmits<{ close: [] }>()
const context = useContext()
const router = useRouter()
const chosen = ref('')
const trouble = ref('')
// The shelf itself needs no catalogue; a new rig does.
watch(
  () => props.open,
  (open) => {
    if (open)
      context
        .load()
        .catch(
          (error: unknown) =>
            (trouble.value = error instanceof Error ? error.message : 'The catalogue could not be read.'),
        )
  },
)
const cameras = computed(() =>
  [...(context.catalogue?.byRole.get('camera') ?? [])].sort(
    (a, b) => (context.owned.get(b.id) ?? 0) - (context.owned.get(a.id) ?? 0),
  ),
)
const camera = computed(() => chosen.value || cameras.value[0]?.id || '')

const slug = (text: string) =>
  text
    .toLowerCase()
    .normalize('NFKD')
    .replaceAll(/[^a-z0-9]+/g, '-')
    .replaceAll(/^-+|-+$/g, '')
    .slice(0, 40) || 'rig'
const NAME = 'Give the rig a name, such as the shoot it is for.'
const wanted = z.strictObject({ name: z.string().trim().min(1).max(80) })
const { submit } = useSchemaForm<z.infer<typeof wanted>>(
  wanted,
  { name: '' },
  async ({ name }) => {
    trouble.value = ''
    // Whoever types fast is done before the catalogue is here, and the camera comes from it.
    await context.load().catch(() => undefined)
    if (!camera.value) {
      trouble.value = 'The catalogue could not be read, so there is no camera to begin with. Try again in a moment.'
      return
    }
    for (const end of ['', '-2', '-3', `-${Date.now().toString(36)}`])
      try {
        const { rig } = await api.create(newRig(`${slug(name)}${end}`, name, camera.value), 'new rig')
        emit('close')
        await router.push({ name: 'brief', params: { id: rig.id } })
        return
      } catch (error) {
        if (error instanceof ApiRefusal && error.code === 'rig-exists') continue
        trouble.value = error instanceof Error ? error.message : 'The rig could not be saved.'
        return
      }
  },
  { name: NAME },
)
</script>

<template>
  <Dialog :open="open" class="relative z-50" @close="$emit('close')">
    <div class="fixed inset-0 bg-black/30" aria-hidden="true" />
    <div class="fixed inset-0 flex items-center justify-center p-6">
      <DialogPanel class="w-full max-w-md rounded-xl border border-line bg-card p-6 shadow-xl">
        <DialogTitle class="text-lg font-semibold">New rig</DialogTitle>
        <form class="mt-4 flex flex-col gap-4" novalidate @submit="submit">
          <Field name="name" label="What is it for?" :longest="80" hint="Two days on the ferry" autofocus />
          <fieldset>
            <legend class="label mb-1">Which camera?</legend>
            <label
              v-for="part in cameras"
              :key="part.id"
              class="flex cursor-pointer items-baseline gap-2 border-b border-line py-1.5"
            >
              <input
                type="radio"
                name="camera"
                class="accent-leaf"
                :value="part.id"
                :checked="part.id === camera"
                @change="chosen = part.id"
              />
              <span>{{ part.name }}</span><span v-if="context.owned.get(part.id)" class="tag">owned</span
              ><span class="label ml-auto">{{ partGrams(part) }}</span>
            </label>
          </fieldset>
          <p v-if="trouble" class="text-brick" role="alert">{{ trouble }}</p>
          <div class="flex gap-2">
            <button class="btn btn-do" type="submit">Start</button
            ><button class="btn" type="button" @click="$emit('close')">Not now</button>
          </div>
        </form>
      </DialogPanel>
    </div>
  </Dialog>
</template>
