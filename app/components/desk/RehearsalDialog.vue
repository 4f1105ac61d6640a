<script setup lang="ts">
import { fitOf, testStartOf } from '~~/core/clock'
import { canRehearse, withTried, type Tried } from '~~/core/rehearsal'
import { assumedLines, rehearsalLines, rehearsalNeeds, rehearsalSentence, rehearsedGrades, triedWords } from '~~/core/wording'
import EndsPicture from '~/components/clock/EndsPicture.vue'
import AppDialog from '~/components/pieces/AppDialog.vue'
import AppFold from '~/components/pieces/AppFold.vue'
import { useCustoms } from '~/composables/customs'
import { useRehearsal } from '~/composables/rehearsal'
import { newId } from '~/following/newId'
import { useLesson } from '~/stores/lesson'
import { useWalkThrough } from '~/composables/walkThrough'

/** The plan tonight on a thousand made-up classes: how often it works, what goes wrong, what would help; and one class to walk through. */
const open = defineModel<boolean>({ required: true })
const lesson = useLesson()
const walkThrough = useWalkThrough()
const { currency } = useCustoms()
const plan = computed(() => lesson.plan!)
const { done, running, found, tried, start, stop } = useRehearsal()
const possible = computed(() => canRehearse(plan.value))
const grades = computed(() => (found.value ? rehearsedGrades(found.value) : []))
const lines = computed(() => (found.value ? rehearsalLines(plan.value, found.value) : []))
const helps = computed(() => (tried.value ?? []).map((one) => ({ one, ...triedWords(plan.value, one, currency.value) })))
const again = () => start(plan.value)
if (possible.value) onMounted(again)

function take({ change }: Tried): void {
  lesson.replace(withTried(plan.value, change, newId))
  again()
}

async function walk(): Promise<void> {
  stop()
  if (!(await walkThrough())) return
  open.value = false
  await navigateTo(`/lesson/${lesson.id}/test`)
}
</script>

<template>
  <AppDialog v-model="open" title="Rehearsal" :width="760">
    <template v-if="!possible">
      <p class="text-lead">There is nothing to rehearse yet.</p>
      <p>
        {{ rehearsalNeeds(plan) }}
      </p>
    </template>
    <template v-else>
      <div v-if="running" class="grid gap-close" role="status">
        <p>{{ found ? 'Trying what would help …' : 'A thousand made-up classes are at it …' }}</p>
        <VProgressLinear :model-value="done * 100" height="8" rounded aria-label="How far it is" />
        <p><QuietBtn size="small" @click="stop">Stop</QuietBtn></p>
      </div>
      <p v-else-if="!found">Stopped. <LinkBtn @click="again">Begin again</LinkBtn></p>
      <div v-if="found" class="found" tabindex="0" role="region" aria-label="What came out">
        <p class="text-title font-heading">{{ rehearsalSentence(found) }}</p>
        <ul class="bars" aria-label="How they come out">
          <li v-for="{ grade, of100, words } in grades" :key="grade">
            <span>{{ grade }}</span>
            <span class="classes flex flex-wrap gap-hair" aria-hidden="true"><i v-for="one in of100" :key="one" /></span>
            <span>{{ words }}</span>
          </li>
        </ul>
        <EndsPicture
          v-if="found.ends"
          :ends="{ ends: found.ends.all, until: found.ends.until }"
          :from="testStartOf(fitOf(plan))"
          :to="plan.clock.minutes"
          :label="lines[0]!"
        />
        <p v-for="line in lines" :key="line">{{ line }}</p>
        <section v-if="tried" class="grid gap-near">
          <h3 class="text-lead">What would help most</h3>
          <p v-if="helps.length === 0" class="hint">Nothing that could be tried makes it notably better.</p>
          <ul class="grid gap-near">
            <li v-for="{ one, label, effect, price } in helps" :key="label" class="row">
              <VBtn size="small" @click="take(one)">{{ label }}</VBtn>
              <span
                >{{ effect }} <span class="hint">· {{ price }}</span></span
              >
            </li>
          </ul>
        </section>
        <AppFold title="What is taken for granted">
          <ul class="plain">
            <li v-for="line in assumedLines(plan, found.from)" :key="line">{{ line }}</li>
          </ul>
        </AppFold>
      </div>
    </template>
    <template #actions>
      <VBtn v-if="possible" @click="walk">Walk one made-up class through</VBtn>
      <QuietBtn @click="open = false">Close</QuietBtn>
    </template>
  </AppDialog>
</template>

<style scoped>
.found {
  display: grid;
  gap: var(--gap-near);
  max-height: 62vh;
  overflow-y: auto;
}
.bars {
  display: grid;
  gap: var(--gap-hair);
}
.bars li {
  display: grid;
  grid-template-columns: 130px minmax(0, 1fr) 150px;
  align-items: center;
  gap: var(--gap-near);
}
.classes {
  max-width: 350px;
}
.bars i {
  width: 12px;
  height: 12px;
  border: 1.5px solid var(--ink);
  border-radius: 50%;
  background: var(--green-light);
}
.plain {
  padding-left: 1.2em;
  list-style: disc;
}
</style>
