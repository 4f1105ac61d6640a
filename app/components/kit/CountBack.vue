<script setup lang="ts">
import { BOUNDS } from '~~/core/lesson'
import { likelyBack, missingOf, type Need } from '~~/core/kit'
import type { Material } from '~~/core/lesson'
import { amountWords, counted } from '~~/core/wording'
import AppFold from '~/components/pieces/AppFold.vue'
import NumberField from '~/forms/NumberField.vue'
import { callServer, messageOf } from '~/following/callServer'
import { useLesson } from '~/stores/lesson'
import { useNotices } from '~/stores/notices'

/** After the lesson: what came back and what broke. The cupboard's stocks follow. */
const props = defineProps<{ needs: Need[] }>()
const lesson = useLesson()
const notices = useNotices()
const plan = computed(() => lesson.plan!)
const rows = computed(() =>
  props.needs.flatMap((need) => {
    const material = plan.value.materials.find(({ id }) => id === need.material)!
    return need.supply.thing && need.supply.stock !== undefined ? [{ need, material }] : []
  }),
)
const back = ref<Record<string, number>>({})
const broken = ref<Record<string, number>>({})
const brokenOf = (need: Need) => broken.value[need.material] ?? 0
const backOf = (need: Need, { use }: Material) => back.value[need.material] ?? likelyBack(need, use, brokenOf(need))

/** What neither came back nor broke, thing by thing. */
const missing = computed(() =>
  rows.value.flatMap(({ need, material }) => {
    const gone = missingOf(material.use, { taken: need.forClass, back: backOf(need, material), broken: brokenOf(need) })
    return gone ? [{ ...gone, id: need.material, words: `${material.name}: ${amountWords(gone.count, need.unit)}` }] : []
  }),
)

async function count(): Promise<void> {
  if (missing.value.length > 0) return void notices.trouble('Say first what became of the things that are missing.')
  await lesson.flush()
  const body = {
    rows: rows.value.map(({ need, material }) => ({
      material: need.material,
      taken: need.forClass,
      back: backOf(need, material),
      broken: brokenOf(need),
    })),
  }
  try {
    const answer = await callServer('POST /api/lessons/[lesson]/count-back', { path: { lesson: lesson.id }, body })
    notices.done(`${counted(answer.counted, 'thing')} counted back into the cupboard.`)
    await lesson.lookAround()
  } catch (error) {
    notices.trouble(messageOf(error))
  }
}
</script>

<template>
  <AppFold
    target="count-back"
    title="After the lesson: count back"
    :hint="`${counted(rows.length, 'thing')} from the cupboard`"
    v-if="rows.length > 0"
  >
    <table class="ruled">
      <thead>
        <tr>
          <th scope="col">Thing</th>
          <th scope="col" class="figure">Went out</th>
          <th scope="col">Came back</th>
          <th scope="col">Broken or lost</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="{ need, material } in rows" :key="need.material">
          <td>
            {{ material.name }} <span class="soft">{{ material.use === 'again' ? '' : 'used up' }}</span>
          </td>
          <td class="figure">{{ amountWords(need.forClass, need.unit) }}</td>
          <td>
            <NumberField
              bare
              :label="`${material.name} came back`"
              :model-value="backOf(need, material)"
              v-bind="BOUNDS.stock"
              @update:model-value="back = { ...back, [need.material]: $event ?? 0 }"
            />
          </td>
          <td>
            <NumberField
              bare
              :label="`${material.name} broken or lost`"
              :model-value="brokenOf(need)"
              v-bind="BOUNDS.stock"
              @update:model-value="broken = { ...broken, [need.material]: $event ?? 0 }"
            />
          </td>
        </tr>
      </tbody>
    </table>
    <div v-for="one in missing" :key="one.id" class="row" role="status">
      <span>{{ one.words }} neither came back nor broke.</span>
      <VBtn size="small" @click="broken = { ...broken, [one.id]: one.lost }">It is lost</VBtn>
      <VBtn size="small" @click="back = { ...back, [one.id]: one.found }">It will turn up</VBtn>
    </div>
    <div class="row">
      <VBtn @click="count">Put it back into the cupboard</VBtn>
      <span class="hint">Counting again replaces the count; nothing is counted twice.</span>
    </div>
  </AppFold>
</template>
