<script setup lang="ts">
import type { Line, Way } from '@zucchini/core/assess'
import type { Finding } from '@zucchini/core/checks'
import { computed } from 'vue'
import { useBench } from '../../stores/bench.ts'
import { useRig } from '../../stores/rig.ts'
import { fill, headline } from '../../wording.ts'
import { rangeWords } from './card-words.ts'
import WaysTable from './WaysTable.vue'

// One line of a card: what is wrong, from where to where when it is true of several, and the ways out.
const props = defineProps<{ line: Line; cures: readonly Way[] }>()
const emit = defineEmits<{ look: [finding: Finding] }>()
const store = useRig()
const bench = useBench()

const say = (text: string, of: { numbers: Finding['numbers']; names: Finding['names'] }) =>
  fill(text, of.numbers, of.names, store.style)
const finding = computed(() => props.line.finding)
const said = computed(() => headline(say(finding.value.text, finding.value)))
const ranges = computed(() => rangeWords(props.line, store.style))

const cure = ({ remedy }: Way) => {
  bench.forget()
  return store.apply(remedy.commands, `${say(remedy.text, remedy)}, for: ${said.value.head}`)
}
</script>

<template>
  <button class="text-left leading-snug" :title="finding.why" @click="emit('look', finding)">
    <span class="sr-only">{{ finding.level }}: </span>
    <strong>{{ said.head }}</strong>
    {{ said.rest }}
    <span v-if="ranges" class="text-soft">{{ ranges }}</span>
  </button>
  <WaysTable v-if="cures.length" :ways="cures" @take="cure" />
</template>
