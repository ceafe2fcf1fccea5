<script setup lang="ts">
import { placeSetup } from '@zucchini/core/assembly'
import { fieldFile, readFieldFile } from '@zucchini/core/log'
import { FileDown, FileUp } from '@lucide/vue'
import { ref } from 'vue'
import { useContext } from '../stores/context.ts'
import { useField } from '../stores/field.ts'
import { useRig } from '../stores/rig.ts'
import { save } from '../save-file.ts'
import { benchWorker } from '../workers/client.ts'
import { shootOf } from '../screens/log/log-words.ts'
import { placesIn } from '../screens/pack/pack-words.ts'

// The sheets of the day as one file that any phone opens, and what was told on it read back in.
const store = useRig()
const context = useContext()
const field = useField()
const said = ref('')
const isWrong = ref(false)
const tell = (words: string, wrong = false) => {
  said.value = words
  isWrong.value = wrong
}
const isMaking = ref(false)
const write = async () => {
  const { rig, told, assessment } = store
  if (!rig || !told || !assessment || !context.whole || isMaking.value) return
  isMaking.value = true
  tell('')
  try {
    const { sheetFile } = await import('./sheet-file.ts')
    const ids = rig.setups.map(({ id }) => id)
    const worker = benchWorker()
    const [pack, log, ...plans] = await Promise.all([
      worker.pack(rig, ids),
      worker.logPlan(rig, ids),
      ...ids.map((id) => worker.build(rig, id)),
    ])
    const { catalogue } = context.whole
    const text = sheetFile({
      rig: { id: rig.id, name: rig.name, revision: told.revision },
      shoot: shootOf(assessment),
      day: rig.brief.light.date,
      stamp: new Date().toISOString(),
      builds: rig.setups.flatMap((setup, i) => {
        const plan = plans[i]
        return plan ? [{ assembly: placeSetup(rig, setup, catalogue), plan }] : []
      }),
      pack,
      places: placesIn(context.pieces.map(({ piece }) => piece)),
      log,
      style: store.style,
    })
    save(`${rig.id}-field.html`, text, 'text/html;charset=utf-8')
    tell('Written. Send it to the phone and open it there; it needs no network and no program.')
  } catch (error) {
    tell(error instanceof Error ? error.message : 'It could not be made.', true)
  } finally {
    isMaking.value = false
  }
}

/** What waits here, as a file: for another machine, or where the server would not take it. */
const saveWaiting = () =>
  save(`${store.rig?.id ?? 'rig'}-field.json`, fieldFile(field.waiting), 'application/json;charset=utf-8')

const MOST_BYTES = 8_000_000
const read = async (event: Event) => {
  const input = event.target as HTMLInputElement
  const [file] = input.files ?? []
  input.value = ''
  if (!file) return
  if (file.size > MOST_BYTES) return tell('This file is larger than any page writes. Nothing was read.', true)
  const found = readFieldFile(await file.text())
  if (!found.ok)
    return tell(`Nothing was read: ${found.path ? `${found.path}: ` : ''}${found.message}. Write the file again.`, true)
  const count = await field.takeIn(found.entries)
  tell(
    count === 0
      ? 'All that stands in it was known already.'
      : `${count} of ${found.entries.length} were new and are kept now.`,
  )
}
</script>

<template>
  <div>
    <p class="label">
      Where a phone can not reach this program: steps, bag and log as one page of its own. What is told on it comes back
      as a file.
    </p>
    <div class="mt-2 flex flex-wrap items-center gap-2">
      <button class="btn" :disabled="isMaking" data-write-sheets @click="write">
        <FileDown class="size-4" aria-hidden="true" /> {{ isMaking ? 'drawing ...' : 'Take the sheets along' }}
      </button>
      <label class="btn cursor-pointer">
        <FileUp class="size-4" aria-hidden="true" /> Read back what was told
        <input type="file" class="sr-only" accept="application/json,.json" data-read-sheets @change="read" />
      </label>
    </div>
    <p v-if="field.waiting.length" class="mt-1.5" role="status">
      {{ field.waiting.length }} not stored by the server yet<template v-if="field.notStored.length"
        >; {{ field.notStored.length }} of them it would not take, for example because the rig is not known
        there</template
      >.
      <button class="btn ml-1 py-0.5" data-save-waiting @click="saveWaiting">Save them as a file</button>
    </p>
    <p v-if="said" class="mt-1.5" :class="{ 'text-brick': isWrong }" :role="isWrong ? 'alert' : 'status'">{{ said }}</p>
  </div>
</template>
