<script setup lang="ts" generic="Row extends object">
/** A table to be read: its headings sort it, and a long one comes a page at a time. Cells are drawn by slots, `item.<key>`. */
const props = defineProps<{
  rows: Row[]
  columns: { key: string; title: string; figure?: boolean; fixed?: boolean }[]
  caption: string
}>()
const PAGE = 50
const headers = computed(() =>
  props.columns.map(({ key, title, figure, fixed }) => ({
    key,
    title,
    sortable: !fixed,
    align: figure ? ('end' as const) : ('start' as const),
    cellProps: figure ? { class: 'figure' } : {},
  })),
)
const shown = (row: object, key: string) => (row as Record<string, unknown>)[key]
</script>

<template>
  <VDataTable
    class="ruled"
    :headers="headers"
    :items="rows"
    :items-per-page="PAGE"
    :items-per-page-options="[PAGE, 4 * PAGE]"
    items-per-page-text="On a page"
    :hide-default-footer="rows.length <= PAGE"
    :aria-label="caption"
  >
    <template v-for="{ key } in columns" :key="key" #[`item.${key}`]="{ item }">
      <slot :name="key" :row="item as Row">{{ shown(item, key) }}</slot>
    </template>
  </VDataTable>
</template>
