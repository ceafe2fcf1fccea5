<script setup lang="ts">
import type { Lesson } from '@zucchini/core/log'
import { useContext } from '../../stores/context.ts'
import { useField } from '../../stores/field.ts'
import { useRig } from '../../stores/rig.ts'
import { evidenceWords, lessonReach, lessonWords } from './log-words.ts'

// What the field taught, with the days it rests on, and the word that takes it back.
defineProps<{ lessons: readonly Lesson[] }>()
const field = useField()
const context = useContext()
const store = useRig()
</script>

<template>
  <ul>
    <li v-for="lesson in lessons" :key="lesson.key" class="border-t border-line py-2.5" :data-lesson="lesson.key">
      <div class="flex items-start gap-3">
        <p class="min-w-0 flex-1" :class="{ 'text-soft line-through': !lesson.holds }">
          {{ lessonWords(lesson, context.catalogue, store.style) }}
        </p>
        <button type="button" class="btn shrink-0 py-0.5" @click="field.say(lesson, !lesson.holds)">
          {{ lesson.holds ? 'Don’t use it' : 'Use it again' }}
        </button>
      </div>
      <p class="label">
        {{ lesson.holds ? `Counts in ${lessonReach[lesson.kind]}.` : 'Taken back: nothing is reckoned with it.' }}
        {{ evidenceWords(lesson) }}
      </p>
    </li>
  </ul>
</template>
