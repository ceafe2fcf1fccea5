<script setup lang="ts">
import type { Assessment } from '@zucchini/core/assess'
import { formatWords } from '@zucchini/core/checks'
import { batteriesOf, batteryKind, nearMains } from '@zucchini/core/power'
import { computed } from 'vue'
import { hours, wattHours } from '../../wording.ts'
import { clock } from '../light/light-words.ts'

const props = defineProps<{ assessment: Assessment }>()

const kinds = computed(() => {
  const { facts, assembly } = props.assessment
  const mains = nearMains(facts.network, facts.runDown.first, facts.spares, facts.bays)
  return facts.day.kinds.map((use) => ({
    ...use,
    name: batteriesOf(assembly).find(({ part }) => batteryKind(part) === use.kind)?.part.name ?? use.kind,
    forEver: mains.find(({ kind }) => kind === use.kind)?.forEver ?? false,
    bays: facts.bays.filter(({ kind }) => kind === use.kind).reduce((sum, { bays }) => sum + bays, 0),
  }))
})
const start = computed(() => props.assessment.assembly.rig.brief.light.startMin)
/** Who hangs in which bay when, by the clocks of the place. */
const charges = computed(() => {
  const { facts, assembly } = props.assessment
  const names = new Map(batteriesOf(assembly).map(({ id, part }) => [id, part.name]))
  return facts.day.charges.map((charge) => ({
    ...charge,
    name: names.get(charge.id) ?? charge.id,
    from: clock(start.value + charge.fromMin),
    to: clock(start.value + charge.toMin),
  }))
})
const recordings = computed(() => props.assessment.facts.recordings)
const pictures = computed(() => props.assessment.facts.pictures)
const first = computed(() => {
  const [event] = props.assessment.facts.runDown.events.filter(({ what }) => what === 'dark')
  return event
})
</script>

<template>
  <div
    tabindex="0"
    role="region"
    aria-label="Batteries, recording and pictures"
    class="grid h-full min-h-0 content-start gap-1.5 overflow-y-auto"
  >
    <table v-ask="['fact day', assessment]" class="w-full text-left" aria-label="Batteries for the day">
      <thead>
        <tr class="label">
          <th class="py-0.5 font-normal">batteries</th>
          <th class="text-right font-normal">day takes</th>
          <th class="text-right font-normal">need / have</th>
          <th
            class="text-right font-normal"
            title="Changes in the day, and in how many of them something goes dark for a moment"
          >
            changes
          </th>
          <th class="text-right font-normal">charged in</th>
          <th class="text-right font-normal">by a wall</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="use in kinds" :key="use.kind" class="border-t border-line" :data-kind="use.kind">
          <td class="max-w-28 truncate py-1" :title="use.name">{{ use.name }}</td>
          <td class="fig text-right">{{ wattHours(use.usedWh) }}</td>
          <td
            class="fig text-right"
            :class="{ 'text-brick': use.needed > use.have && Number.isFinite(assessment.facts.day.failsAtMin) }"
          >
            {{ use.needed }} / {{ use.have }}
          </td>
          <td class="text-right">
            <span class="fig">{{ use.swaps }}</span><span v-if="use.swaps" class="label tight ml-1">
              {{ use.breaks === 0 ? 'hot' : `${use.breaks} dark` }}</span
            >
          </td>
          <td class="fig text-right">{{ use.chargeMin === Infinity ? 'no charger' : hours(use.chargeMin) }}</td>
          <td class="text-right">{{ use.forEver ? 'for ever' : 'runs down' }}</td>
        </tr>
        <tr v-if="kinds.length === 0">
          <td colspan="6" class="py-2 text-soft">No battery sits on this set-up.</td>
        </tr>
      </tbody>
    </table>
    <table
      v-ask="['fact day', assessment]"
      v-if="charges.length"
      class="w-full self-start text-left"
      aria-label="Charging in the day"
    >
      <thead>
        <tr class="label">
          <th class="py-0.5 font-normal">at the wall</th>
          <th class="text-right font-normal">gives</th>
          <th class="text-right font-normal">from – to</th>
          <th class="text-right font-normal">then</th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="charge in charges"
          :key="`${charge.id} ${charge.fromMin}`"
          class="border-t border-line"
          :data-charge="charge.id"
        >
          <td class="max-w-40 truncate py-1" :title="charge.name">{{ charge.name }}</td>
          <td class="fig text-right">
            {{ charge.watts }} W<span class="label tight">, bay {{ charge.bay + 1 }}</span>
          </td>
          <td class="fig text-right">{{ charge.from }} – {{ charge.to }}</td>
          <td class="text-right" :class="{ 'text-amber': !charge.full }">{{ charge.full ? 'full' : 'not full' }}</td>
        </tr>
      </tbody>
    </table>
    <table v-ask="['fact recordings', assessment]" class="w-full self-start text-left" aria-label="Recording">
      <thead>
        <tr class="label">
          <th class="py-0.5 font-normal">records on</th>
          <th class="text-right font-normal">room / needed</th>
          <th class="text-right font-normal">copied in</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="recording in recordings" :key="recording.piece.instance.id" class="border-t border-line">
          <td class="max-w-44 truncate py-1" :title="recording.piece.part.name">
            {{
              recording.media.length === 0
                ? 'nothing'
                : `${recording.media.length} × ${recording.media[0]?.part.name ?? ''}`
            }}
            <span class="label tight">{{ recording.codec.title }}</span>
          </td>
          <td class="fig text-right" :class="{ 'text-brick': recording.minutes < recording.neededMin }">
            {{ hours(recording.minutes) }} / {{ hours(recording.neededMin) }}
          </td>
          <td class="fig text-right">
            {{ Number.isFinite(recording.offloadMin) ? hours(recording.offloadMin) : '–' }}
          </td>
        </tr>
      </tbody>
    </table>
    <table
      v-ask="['fact pictures', assessment]"
      v-if="pictures.length"
      class="w-full self-start text-left"
      aria-label="Pictures"
    >
      <thead>
        <tr class="label">
          <th class="py-0.5 font-normal">gets the picture</th>
          <th class="text-right font-normal">as</th>
          <th class="text-right font-normal">late by</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="path in pictures" :key="path.sink.instance.id" class="border-t border-line">
          <td class="max-w-44 truncate py-1" :title="path.sink.part.name">{{ path.sink.part.name }}</td>
          <td class="text-right">{{ path.format ? formatWords[path.format] : 'nothing' }}</td>
          <td class="fig text-right">{{ path.runs.length ? `${path.delayMs} ms` : '–' }}</td>
        </tr>
      </tbody>
    </table>
    <p v-if="first" class="label">
      Everything on and recording without a change: {{ first.name }} goes dark first, at {{ hours(first.minute) }}.
    </p>
  </div>
</template>
