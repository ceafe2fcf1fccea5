<script setup lang="ts">
import { leadsCsv, powerCsv } from '@zucchini/core/assess'
import { computed, ref, shallowRef, watch } from 'vue'
import { RouterLink } from 'vue-router'
import { useRig } from '../../stores/rig.ts'
import ChargeChart from '../../widgets/ChargeChart.vue'
import RigBar from '../../widgets/RigBar.vue'
import SetupTabs from '../../widgets/SetupTabs.vue'
import { save } from '../../save-file.ts'
import FindingsPanel from '../bench/FindingsPanel.vue'
import { useRigOfRoute } from '../rig-of-route.ts'
import ConnectList from './ConnectList.vue'
import DayTables from './DayTables.vue'
import { daySamples } from './day-samples.ts'
import { type Laid, layOut } from './layout.ts'
import LeadCard from './LeadCard.vue'
import PlanBox from './PlanBox.vue'
import SocketCard from './SocketCard.vue'
import WiringDrawing from './WiringDrawing.vue'
import { graphOf } from './wiring-graph.ts'

const store = useRig()
const cable = ref('')
const port = ref('')

const trouble = useRigOfRoute((asked) => {
  cable.value = asked('lead') ?? cable.value
})
const assessment = computed(() => store.assessment)
const laid = shallowRef<Laid>()
let asked = 0
watch(
  [assessment, () => store.style.units],
  async ([now]) => {
    const turn = ++asked
    if (!now) return
    const found = await layOut(graphOf(now, store.style))
    if (turn === asked) laid.value = found
  },
  { immediate: true },
)
const run = computed(() => assessment.value?.facts.leads.find(({ link }) => link.cable === cable.value))
const socketInHand = computed(() => {
  const [instance, socket] = [
    port.value.slice(0, port.value.indexOf('/')),
    port.value.slice(port.value.indexOf('/') + 1),
  ]
  return assessment.value?.assembly.byInstance.get(instance)?.part.sockets?.some(({ id }) => id === socket)
    ? { instance, socket }
    : undefined
})
const day = computed(() => (assessment.value ? daySamples(assessment.value) : undefined))
const pickCable = (id: string) => {
  cable.value = id
  port.value = ''
}
const pickPort = (id: string) => {
  port.value = id
  cable.value = ''
}
const drop = () => {
  cable.value = ''
  port.value = ''
}
const takeOut = (what: 'leads' | 'power') => {
  const now = assessment.value
  if (!now) return
  const stem = `${now.assembly.rig.id}-${now.assembly.setup.id}-${what}.csv`
  save(stem, what === 'leads' ? leadsCsv(now) : powerCsv(now), 'text/csv;charset=utf-8')
}
</script>

<template>
  <div class="relative flex h-full min-h-0 flex-col overflow-hidden" @keydown.esc="drop">
    <RigBar here="Wiring" />
    <p v-if="trouble" class="p-8" role="alert">{{ trouble }}</p>
    <main v-if="assessment" class="flex min-h-0 flex-1">
      <div class="flex min-w-0 flex-1 flex-col">
        <div class="flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-line px-4 py-1.5">
          <h1 class="sr-only">Wiring of {{ store.rig?.name }}</h1>
          <SetupTabs />
          <span class="ml-auto flex items-center gap-2">
            <button
              class="btn px-2 py-0.5"
              title="All leads with their ends and lengths, as CSV"
              @click="takeOut('leads')"
            >
              Leads, CSV
            </button>
            <button class="btn px-2 py-0.5" title="All that draws and gives power, as CSV" @click="takeOut('power')">
              Power, CSV
            </button>
            <RouterLink
              v-if="store.rig && store.setup"
              class="btn btn-do px-2 py-0.5"
              :to="{ name: 'rehearsal', params: { id: store.rig.id }, query: { setup: store.setup.id } }"
              >Rehearse the day</RouterLink
            >
          </span>
        </div>
        <WiringDrawing
          v-if="laid && laid.nodes.length"
          :laid="laid"
          :cable="cable"
          :port="port"
          @cable="pickCable"
          @port="pickPort"
          @nothing="drop"
        />
        <p v-else class="grid flex-1 place-items-center text-soft">
          {{
            laid
              ? 'Nothing on this set-up has a socket. Put a monitor, a mic or a battery on at the bench.'
              : 'Laying out the leads ...'
          }}
        </p>
        <div class="grid h-[238px] shrink-0 grid-cols-[minmax(0,1fr)_minmax(0,0.95fr)] border-t border-line bg-card">
          <section
            v-ask="['fact day', assessment]"
            class="flex min-w-0 flex-col px-4 pt-2 pb-1"
            aria-label="The day’s charge"
          >
            <h2 class="font-semibold">The day’s charge</h2>
            <ChargeChart
              v-if="day && day.samples.length > 1"
              class="flex-1"
              :samples="day.samples"
              :names="day.names"
              :minutes="assessment.facts.day.minutes"
              label="Charge of every pack over the day, in percent; the figures stand in the table beside it"
            />
            <p v-else class="label mt-2">No hours in the brief yet.</p>
          </section>
          <div class="min-h-0 border-l border-line px-4 pt-2"><DayTables :assessment="assessment" /></div>
        </div>
      </div>
      <aside
        class="flex w-[312px] shrink-0 flex-col gap-4 overflow-y-auto border-l border-line bg-card px-4 py-3"
        aria-label="Leads and findings"
      >
        <LeadCard v-if="run" :run="run" @close="drop" />
        <SocketCard
          v-else-if="socketInHand"
          :instance="socketInHand.instance"
          :socket="socketInHand.socket"
          @close="drop"
        />
        <template v-else>
          <PlanBox />
          <ConnectList :assessment="assessment" />
        </template>
        <FindingsPanel
          class="flex-none!"
          :assessment="assessment"
          :only="['power', 'picture', 'sound']"
          title="What the wiring says"
        />
      </aside>
    </main>
  </div>
</template>
