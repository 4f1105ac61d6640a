<script setup lang="ts">
import { asksForBest, tellingsOf } from '~~/core/wonder'
import { tellingWords } from '~~/core/wording'
import AppFold from '~/components/pieces/AppFold.vue'
import { useLesson } from '~/stores/lesson'

/** What "best" shall mean: the measures that could tell it side by side, and the class picks one. */
const lesson = useLesson()
const plan = computed(() => lesson.plan!)
const tellings = computed(() => tellingsOf(plan.value).map((one) => ({ ...one, words: tellingWords(one) })))
const open = computed(() => asksForBest(plan.value))
</script>

<template>
  <AppFold
    v-if="tellings.length > 1"
    title="What shall “best” mean?"
    target="tells-best"
    :hint="open ? 'the question leaves it open: pick the measure that tells it' : `${tellings.length} measures could tell`"
  >
    <div class="scroll" tabindex="0" role="group" aria-label="Measures side by side">
      <table class="ruled">
        <thead>
          <tr>
            <th scope="col">Measure</th>
            <th scope="col">With</th>
            <th scope="col" class="figure">Wobble of one result</th>
            <th scope="col" class="figure">Comes out clear</th>
            <th scope="col" class="figure">Lesson</th>
            <th scope="col"><span class="sr-only">Choose</span></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="one in tellings" :key="`${one.measure.id}${one.race}`">
            <th scope="row">{{ one.words.name }}</th>
            <td>{{ one.words.tool }}</td>
            <td class="figure">{{ one.words.wobble }}</td>
            <td class="figure">{{ one.words.clear }}</td>
            <td class="figure">{{ one.words.minutes }}</td>
            <td>
              <strong v-if="plan.measured === one.measure.id && !one.race">our measure</strong>
              <VBtn v-else size="small" :aria-label="`Measure ${one.words.name}`" @click="lesson.replace(one.plan)"
                >Measure this</VBtn
              >
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  </AppFold>
</template>
