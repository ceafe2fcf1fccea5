<script setup lang="ts">
import { onMounted, ref, shallowRef } from 'vue'
import { api, type BackupState, type TableAnswer } from '../../api.ts'
import { useContext } from '../../stores/context.ts'

const props = defineProps<{ currency: string }>()
const context = useContext()
const table = ref<TableAnswer>()
const tableFile = ref<File>()
const backupFile = ref<File>()
const rows = ref<Readonly<Record<string, number>>>()
const trouble = ref('')
const said = ref('')
const busy = ref(false)
const backups = shallowRef<BackupState>()
onMounted(() =>
  api.backups().then(
    (state) => (backups.value = state),
    () => undefined,
  ),
)

const attempt = async (what: () => Promise<void>) => {
  busy.value = true
  trouble.value = ''
  said.value = ''
  try {
    await what()
  } catch (error) {
    trouble.value = error instanceof Error ? error.message : 'That did not work. Nothing was changed.'
  } finally {
    busy.value = false
  }
}
const fileOf = (event: Event) => (event.target as HTMLInputElement).files?.[0]
const judge = (event: Event) => {
  const file = fileOf(event)
  tableFile.value = file
  table.value = undefined
  if (file) void attempt(async () => void (table.value = await api.readTable(file, true, props.currency)))
}
const takeIn = () => {
  const file = tableFile.value
  if (!file) return
  void attempt(async () => {
    const done = await api.readTable(file, false, props.currency)
    table.value = undefined
    said.value = `Taken in: ${done.added} new, ${done.changed} changed, ${done.same} as they were.`
    await context.readPieces()
  })
}
const judgeBackup = (event: Event) => {
  const file = fileOf(event)
  backupFile.value = file
  rows.value = undefined
  if (file) void attempt(async () => void (rows.value = (await api.restore(file, true)).rows))
}
const restore = () => {
  const file = backupFile.value
  if (!file) return
  void attempt(async () => {
    const { safetyCopy } = await api.restore(file, false)
    rows.value = undefined
    await context.reload()
    said.value = `The backup stands in place of what was here.${safetyCopy ? ` What was here before is kept in ${safetyCopy}.` : ''}`
  })
}
</script>

<template>
  <section class="flex flex-col gap-3" aria-label="Files">
    <h2 class="font-semibold">The locker as a table</h2>
    <p class="label">
      CSV that spreadsheets read and write. Reading one first says what it would do; a table with anything wrong changes
      nothing.
    </p>
    <a class="btn self-start py-0.5" href="/api/locker.csv" download="locker.csv">Write it, CSV</a>
    <label class="label"
      >read one<input
        type="file"
        accept=".csv,text/csv"
        class="mt-1 block w-full text-ink"
        :disabled="busy"
        @change="judge"
    /></label>
    <div v-if="table" data-testid="table-report">
      <template v-if="table.ok">
        <p>
          {{ table.rows }} lines: <strong>{{ table.added }}</strong> new, <strong>{{ table.changed }}</strong> changed,
          {{ table.same }} as they are.
        </p>
        <p v-if="table.unknownColumns.length" class="label">Columns left out: {{ table.unknownColumns.join(', ') }}.</p>
        <button class="btn btn-do mt-1.5 py-0.5" :disabled="busy || table.added + table.changed === 0" @click="takeIn">
          Take it in
        </button>
      </template>
      <template v-else>
        <p class="font-semibold text-brick">Nothing is taken in: {{ table.issues.length }} things to mend.</p>
        <ul
          class="mt-1 max-h-56 overflow-y-auto text-[12.5px]"
          tabindex="0"
          role="region"
          aria-label="What is wrong with the table"
        >
          <li v-for="(issue, i) in table.issues" :key="i" class="border-b border-line py-0.5">
            <span class="fig">line {{ issue.line }}</span
            >, {{ issue.column }}: {{ issue.message }}
          </li>
        </ul>
      </template>
    </div>
    <h2 class="mt-2 border-t border-line pt-3 font-semibold">Everything in one file</h2>
    <p class="label">
      Rigs with their history, parts, locker and prices, with a checksum. Dated ones are also kept by themselves in
      <code>.data/backups</code>.
    </p>
    <p v-if="backups?.on" class="label" :class="{ 'text-brick!': backups.failedOn }" data-testid="last-backup">
      {{ backups.lastOn ? `Last one by itself: ${backups.lastOn}` : 'None was written by itself yet'
      }}{{ backups.failedOn ? `; failed since ${backups.failedOn}: ${backups.why ?? ''}` : '.' }}
    </p>
    <a class="btn self-start py-0.5" href="/api/backup" download="zucchini-backup.jsonl">Back up</a>
    <label class="label"
      >restore one<input
        type="file"
        accept=".jsonl,.json,application/json"
        class="mt-1 block w-full text-ink"
        :disabled="busy"
        @change="judgeBackup"
    /></label>
    <div v-if="rows" data-testid="backup-report">
      <p>
        Whole and unchanged: {{ rows['rig'] }} rigs, {{ rows['rig_revision'] }} revisions,
        {{ rows['locker_piece'] }} pieces, {{ rows['price_point'] }} prices.
      </p>
      <p class="label">It takes the place of everything that is stored now; a copy of that is written first.</p>
      <button class="btn mt-1.5 py-0.5 text-brick" :disabled="busy" @click="restore">
        Put it in place of what is here
      </button>
    </div>
    <p v-if="said" class="text-leaf" role="status">{{ said }}</p>
    <p v-if="trouble" class="text-brick" role="alert">{{ trouble }}</p>
  </section>
</template>
