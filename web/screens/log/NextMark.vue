<script setup lang="ts">
import { nextMarkName } from '@zucchini/core/assess'
import { computed, ref, shallowRef, useId } from 'vue'
import { useRouter } from 'vue-router'
import { api, ApiRefusal, type ShelfEntry } from '../../api.ts'
import { useRig } from '../../stores/rig.ts'

// The next mark grows from this one: a rig of its own, on whose bench the days' lessons stand as findings with ways out.
const store = useRig()
const router = useRouter()
const trouble = ref('')
const others = shallowRef<readonly ShelfEntry[]>([])
const id = useId()
/** The next name that no rig on the shelf has yet. */
const name = computed(() => {
  const taken = new Set(others.value.map((one) => one.name))
  let next = nextMarkName(store.rig?.name ?? '')
  for (let tries = 0; taken.has(next) && tries < MOST_MARKS; tries++) next = nextMarkName(next)
  return next
})
const MOST_MARKS = 9
const isMaking = ref(false)
const make = async () => {
  const { rig } = store
  if (!rig || isMaking.value) return
  isMaking.value = true
  try {
    trouble.value = ''
    const copy = { ...rig, id: `${rig.id.slice(0, 48)}-${Date.now().toString(36)}`, name: name.value }
    await api.create(copy, `grown from ${rig.name}, revision ${store.revision}`)
    await router.push({ name: 'bench', params: { id: copy.id } })
  } catch (error) {
    trouble.value = error instanceof ApiRefusal ? error.message : 'The program does not answer. Nothing was made.'
  } finally {
    isMaking.value = false
  }
}

void api
  .shelf()
  .then(({ rigs }) => (others.value = rigs))
  .catch(() => undefined)
const beside = (other: string) => {
  if (other && store.rig) void router.push({ name: 'beside', params: { id: store.rig.id, other } })
}
</script>

<template>
  <div>
    <p class="label">
      A rig of its own that begins as this one. What the days taught stands on its bench as findings, each with its ways
      out.
    </p>
    <div class="mt-2 flex flex-wrap items-center gap-2">
      <button class="btn btn-do" :disabled="isMaking" data-make-mark @click="make">Open “{{ name }}”</button>
      <label class="label ml-1" :for="id">or lay this one beside</label>
      <select :id="id" class="field py-1" value="" @change="beside(($event.target as HTMLSelectElement).value)">
        <option value="">another rig</option>
        <option v-for="other in others.filter((one) => one.id !== store.rig?.id)" :key="other.id" :value="other.id">
          {{ other.name }}
        </option>
      </select>
    </div>
    <p v-if="trouble" class="mt-1 text-brick" role="alert">{{ trouble }}</p>
  </div>
</template>
