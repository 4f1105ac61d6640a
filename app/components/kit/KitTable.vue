<script setup lang="ts">
import { readBlock } from '~~/core/formats'
import { COLUMNS, pasteMaterials, type Column, type Need } from '~~/core/kit'
import type { Material } from '~~/core/lesson'
import { counted } from '~~/core/wording'
import { COLUMN_NAMES } from './columns'
import MaterialRow from '~/components/kit/MaterialRow.vue'
import { useSheetKeys } from '~/composables/sheetKeys'
import { newId } from '~/following/newId'
import { useLesson } from '~/stores/lesson'
import { useNotices } from '~/stores/notices'

/** The materials list, keyed in like a spreadsheet: Enter goes down, Tab goes right, a block can be pasted. */
const props = defineProps<{ columns: Column[]; needs: Map<string, Need>; whole: boolean }>()
const lesson = useLesson()
const notices = useNotices()
const plan = computed(() => lesson.plan!)
const sheet = ref<HTMLElement>()
const { follow } = useSheetKeys(sheet)

function onPaste(event: ClipboardEvent, row: number, column: Column): void {
  const block = readBlock(event.clipboardData?.getData('text') ?? '')
  if (block.length <= 1 && (block[0]?.length ?? 0) <= 1) return
  event.preventDefault()
  const { plan: pasted, left } = pasteMaterials(plan.value, block, { row, column }, newId)
  lesson.replace(pasted)
  const first = left[0]
  notices.done(
    first
      ? `Pasted, but for ${counted(left.length, 'cell')}: “${first.text}” in row ${first.row + 1} is not one of the choices under “${COLUMN_NAMES[first.column]}”.`
      : `${counted(block.length, 'row')} pasted.`,
  )
}

const placeOf = (column: Column) => COLUMNS.indexOf(column)
const rows = computed<{ material: Material; need: Need }[]>(() =>
  plan.value.materials.map((material) => ({ material, need: props.needs.get(material.id)! })),
)
</script>

<template>
  <div class="scroll" tabindex="0" role="group" aria-label="Materials">
    <table ref="sheet" class="ruled kit min-w-700px" :class="{ whole }">
      <thead>
        <tr>
          <th v-for="column in columns" :key="column" scope="col">{{ COLUMN_NAMES[column] }}</th>
          <th v-if="!whole" scope="col" class="figure">Tray</th>
          <th scope="col" class="figure">Class</th>
          <th v-if="!whole" scope="col" class="figure">There</th>
          <th scope="col"><span class="sr-only">More</span></th>
        </tr>
      </thead>
      <tbody>
        <MaterialRow
          v-for="({ material, need }, row) in rows"
          :key="material.id"
          :material="material"
          :need="need"
          :columns="columns"
          :row="row"
          :whole="whole"
          @key="(event, column) => follow(event, row, placeOf(column))"
          @paste="(event, column) => onPaste(event, row, column)"
        />
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.kit.whole {
  min-width: 1180px;
}
</style>
