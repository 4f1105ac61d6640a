<script setup lang="ts">
import { type Doer, LONGEST } from '~~/core/lesson'
import { cautionsOf, DOER, type Caution } from '~~/core/kit'
import { cautionSourceWords, cautionWords, doerWords, SAFETY_LAST_WORD } from '~~/core/wording'
import ChoiceField from '~/forms/ChoiceField.vue'
import QuickAdd from '~/forms/QuickAdd.vue'
import TextField from '~/forms/TextField.vue'
import TickField from '~/forms/TickField.vue'
import { useCustoms } from '~/composables/customs'
import { newId } from '~/following/newId'
import { useLesson } from '~/stores/lesson'

/** What to be careful with, who does it, and the tick that the teacher has seen it. None can be taken away, only answered. */
const lesson = useLesson()
const { say } = useCustoms()
const plan = computed(() => lesson.plan!)
const cautions = computed(() => cautionsOf(plan.value))
const doers = [...new Set<Doer>(Object.values(DOER))]
const names = (ids: string[]) =>
  ids.map((id) => plan.value.materials.find((one) => one.id === id)?.name || 'a thing without a name')
/** The caution whose reason for not applying is being written. */
const answering = ref<Caution>()

const reasonBox = ref<{ focus(): void }[]>()
watch(answering, (now) => now && nextTick(() => reasonBox.value?.[0]?.focus()))

function note(caution: Caution, on: boolean): void {
  lesson.edit(
    (draft) =>
      (draft.cautionsAcknowledged = on
        ? [...draft.cautionsAcknowledged, caution]
        : draft.cautionsAcknowledged.filter((one) => one !== caution)),
  )
}

function answer(caution: Caution, reason: string): void {
  answering.value = undefined
  lesson.edit((draft) => {
    const { [caution]: _old, ...others } = draft.cautionsNotHere
    draft.cautionsNotHere = reason.trim() === '' ? others : { ...others, [caution]: reason.trim().slice(0, 200) }
  })
}

function addOwn(text: string): void {
  lesson.edit((draft) => draft.ownCautions.push({ id: newId(), text, doer: 'adult-beside', acknowledged: false }))
}
const value = (event: Event) => (event.target as HTMLInputElement).value
</script>

<template>
  <section class="section sheet" aria-labelledby="cautions">
    <h3 class="mb-close text-lead" id="cautions">Take care</h3>
    <ul>
      <li v-for="one in cautions" :key="one.caution">
        <TickField
          :label="`${say(cautionWords(one.caution).name)}: ${doerWords(one.doer)}. ${say(cautionWords(one.caution).what)}`"
          :model-value="one.acknowledged || one.notHere !== undefined"
          :disabled="one.notHere !== undefined"
          @update:model-value="note(one.caution, $event)"
        >
          <span :class="{ soft: one.notHere !== undefined }">
            <strong>{{ say(cautionWords(one.caution).name) }}: {{ doerWords(one.doer) }}.</strong>
            {{ say(cautionWords(one.caution).what) }}
            <span class="soft">({{ cautionSourceWords(names(one.materials), one.from) }})</span>
            <template v-if="one.notHere !== undefined"> <strong>Not here:</strong> {{ one.notHere }}</template>
          </span>
        </TickField>
        <TextField
          bare
          :label="`Why ${say(cautionWords(one.caution).name)} does not apply here`"
          class="reason"
          v-if="answering === one.caution"
          ref="reasonBox"
          :longest="LONGEST.name"
          placeholder="Why not here? Enter keeps it"
          :model-value="one.notHere ?? ''"
          @keydown.enter="answer(one.caution, value($event))"
          @keydown.esc.stop="answering = undefined"
          @blur="answering === one.caution && answer(one.caution, value($event))"
        />
        <QuietBtn
          v-else
          size="small"
          :aria-label="`${say(cautionWords(one.caution).name)}: ${one.notHere === undefined ? 'does not apply' : 'it does apply'}`"
          @click="one.notHere === undefined ? (answering = one.caution) : answer(one.caution, '')"
        >
          {{ one.notHere === undefined ? 'does not apply' : 'it does apply' }}
        </QuietBtn>
      </li>
      <li v-for="(own, place) in plan.ownCautions" :key="own.id">
        <TickField
          :label="own.text"
          :model-value="own.acknowledged"
          @update:model-value="lesson.edit((draft) => (draft.ownCautions[place]!.acknowledged = $event))"
        >
          <strong>{{ own.text }}</strong> <span class="soft">(your own)</span>
        </TickField>
        <ChoiceField
          bare
          :label="`Who does it: ${own.text}`"
          class="doer"
          :model-value="own.doer"
          @update:model-value="lesson.edit((draft) => (draft.ownCautions[place]!.doer = $event))"
          :options="doers.map((doer) => ({ value: doer, title: doerWords(doer) }))"
        />
        <QuietBtn
          size="small"
          :aria-label="`Take away: ${own.text}`"
          @click="lesson.edit((draft) => (draft.ownCautions = draft.ownCautions.filter(({ id }) => id !== own.id)))"
        >
          ✕
        </QuietBtn>
      </li>
    </ul>
    <QuickAdd
      label="Add a caution of your own"
      placeholder="+ a caution of your own"
      example="the floor by the sink is slippery"
      :longest="LONGEST.name"
      @add="addOwn"
    />
    <p class="last">{{ SAFETY_LAST_WORD }}</p>
  </section>
</template>

<style scoped>
.tick-field {
  flex: 1;
}
li {
  display: flex;
  align-items: flex-start;
  gap: var(--gap-near);
  padding: var(--gap-tight) 0;
}
.reason {
  width: 230px;
}
.doer {
  width: 170px;
}
.last {
  margin-top: 8px;
  padding-top: var(--gap-near);
  border-top: 1px solid var(--line);
  font-weight: 650;
}
</style>
