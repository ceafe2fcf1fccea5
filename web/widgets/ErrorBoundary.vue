<script setup lang="ts">
import { computed, onErrorCaptured, ref, shallowRef, watch } from 'vue'
import { useRoute } from 'vue-router'
import { type Trouble, troubleOf, useTroubles } from '../stores/troubles.ts'
import BrokenBox from './BrokenBox.vue'

const route = useRoute()
const troubles = useTroubles()
const broken = shallowRef<Trouble>()
const tries = ref(0)

/**
 * Where an error leaves nothing to be shown: while a screen is set up, drawn or updated. Built, Vue says it by number.
 */
const OF_THE_SCREEN = /setup function|render function|component update|async component loader|#runtime-(?:0|1|13|15)$/

onErrorCaptured((error, _instance, info) => {
  if (OF_THE_SCREEN.test(info)) broken.value = troubleOf(error)
  else troubles.note(error)
  console.error(error)
  return false
})
watch(
  () => route.fullPath,
  () => (broken.value = undefined),
)
const again = () => {
  broken.value = undefined
  tries.value++
}
const rigId = computed(() => (typeof route.params['id'] === 'string' ? route.params['id'] : undefined))
</script>

<template>
  <BrokenBox
    v-if="broken"
    title="This page could not be shown"
    :words="broken.words"
    :detail="broken.detail"
    :rig-id="rigId"
    @again="again"
  />
  <slot v-else :key="tries" />
</template>
