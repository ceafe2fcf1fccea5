<script setup lang="ts">
import type { Assessment } from '@zucchini/core/assess'
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import { Download } from '@lucide/vue'
import { ref } from 'vue'
import { svgOf } from '../../drawing/export-svg.ts'
import { views } from '@zucchini/core/drawing'
import { useBench } from '../../stores/bench.ts'
import { useRig } from '../../stores/rig.ts'
import { save } from '../../save-file.ts'

const props = defineProps<{ assessment: Assessment }>()
const bench = useBench()
const store = useRig()
const stem = () => `${props.assessment.assembly.rig.id}-${props.assessment.assembly.setup.id}`
const trouble = ref('')
/** A picture or a page takes a moment; what goes wrong is said. */
const guarded = (make: () => Promise<void>) => async () => {
  trouble.value = ''
  try {
    await make()
  } catch (error) {
    trouble.value = error instanceof Error ? error.message : 'It could not be made.'
  }
}
const later = (name: string, make: (svg: string) => Promise<Blob>, type: string) =>
  guarded(async () => {
    const files = await import('../../drawing/poster.ts')
    save(`${stem()}-poster.${name}`, await make(files.posterOf(props.assessment, store.style)), type)
  })
const items = [
  {
    title: () => `${views[bench.view].title} elevation, SVG`,
    act: () => save(`${stem()}-${bench.view}.svg`, svgOf(props.assessment, [bench.view]), 'image/svg+xml'),
  },
  {
    title: () => 'All four elevations, SVG',
    act: () => save(`${stem()}.svg`, svgOf(props.assessment), 'image/svg+xml'),
  },
  {
    title: () => 'A poster for the wall, A4, PDF',
    act: later('pdf', async (svg) => (await import('../../drawing/poster-files.ts')).pdfOf(svg), 'application/pdf'),
  },
  {
    title: () => 'The poster as a picture, PNG',
    act: later('png', async (svg) => (await import('../../drawing/poster-files.ts')).pngOf(svg), 'image/png'),
  },
  {
    title: () => 'The poster as a drawing, SVG',
    act: later('svg', (svg) => Promise.resolve(new Blob([svg])), 'image/svg+xml'),
  },
  {
    title: () => 'The rig in space, glTF',
    act: guarded(async () => {
      const { gltfOf } = await import('../../turntable/gltf.ts')
      save(`${stem()}.gltf`, await gltfOf(props.assessment.assembly), 'model/gltf+json')
    }),
  },
]
</script>

<template>
  <Menu as="div" class="relative">
    <MenuButton
      class="flex items-center gap-1 rounded-md px-1.5 py-0.5 hover:text-ink"
      title="Take a drawing or a model out"
    >
      <Download class="size-4" aria-hidden="true" /><span class="sr-only">Take out</span>
    </MenuButton>
    <MenuItems
      class="absolute right-0 z-20 mt-1 w-60 rounded-lg border border-line bg-card p-1 text-[13px] text-ink shadow-lg focus:outline-none"
    >
      <MenuItem v-for="item in items" :key="item.title()" v-slot="{ active }">
        <button
          class="block w-full rounded-md px-2.5 py-1.5 text-left"
          :class="{ 'bg-leaf-tint': active }"
          @click="item.act"
        >
          {{ item.title() }}
        </button>
      </MenuItem>
      <MenuItem v-slot="{ active }">
        <a
          class="block w-full rounded-md px-2.5 py-1.5 text-left"
          :class="{ 'bg-leaf-tint': active }"
          :href="`/api/rigs/${assessment.assembly.rig.id}/file`"
          >The whole rig with its parts, JSON</a
        >
      </MenuItem>
    </MenuItems>
    <p v-if="trouble" class="absolute right-0 z-20 mt-1 w-60 rounded-lg border border-brick bg-card p-2" role="alert">
      {{ trouble }}
    </p>
  </Menu>
</template>
