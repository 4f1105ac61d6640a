<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { byPlace, needsOf, type School } from '~~/core/kit'
import { amountWords, measuredWords } from '~~/core/wording'
import KitTitle from '~/components/print/KitTitle.vue'
import { useCustoms } from '~/composables/customs'

/** What to fetch, place by place, so that nobody walks twice. */
const plan = useLessonPlan()
const props = defineProps<{ school: School }>()
const { kitchen } = useCustoms()
const places = computed(() =>
  byPlace(
    needsOf(plan.value, props.school)
      .filter(({ forClass }) => forClass > 0)
      .map((need) => ({
        ...need,
        name: plan.value.materials.find(({ id }) => id === need.material)!.name || 'a thing without a name',
      })),
  ),
)
</script>

<template>
  <div>
    <KitTitle what="Picking list" />
    <section v-for="{ place, rows } in places" :key="place" class="keep-together">
      <h2 class="mx-0 mt-4mm mb-1mm text-14pt">{{ place || 'No place written down' }}</h2>
      <table class="ruled font-heading">
        <tbody>
          <tr v-for="need in rows" :key="need.material">
            <td class="py-1.2mm px-2mm w-11mm"><span class="square" /></td>
            <td class="py-1.2mm px-2mm">{{ need.name }}</td>
            <td class="figure py-1.2mm px-2mm">
              <strong>{{ measuredWords(need.forClass, need.unit, kitchen) }}</strong>
            </td>
            <td class="short py-1.2mm px-2mm w-34mm">{{ need.short > 0 ? `${amountWords(need.short, need.unit)} short` : '' }}</td>
          </tr>
        </tbody>
      </table>
    </section>
  </div>
</template>
