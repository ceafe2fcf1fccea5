<script setup lang="ts">
import { evaluate } from '@zucchini/core/assess'
import type { Orientation, Support } from '@zucchini/core/assembly'
import { changeoverOf } from '@zucchini/core/build-order'
import { paceOf } from '@zucchini/core/checks'
import { computed, ref } from 'vue'
import { useRig } from '../../stores/rig.ts'
import { useContext } from '../../stores/context.ts'
import RigBar from '../../widgets/RigBar.vue'
import { useRigOfRoute } from '../rig-of-route.ts'
import ChangeoverList from './ChangeoverList.vue'
import ChangeoverMatrix, { type Side } from './ChangeoverMatrix.vue'
import CompareTable from './CompareTable.vue'
import SetupCard from './SetupCard.vue'

const store = useRig()
const context = useContext()
const picked = ref<readonly string[]>([])

const trouble = useRigOfRoute((asked) => {
  const all = store.rig?.setups.map(({ id }) => id) ?? []
  // From the set-up one comes from, to the next.
  const from = all.includes(asked('from') ?? '') ? (asked('from') ?? '') : (all[0] ?? '')
  picked.value = [from, ...all.filter((id) => id !== from)].slice(0, 2)
})
const cards = computed(() => {
  const around = context.whole
  const { rig } = store
  return rig && around ? rig.setups.map((setup) => ({ setup, assessment: evaluate(rig, setup.id, around) })) : []
})
/** The operator's own seconds. */
const pace = computed(() => paceOf(context.terms))
const between = (from: Side, to: Side) => changeoverOf(from.assessment.assembly, to.assessment.assembly, pace.value)
const pair = computed(() => {
  const [a, b] = picked.value.map((id) => cards.value.find(({ setup }) => setup.id === id))
  if (!a || !b) return undefined
  return {
    a,
    b,
    there: between(a, b),
    back: between(b, a),
  }
})
/** Two at a time: a third pick lets go of the first. */
const pick = (id: string) => {
  picked.value = picked.value.includes(id)
    ? picked.value.filter((other) => other !== id)
    : [...picked.value, id].slice(-2)
}
const copy = (id: string, name: string) => {
  const taken = new Set(store.rig?.setups.map((setup) => setup.id))
  let n = 2
  while (taken.has(`${id.slice(0, 50)}-${n}`)) n++
  store.apply(
    [{ do: 'copy-setup', setup: id, id: `${id.slice(0, 50)}-${n}`, name: `${name.slice(0, 34)} ${n}` }],
    `copy the set-up ${name}`,
  )
}
const rename = (id: string, name: string) => {
  const tidy = name.trim()
  if (tidy) store.apply([{ do: 'change-setup', setup: id, name: tidy }], `rename a set-up ${tidy}`)
}
const change = (id: string, to: { support?: Support; orientation?: Orientation; capG?: number }, note: string) =>
  store.apply([{ do: 'change-setup', setup: id, ...to }], note)
const hold = (id: string, support: Support) => change(id, { support }, `hold it: ${support}`)
/** A set-up takes its joints, poses and leads with it; the kit stays. */
const drop = ({ id, name }: { readonly id: string; readonly name: string }) => {
  if (store.apply([{ do: 'drop-setup', setup: id }], `drop the set-up ${name}`))
    store.notice = `The set-up “${name}” is gone, with how its pieces sat and were wired; the kit stays. Undo brings it back.`
}
</script>

<template>
  <div class="flex h-full min-h-0 flex-col">
    <RigBar here="Set-ups" />
    <p v-if="trouble" class="p-8" role="alert">{{ trouble }}</p>
    <main class="min-h-0 flex-1 overflow-y-auto px-6 py-5">
      <!-- In the hand the change is what one came for; the cards follow. -->
      <div class="mx-auto flex max-w-6xl flex-col">
        <h1 class="text-xl font-semibold">Set-ups</h1>
        <p class="mt-0.5 text-soft">
          One kit, several forms. Copy one, change it on the bench, and see what it takes to get from one to the other.
        </p>
        <div class="mt-4 grid grid-cols-1 gap-4 max-[719px]:order-3 min-[720px]:grid-cols-2 min-[1060px]:grid-cols-3">
          <SetupCard
            v-for="{ setup, assessment } in cards"
            :key="setup.id"
            :setup="setup"
            :assessment="assessment"
            :only="cards.length === 1"
            :picked="picked.includes(setup.id)"
            @copy="copy(setup.id, setup.name)"
            @drop="drop(setup)"
            @pick="pick(setup.id)"
            @rename="rename(setup.id, $event)"
            @support="hold(setup.id, $event)"
            @orientation="change(setup.id, { orientation: $event }, `stand it ${$event}`)"
            @cap="change(setup.id, { capG: $event }, 'a cap for the set-up')"
          />
        </div>
        <ChangeoverMatrix
          v-if="cards.length > 1"
          class="mt-5"
          :sides="cards"
          :between="between"
          :picked="picked"
          @pick="(from, to) => (picked = [from, to])"
        />
        <CompareTable
          v-if="pair"
          class="mt-5 max-[719px]:order-2"
          :a="pair.a"
          :b="pair.b"
          :there="pair.there.seconds"
          :back="pair.back.seconds"
        />
        <div v-if="pair" class="mt-4 grid grid-cols-1 max-[719px]:order-1 gap-4 min-[720px]:grid-cols-2">
          <ChangeoverList
            :title="`From ${pair.a.setup.name} to ${pair.b.setup.name}`"
            :changeover="pair.there"
            :from="pair.a.setup.id"
            :of="pair.b.assessment"
          />
          <ChangeoverList
            :title="`From ${pair.b.setup.name} to ${pair.a.setup.name}`"
            :changeover="pair.back"
            :from="pair.b.setup.id"
            :of="pair.a.assessment"
          />
        </div>
        <p v-else-if="cards.length > 1" class="label mt-4 max-[719px]:order-1">
          Tick two set-ups to lay them side by side.
        </p>
        <p class="label mt-4 max-[719px]:order-4">
          Seconds are yours where you set them or the watch has shown them, else the usual ones for each kind of joint.
          Holding times are estimates for an average arm, not medical advice: stop when it hurts.
        </p>
      </div>
    </main>
  </div>
</template>
