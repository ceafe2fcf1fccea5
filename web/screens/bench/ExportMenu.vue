<script setup lang="ts">
import type { Assessment } from '@zucchini/core/assess'
import { computed } from 'vue'
import { svgOf } from '../../drawing/export-svg.ts'
import { views } from '@zucchini/core/drawing'
import { useBench } from '../../stores/bench.ts'
import { useRig } from '../../stores/rig.ts'
import { save } from '../../save-file.ts'
import TakeOut from '../../widgets/TakeOut.vue'

// What the bench gives away: drawings, a poster, a model, the rig itself.
const props = defineProps<{ assessment: Assessment }>()
const bench = useBench()
const store = useRig()
const stem = () => `${props.assessment.assembly.rig.id}-${props.assessment.assembly.setup.id}`
const poster = (name: string, make: (svg: string) => Promise<Blob> | Blob, type: string) => async () => {
  const { posterOf } = await import('../../drawing/poster.ts')
  save(`${stem()}-poster.${name}`, await make(posterOf(props.assessment, store.style)), type)
}
const items = computed(() => [
  {
    title: `${views[bench.view].title} elevation, SVG`,
    act: () => save(`${stem()}-${bench.view}.svg`, svgOf(props.assessment, [bench.view]), 'image/svg+xml'),
  },
  {
    title: 'All four elevations, SVG',
    act: () => save(`${stem()}.svg`, svgOf(props.assessment), 'image/svg+xml'),
  },
  {
    title: 'A poster for the wall, A4, PDF',
    act: poster('pdf', async (svg) => (await import('../../drawing/poster-files.ts')).pdfOf(svg), 'application/pdf'),
  },
  {
    title: 'The poster as a picture, PNG',
    act: poster('png', async (svg) => (await import('../../drawing/poster-files.ts')).pngOf(svg), 'image/png'),
  },
  { title: 'The poster as a drawing, SVG', act: poster('svg', (svg) => new Blob([svg]), 'image/svg+xml') },
  {
    title: 'The rig in space, glTF',
    act: async () => {
      const { gltfOf } = await import('../../turntable/gltf.ts')
      save(`${stem()}.gltf`, await gltfOf(props.assessment.assembly), 'model/gltf+json')
    },
  },
  { title: 'The whole rig with its parts, JSON', href: `/api/rigs/${props.assessment.assembly.rig.id}/file` },
])
</script>

<template>
  <TakeOut :items="items" small hint="Take a drawing or a model out" />
</template>
