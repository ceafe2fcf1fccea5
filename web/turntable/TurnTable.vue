<script setup lang="ts">
import type { Assessment } from '@zucchini/core/assess'
import { useElementSize } from '@vueuse/core'
import {
  AmbientLight,
  DirectionalLight,
  type Group,
  PerspectiveCamera,
  Raycaster,
  Scene,
  Vector2,
  Vector3,
  WebGLRenderer,
} from 'three'
import { OrbitControls } from 'three/addons/controls/OrbitControls.js'
import { onBeforeUnmount, onMounted, ref, useTemplateRef, watch } from 'vue'
import { useBench } from '../stores/bench.ts'
import { useSettings } from '../stores/settings.ts'
import { footprintOf, groundShadow } from './shadow.ts'
import { buildScene, dispose, middleOf, paletteOf, pickedOf } from './scene.ts'

const TURN_RAD = Math.PI / 18
const FIELD_DEG = 28
/** How dark the shadow on the ground is. */
const SHADOW = 0.22

const props = defineProps<{ assessment: Assessment }>()
const emit = defineEmits<{ unable: [] }>()
const bench = useBench()
const settings = useSettings()
const holder = useTemplateRef<HTMLElement>('holder')
const { width, height } = useElementSize(holder, { width: 780, height: 500 })
const apartMm = ref(0)

let renderer: WebGLRenderer | undefined
let controls: OrbitControls | undefined
let rig: Group | undefined
let asked = false
const scene = new Scene()
const camera = new PerspectiveCamera(FIELD_DEG, 1, 10, 6000)
const lamp = new DirectionalLight('#ffffff', 1.6)

/** Draws one frame soon; many wishes in one moment make one frame. Nothing is drawn while nothing changes. */
const draw = () => {
  if (asked || !renderer) return
  asked = true
  requestAnimationFrame(() => {
    asked = false
    lamp.position.copy(camera.position)
    renderer?.render(scene, camera)
  })
}
const rebuild = () => {
  if (!holder.value) return
  if (rig) {
    scene.remove(rig)
    dispose(rig)
  }
  rig = buildScene(props.assessment, paletteOf(holder.value), {
    picked: bench.pieceId,
    point: bench.pointKey,
    rooms: bench.showRooms,
    leads: bench.showLeads,
    apartMm: apartMm.value,
  })
  const footprint = footprintOf(props.assessment.assembly)
  const shadow = footprint && groundShadow(footprint, '#000000', SHADOW)
  if (shadow) rig.add(shadow)
  scene.add(rig)
  draw()
}
const stepBack = () => {
  const { centre, radius } = middleOf(props.assessment.assembly)
  const far = (radius * 1.02) / Math.sin((FIELD_DEG / 2) * (Math.PI / 180)) / Math.min(1, width.value / height.value)
  camera.position.copy(centre).add(new Vector3(0.72, 0.38, -0.58).normalize().multiplyScalar(far))
  controls?.target.copy(centre)
  controls?.update()
  draw()
}
const turn = (around: number, over: number) => {
  if (!controls) return
  const off = camera.position.clone().sub(controls.target)
  off.applyAxisAngle(new Vector3(0, 1, 0), around)
  const side = new Vector3(0, 1, 0).cross(off).normalize()
  const tipped = off.clone().applyAxisAngle(side, over)
  if (Math.abs(tipped.clone().normalize().y) < 0.97) off.copy(tipped)
  camera.position.copy(controls.target).add(off)
  controls.update()
  draw()
}
const ray = new Raycaster()
const pick = (event: MouseEvent) => {
  const { left, top } = (event.currentTarget as HTMLElement).getBoundingClientRect()
  ray.setFromCamera(
    new Vector2(((event.clientX - left) / width.value) * 2 - 1, 1 - ((event.clientY - top) / height.value) * 2),
    camera,
  )
  const hit = ray
    .intersectObjects(rig ? [rig] : [], true)
    .map(pickedOf)
    .find((one) => one.instance !== undefined || one.point !== undefined)
  const { point, instance } = hit ?? {}
  if (point) bench.pickPoint(point)
  else if (instance) bench.pickPiece(instance)
  else bench.dropAll()
}

onMounted(() => {
  try {
    renderer = new WebGLRenderer({ antialias: true, alpha: true })
  } catch {
    emit('unable')
    return
  }
  renderer.setPixelRatio(Math.min(2, window.devicePixelRatio))
  renderer.domElement.setAttribute('aria-hidden', 'true')
  holder.value?.prepend(renderer.domElement)
  scene.add(new AmbientLight('#ffffff', 1.7), lamp)
  controls = new OrbitControls(camera, renderer.domElement)
  controls.enablePan = false
  controls.addEventListener('change', draw)
  rebuild()
  stepBack()
})
onBeforeUnmount(() => {
  if (rig) dispose(rig)
  controls?.dispose()
  renderer?.dispose()
  renderer?.domElement.remove()
})
watch(
  [width, height],
  () => {
    renderer?.setSize(width.value, height.value)
    camera.aspect = width.value / Math.max(1, height.value)
    camera.updateProjectionMatrix()
    draw()
  },
  { flush: 'post' },
)
watch(
  [
    () => props.assessment,
    () => bench.pieceId,
    () => bench.pointKey,
    () => bench.showRooms,
    apartMm,
    () => settings.theme,
  ],
  rebuild,
  {
    flush: 'post',
  },
)
watch(() => props.assessment.assembly.setup.id, stepBack)
</script>

<template>
  <div class="flex min-h-0 flex-1 flex-col">
    <div
      ref="holder"
      class="min-h-0 flex-1 overflow-hidden"
      tabindex="0"
      role="application"
      aria-label="Turntable: arrow keys turn the rig, plus and minus come closer and go back"
      data-testid="turntable"
      @click="pick"
      @keydown.left.prevent="turn(-TURN_RAD, 0)"
      @keydown.right.prevent="turn(TURN_RAD, 0)"
      @keydown.up.prevent="turn(0, -TURN_RAD)"
      @keydown.down.prevent="turn(0, TURN_RAD)"
    />
    <label class="label flex items-center gap-3 px-4 pb-2"
      >drawn apart <input v-model.number="apartMm" type="range" min="0" max="60" step="2" class="w-40 accent-leaf"
    /></label>
  </div>
</template>
