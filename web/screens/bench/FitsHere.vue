<script setup lang="ts">
import type { Fit, FitsHere, Misfit } from '@zucchini/core/assess'
import type { Point } from '@zucchini/core/assembly'
import { standardOf } from '@zucchini/core/catalogue'
import { pointName } from '@zucchini/core/checks'
import { X } from '@lucide/vue'
import { proxy } from 'comlink'
import { computed, shallowRef, useTemplateRef, watch } from 'vue'
import { useBench } from '../../stores/bench.ts'
import { useRig } from '../../stores/rig.ts'
import { useContext } from '../../stores/context.ts'
import MountGlyph from '../../widgets/MountGlyph.vue'
import { benchWorker } from '../../workers/client.ts'
import FitsTable from './FitsTable.vue'
import NeedsLine from './NeedsLine.vue'

const props = defineProps<{ point: Point }>()
const store = useRig()
const bench = useBench()
const context = useContext()
const table = useTemplateRef<InstanceType<typeof FitsTable>>('table')
const input = useTemplateRef<HTMLInputElement>('input')
const found = shallowRef<FitsHere>()
const showMisfits = shallowRef(false)
const misfits = shallowRef<readonly Misfit[]>()

let asked = 0
watch(
  [
    () => `${props.point.piece.instance.id}/${props.point.mount.id}`,
    () => store.rig,
    () => store.setup?.id,
    () => context.owned,
  ],
  async () => {
    const turn = ++asked
    if (!store.rig || !store.setup) return
    const { piece, mount } = props.point
    misfits.value = undefined
    await benchWorker().fits(
      store.rig,
      store.setup.id,
      piece.instance.id,
      mount.id,
      proxy((answer: FitsHere) => {
        if (turn === asked) found.value = answer
      }),
    )
  },
  { immediate: true },
)
watch([showMisfits, found], async () => {
  if (!showMisfits.value || misfits.value || !store.rig || !store.setup) return
  const { piece, mount } = props.point
  misfits.value = await benchWorker().misfits(store.rig, store.setup.id, piece.instance.id, mount.id)
})
const summary = computed(() => {
  if (!found.value) return 'looking ...'
  const { fits, pending, outOf } = found.value
  const have = fits.filter(({ from }) => from !== 'catalogue').length
  return `${fits.length + pending} of ${outOf} parts, ${have} at hand${pending > 0 ? `, ${pending} still tried` : ''}`
})
const take = (row: Fit | Misfit) => {
  if (!store.apply(row.commands, `put ${row.part.name} on ${pointName(props.point)}`)) return
  const placed = row.commands.findLast((command) => command.do === 'place')
  if (placed?.do === 'place') bench.pickPiece(placed.joint.guest)
}
/** The row that is chosen. */
const chosen = shallowRef<Fit | Misfit>()
const bridge = (row: Misfit) => row.bridge && take({ ...row, commands: row.bridge.commands })
defineExpose({ focus: () => input.value?.focus() })
</script>

<template>
  <section class="flex min-h-0 flex-1 flex-col px-4 pt-2" aria-label="Fits here">
    <div class="flex items-center gap-3 pb-1 whitespace-nowrap max-md:flex-wrap">
      <h2 class="flex items-center gap-2 font-semibold">
        Fits on
        <svg viewBox="-9 -9 18 18" class="size-5 text-amber" aria-hidden="true">
          <MountGlyph :glyph="standardOf(point.mount.standard).glyph" />
        </svg>
        {{ pointName(point) }}
      </h2>
      <span class="label tight truncate" aria-live="polite">{{ summary }}</span>
      <label class="ml-auto flex cursor-pointer items-center gap-1.5 text-[12.5px] text-soft"
        ><input v-model="showMisfits" type="checkbox" class="accent-leaf" /> what won’t go on</label
      >
      <input
        ref="input"
        v-model="bench.wanted"
        type="search"
        placeholder="filter"
        aria-label="Filter the parts"
        class="field w-28 py-0.5"
        @keydown.down.prevent="table?.move(1)"
        @keydown.up.prevent="table?.move(-1)"
        @keydown.enter.prevent="table?.take()"
      />
      <span class="hidden gap-1 min-[1360px]:flex" aria-hidden="true"
        ><span class="key"><kbd>↑↓</kbd> choose</span><span class="key"><kbd>Enter</kbd> put on</span
        ><span class="key"><kbd>W</kbd> how reckoned</span></span
      >
      <button class="btn px-1.5" aria-label="Close" @click="bench.dropAll()"><X class="size-4" /></button>
    </div>
    <NeedsLine :row="chosen" @done="(instance) => instance && bench.pickPiece(instance)" />
    <FitsTable
      v-if="found"
      ref="table"
      :fits="found.fits"
      :misfits="misfits ?? []"
      :filter="bench.wanted"
      :show-misfits="showMisfits"
      act="put on"
      @take="take"
      @bridge="bridge"
      @choose="(row) => (chosen = row)"
    />
  </section>
</template>
