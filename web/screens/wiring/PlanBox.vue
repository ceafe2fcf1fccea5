<script setup lang="ts">
import type { Proposal, SchoolLine } from '@zucchini/core/assess'
import { computed, shallowRef, watch } from 'vue'
import { useRig } from '../../stores/rig.ts'
import { benchWorker } from '../../workers/client.ts'
import { grams, hours, money, signed } from '../../wording.ts'
import LevelMark from '../../widgets/LevelMark.vue'
import { openWords, schoolWhy, schoolWords } from './wiring-words.ts'

const store = useRig()
const proposal = shallowRef<Proposal>()
const schools = shallowRef<readonly SchoolLine[]>()
let asked = 0
watch(
  () => [store.rig, store.setup?.id] as const,
  async ([rig, setup]) => {
    const turn = ++asked
    if (!rig || !setup) return
    const worker = benchWorker()
    const found = await worker.wiring(rig, setup, false)
    if (turn !== asked) return
    proposal.value = found
    const lines = await worker.schools(rig, setup)
    if (turn === asked) schools.value = lines
  },
  { immediate: true },
)
const plan = () => {
  const now = proposal.value
  if (now) store.apply(now.commands, `plug in ${now.leads.length} leads`)
}
const anew = async () => {
  const { rig, setup } = store
  if (!rig || !setup) return
  const found = await benchWorker().wiring(rig, setup.id, true)
  if (store.rig === rig) store.apply(found.commands, 'wire it from nothing')
}
const counts = (line: SchoolLine) =>
  (['stop', 'risk'] as const)
    .filter((level) => line.findings[level] > 0)
    .map((level) => `${line.findings[level]} ${level}${line.findings[level] > 1 ? 's' : ''}`)
    .join(', ') || 'no stop or risk'
const summary = computed(() => {
  const now = proposal.value
  if (!now) return ''
  if (now.leads.length === 0 && now.open.length === 0) return 'Everything that needs a lead has one.'
  const buy = now.toBuyMinor > 0 ? `, ${money(now.toBuyMinor, store.style.currency)} to buy` : ''
  return now.leads.length > 0
    ? `${now.leads.length} more ${now.leads.length === 1 ? 'lead' : 'leads'} would do${buy}.`
    : ''
})
</script>

<template>
  <section aria-label="What is missing">
    <h2 class="flex items-baseline border-b border-line pb-1 font-semibold">
      What is missing
      <button
        class="ml-auto text-[12.5px] font-normal text-soft underline decoration-line underline-offset-3 hover:text-ink"
        @click="anew"
      >
        wire it anew
      </button>
    </h2>
    <p v-if="!proposal" class="label py-2">Looking for leads ...</p>
    <template v-else>
      <p v-if="summary" class="py-1.5" data-testid="plan-summary">{{ summary }}</p>
      <ul>
        <li
          v-for="line in proposal.leads"
          :key="`${line.from}-${line.to}`"
          class="border-b border-line py-1.5 leading-snug"
        >
          {{ line.name }}
          <span class="label tight block">{{ line.what }}: {{ line.from }} to {{ line.to }}</span>
        </li>
        <li
          v-for="line in proposal.open"
          :key="`${line.what}-${line.piece}`"
          class="border-b border-line py-1.5 leading-snug"
        >
          <strong>No {{ line.what }} for {{ line.piece }}.</strong> {{ openWords[line.why] }}
        </li>
      </ul>
      <button v-if="proposal.leads.length" class="btn btn-do mt-2" @click="plan">
        Plug {{ proposal.leads.length === 1 ? 'it' : 'them' }} in
      </button>
      <p v-if="!proposal.exact" class="label mt-1">
        There are too many ways to try them all; this is the best of {{ proposal.tried.toLocaleString('en') }} steps.
      </p>
    </template>
  </section>
  <section aria-label="Ways to power the camera">
    <h2 class="border-b border-line pb-1 font-semibold">Ways to power the camera</h2>
    <p v-if="!schools" class="label py-2">Wiring it each way ...</p>
    <ul v-else>
      <li v-for="line in schools" :key="line.school" class="border-b border-line py-1.5" :data-school="line.school">
        <span class="flex items-baseline gap-2"
          ><strong>{{ schoolWords[line.school][0] }}</strong
          ><span v-if="line.now" class="label">as it is</span
          ><button
            v-else-if="!line.why"
            class="cure ml-auto"
            @click="store.apply(line.commands, `power the camera: ${schoolWords[line.school][0]}`)"
          >
            {{ line.brings.length ? 'take it all the same' : 'take this' }}
          </button></span
        >
        <span v-if="line.why" class="label block leading-snug">{{ schoolWhy[line.why] }}</span>
        <template v-else>
          <span class="label block leading-snug">{{ schoolWords[line.school][1] }}</span>
          <span class="tight block"
            >camera {{ hours(line.cameraMin) }} ·
            {{
              Number.isFinite(line.failsAtMin) ? `day fails at ${hours(line.failsAtMin)}` : 'the day is covered'
            }}</span
          >
          <span class="tight block text-soft"
            >{{ line.massG === 0 ? 'same mass' : signed(line.massG, (g) => grams(g, store.style.units)) }} ·
            {{
              line.toBuyMinor === 0 ? 'nothing to buy' : signed(line.toBuyMinor, (m) => money(m, store.style.currency))
            }}
            · {{ counts(line) }}{{ line.doorOpen ? ' · door stays open' : '' }}</span
          >
          <span v-if="line.brings.length" class="flex items-baseline gap-1.5 leading-snug" data-testid="brings"
            ><LevelMark level="risk" class="size-2.5! shrink-0" /><span
              >brings: {{ line.brings.join(', ').toLowerCase() }}</span
            ></span
          >
        </template>
      </li>
    </ul>
  </section>
</template>
