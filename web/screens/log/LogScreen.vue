<script setup lang="ts">
import { computed, ref } from 'vue'
import { useContext } from '../../stores/context.ts'
import { useField } from '../../stores/field.ts'
import { useRig } from '../../stores/rig.ts'
import RigBar from '../../widgets/RigBar.vue'
import { useRigOfRoute } from '../rig-of-route.ts'
import FieldFiles from '../../field/FieldFiles.vue'
import DayForm from './DayForm.vue'
import LessonList from './LessonList.vue'
import { dayWords, inRank } from './log-words.ts'
import NextMark from './NextMark.vue'

// What came of it: a day told in a minute, what the days taught, and the mark that grows from them.
const store = useRig()
const context = useContext()
const field = useField()
const trouble = useRigOfRoute()
const isKept = ref(false)

const days = computed(() =>
  field.all
    .flatMap((entry) =>
      entry.what.kind === 'day' && entry.rigId === store.rig?.id ? [{ entry, log: entry.what }] : [],
    )
    .sort((a, b) => (a.log.day < b.log.day ? 1 : -1)),
)
const nameOf = (setup: string) => store.rig?.setups.find(({ id }) => id === setup)?.name ?? setup
const waiting = computed(() => new Set(field.waiting.map(({ id }) => id)))
/** Lessons of parts and joints this rig has, and those of the hands. */
const parts = computed(() => new Set(store.rig?.kit.map(({ partId }) => partId)))
const lessons = computed(() =>
  inRank(
    field.lessons.filter(
      ({ kind, of, joint }) =>
        kind === 'seconds' || kind === 'strength' || (parts.value.has(of) && (!joint || parts.value.has(joint.host))),
    ),
  ),
)
</script>

<template>
  <div class="flex h-full min-h-0 flex-col">
    <RigBar here="Log" />
    <p v-if="trouble" class="p-8" role="alert">{{ trouble }}</p>
    <main v-else-if="store.assessment" class="min-h-0 flex-1 overflow-y-auto">
      <div
        class="mx-auto grid max-w-6xl gap-8 px-4 py-4 min-[980px]:grid-cols-[minmax(0,1fr)_minmax(0,0.85fr)] md:px-6"
      >
        <section aria-label="The day">
          <h1 class="text-xl font-semibold">Day’s done. One minute.</h1>
          <p v-if="isKept" class="mt-1 font-semibold text-leaf" role="status">Kept. Rest now.</p>
          <DayForm class="mt-3" @kept="isKept = true" />
        </section>
        <div class="flex flex-col gap-6">
          <section aria-label="What the field taught">
            <h2 class="text-[15px] font-semibold">What the field taught</h2>
            <p v-if="lessons.length === 0" class="label mt-1">
              Nothing yet. What came loose, how long a battery lasted and what a joint took by the watch stands here
              with its days, and counts from then on.
            </p>
            <LessonList v-else class="mt-1.5" :lessons="lessons" />
          </section>
          <section aria-label="The next mark">
            <h2 class="text-[15px] font-semibold">The next mark</h2>
            <NextMark class="mt-1" />
          </section>
          <section aria-label="Without this program">
            <h2 class="text-[15px] font-semibold">Without this program</h2>
            <FieldFiles class="mt-1" />
          </section>
          <section aria-label="Days told">
            <h2 class="text-[15px] font-semibold">Days told</h2>
            <p v-if="days.length === 0" class="label mt-1">No day of this rig has been told yet.</p>
            <ol v-else class="mt-1.5">
              <li v-for="{ entry, log } in days" :key="entry.id" class="border-t border-line py-2.5" data-day-told>
                <p class="flex flex-wrap items-baseline gap-x-2">
                  <strong>{{ log.shoot }}</strong>
                  <span class="label">{{ log.day }}, {{ log.setups.map(nameOf).join(', ') }}</span>
                  <span class="label ml-auto whitespace-nowrap"
                    >{{ waiting.has(entry.id) ? 'waits here for the network' : `of revision ${entry.revision}` }}
                  </span>
                </p>
                <p v-for="(line, i) in dayWords(log, context.catalogue, store.style)" :key="i" class="leading-snug">
                  {{ line }}
                </p>
                <p v-if="dayWords(log, context.catalogue, store.style).length === 0" class="label">all as planned</p>
              </li>
            </ol>
          </section>
        </div>
      </div>
    </main>
    <p v-else class="label p-8" role="status">reading ...</p>
  </div>
</template>
