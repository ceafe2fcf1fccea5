import {
  createSortedRowModel,
  rowSortingFeature,
  sortFn_basic,
  tableFeatures,
  useTable as useTanstack,
} from '@tanstack/vue-table'
import { computed, type Ref } from 'vue'

/** A column: its name, and the value by which rows are put in order. */
export interface Column<Row> {
  readonly id: string
  readonly title: string
  /** Undefined is unknown: such rows stand last, whichever way the others are put. */
  readonly value: (row: Row) => string | number | undefined
  /** Figures stand to the right. */
  readonly right?: boolean
}

/** By which column rows stand in order; none: as they came. */
export interface Sorting {
  readonly id: string
  readonly down: boolean
}

const features = tableFeatures({
  rowSortingFeature,
  sortedRowModel: createSortedRowModel(),
  sortFns: { basic: sortFn_basic },
})

/**
 * Rows that can be put in order by any of their columns: pressed once from the least, again from the most, a third time
 * as they came. Rows that are equal stay in the order in which they came.
 */
export const useTable = <Row extends object>(rows: Readonly<Ref<readonly Row[]>>, columns: readonly Column<Row>[]) => {
  const table = useTanstack({
    features,
    data: computed(() => rows.value as Row[]),
    columns: columns.map(({ id, value }) => ({
      id,
      accessorFn: value,
      sortFn: 'basic' as const,
      sortUndefined: 'last' as const,
    })),
  })
  const sorting = computed<Sorting | undefined>(() => {
    const [by] = table.atoms.sorting.get()
    return by && { id: by.id, down: by.desc }
  })
  const sorted = computed<readonly Row[]>(() =>
    sorting.value ? table.getRowModel().rows.map((row) => row.original) : rows.value,
  )
  const sortBy = (id: string) => {
    const now = sorting.value
    table.setSorting(now?.id !== id ? [{ id, desc: false }] : now.down ? [] : [{ id, desc: true }])
  }
  return { sorted, sorting, sortBy }
}
