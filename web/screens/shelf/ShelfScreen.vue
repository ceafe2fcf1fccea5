<script setup lang="ts">
import { evaluate } from '@zucchini/core/assess'
import { levels } from '@zucchini/core/checks'
import { formatDistanceToNow } from 'date-fns'
import { Plus, Trash2 } from '@lucide/vue'
import { computed, ref, shallowRef } from 'vue'
import { RouterLink } from 'vue-router'
import { api, type SavedRig } from '../../api.ts'
import RigSketch from '../../drawing/RigSketch.vue'
import { useSettings } from '../../stores/settings.ts'
import { useShelf } from '../../stores/shelf.ts'
import LevelMark from '../../widgets/LevelMark.vue'
import TopBar from '../../widgets/TopBar.vue'
import { runsScale } from '../bench/held-scale.ts'
import { grams, money } from '../../wording.ts'
import NewRigDialog from './NewRigDialog.vue'
import ReadFileDialog from './ReadFileDialog.vue'

const noRuns = { figure: '–', state: 'none' } as const
const shelf = useShelf()
const settings = useSettings()
const rigs = shallowRef<readonly SavedRig[]>()
const trouble = ref('')
const making = ref(false)
const file = shallowRef<File>()
const chooseFile = (event: Event) => {
  const input = event.target as HTMLInputElement
  file.value = input.files?.[0]
  input.value = ''
}
const removed = shallowRef<SavedRig>()

const load = async () => {
  try {
    const [answer] = await Promise.all([api.rigs(), shelf.load()])
    rigs.value = answer.rigs
    trouble.value = ''
  } catch (error) {
    trouble.value =
      error instanceof Error && error.name !== 'TypeError'
        ? error.message
        : 'The server does not answer. Is it still running? Start it again and reload this page.'
  }
}
void load()

const cards = computed(() => {
  const around = shelf.shelf
  if (!rigs.value || !around) return []
  return rigs.value.map((saved) => {
    const { rig } = saved
    const all = rig.setups.map((setup) => evaluate(rig, setup.id, around, false))
    const assessment = all[0]
    const counts = levels.map((level) => ({
      level,
      n: Math.max(...all.map(({ findings }) => findings.filter((finding) => finding.level === level).length)),
    }))
    return { saved, rig, assessment, runs: assessment ? runsScale(assessment) : noRuns, counts, worst: counts.find(({ n }) => n > 0) }
  })
})
const remove = async (saved: SavedRig) => {
  await api.remove(saved.rig.id)
  removed.value = saved
  await load()
}
const putBack = async () => {
  if (removed.value) await api.putBack(removed.value.rig.id)
  removed.value = undefined
  await load()
}
</script>

<template>
  <TopBar>
    <nav class="flex items-baseline gap-4" aria-label="Places">
      <span class="font-semibold" aria-current="page">Shelf</span>
      <RouterLink :to="{ name: 'locker' }" class="text-soft hover:text-ink">Locker</RouterLink>
      <RouterLink :to="{ name: 'catalogue' }" class="text-soft hover:text-ink">Catalogue</RouterLink>
    </nav>
    <template #end
      ><label class="btn cursor-pointer has-focus-visible:outline-2 has-focus-visible:outline-leaf"
        >Read a file<input type="file" accept=".json,application/json" class="sr-only" aria-label="Read a rig file" @change="chooseFile"
      /></label>
      <button class="btn btn-do" @click="making = true"><Plus class="size-4" aria-hidden="true" /> New rig</button></template
    >
  </TopBar>
  <main class="mx-auto max-w-6xl px-6 py-6">
    <h1 class="text-xl font-semibold">Shelf</h1>
    <p class="mt-0.5 text-soft">Every rig as it stands: what it weighs, what it still costs, and the worst that is known about it.</p>
    <p v-if="trouble" class="mt-4 rounded-lg border border-brick px-4 py-3" role="alert">
      {{ trouble }} <button class="btn ml-2" @click="load">Try again</button>
    </p>
    <p v-if="removed" class="mt-4 rounded-lg bg-blossom-tint px-4 py-2" role="status">
      “{{ removed.rig.name }}” is off the shelf. <button class="btn ml-2 py-0.5" @click="putBack">Put it back</button>
    </p>
    <ul class="mt-5 grid grid-cols-1 gap-5 min-[760px]:grid-cols-2 min-[1100px]:grid-cols-3">
      <li
        v-for="card in cards"
        :key="card.rig.id"
        class="group relative flex flex-col rounded-xl border border-line bg-card hover:border-soft"
      >
        <RouterLink :to="{ name: 'bench', params: { id: card.rig.id } }" class="flex flex-1 flex-col rounded-xl" :data-rig="card.rig.id">
          <span class="grid h-[236px] place-items-center border-b border-line"
            ><RigSketch v-if="card.assessment" :assembly="card.assessment.assembly" view="side" :width="330" :height="224" :pad="12"
          /></span>
          <span class="px-4 pt-3 text-[15px] font-semibold">{{ card.rig.name }}</span>
          <span v-if="card.assessment" class="mt-2 grid grid-cols-[1fr_1.15fr_1fr_auto] gap-2 px-4">
            <span
              ><span class="label block">in the hand</span
              ><span class="fig text-[16px]">{{ grams(card.assessment.mass.inHandG, settings.units) }}</span></span
            >
            <span
              ><span class="label block">still to buy</span
              ><span class="fig text-[16px]">{{ money(card.assessment.cost.usual, card.rig.brief.currency) }}</span></span
            >
            <span
              ><span class="label block">runs</span
              ><span class="fig text-[16px]" :class="{ 'text-brick': card.runs.state === 'over' }">{{ card.runs.figure }}</span></span
            >
            <span
              ><span class="label block">set-ups</span><span class="fig text-[16px]">{{ card.rig.setups.length }}</span></span
            >
          </span>
          <span class="mt-2.5 flex items-center gap-3 border-t border-line px-4 py-2.5">
            <template v-for="{ level, n } in card.counts" :key="level">
              <span v-if="n > 0" class="flex items-center gap-1.5"
                ><LevelMark :level="level" />{{ n }} {{ level }}{{ n > 1 ? 's' : '' }}</span
              >
            </template>
            <span v-if="!card.worst" class="flex items-center gap-1.5"><LevelMark level="ok" />nothing to say</span>
          </span>
        </RouterLink>
        <span class="label flex items-center px-4 pb-2.5">
          {{ formatDistanceToNow(new Date(card.saved.updatedAt), { addSuffix: true }) }}, revision {{ card.saved.revision }}
          <RouterLink
            :to="{ name: 'brief', params: { id: card.rig.id } }"
            class="ml-auto underline decoration-line underline-offset-3 hover:decoration-ink"
            >brief</RouterLink
          >
          <a
            class="ml-3 underline decoration-line underline-offset-3 hover:decoration-ink"
            :href="`/api/rigs/${card.rig.id}/file`"
            :download="`${card.rig.id}.rig.json`"
            >file</a
          >
          <button
            class="ml-3 rounded p-1 hover:text-brick"
            :aria-label="`Take ${card.rig.name} off the shelf`"
            title="Take off the shelf"
            @click="remove(card.saved)"
          >
            <Trash2 class="size-4" aria-hidden="true" />
          </button>
        </span>
      </li>
      <li v-if="rigs && cards.length === 0" class="rounded-xl border border-dashed border-line p-8 text-soft">
        <p class="font-semibold text-ink">The shelf is empty</p>
        <p class="mt-1">
          Start with the camera you have and the shoot it is for. The bench then shows what fits on it, what it weighs and what it still
          costs.
        </p>
        <button class="btn btn-do mt-3" @click="making = true">New rig</button>
      </li>
    </ul>
    <ReadFileDialog :file="file" @close="file = undefined" />
    <NewRigDialog :open="making" @close="making = false" />
  </main>
</template>
