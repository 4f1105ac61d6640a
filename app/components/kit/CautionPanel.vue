<script setup lang="ts">
import { cautionsOf } from '~~/core/kit'
import { cautionWords, doerWords, list, SAFETY_LAST_WORD } from '~~/core/wording'

/** What to be careful with, who does it, and the tick that the teacher has seen it. */
const lesson = useLesson()
const plan = computed(() => lesson.plan!)
const cautions = computed(() => cautionsOf(plan.value))
const names = (ids: string[]) => list(ids.map((id) => plan.value.materials.find((one) => one.id === id)?.name ?? ''))

function note(caution: (typeof cautions.value)[number]['caution'], on: boolean): void {
  lesson.edit(
    (draft) =>
      (draft.cautionsAcknowledged = on
        ? [...draft.cautionsAcknowledged, caution]
        : draft.cautionsAcknowledged.filter((one) => one !== caution)),
  )
}
</script>

<template>
  <section class="section sheet" aria-labelledby="cautions">
    <h3 id="cautions">Take care</h3>
    <ul>
      <li v-for="one in cautions" :key="one.caution">
        <label>
          <input
            type="checkbox"
            :checked="one.acknowledged"
            @change="note(one.caution, ($event.target as HTMLInputElement).checked)"
          />
          <span>
            <strong>{{ cautionWords(one.caution).name }}: {{ doerWords(one.doer) }}.</strong>
            {{ cautionWords(one.caution).what }}
            <span class="soft">({{ names(one.materials) }})</span>
          </span>
        </label>
      </li>
    </ul>
    <p class="last">{{ SAFETY_LAST_WORD }}</p>
  </section>
</template>

<style scoped>
h3 {
  margin-bottom: 6px;
  font-size: 17px;
}
label {
  display: flex;
  align-items: flex-start;
  gap: 10px;
  padding: 4px 0;
  cursor: pointer;
}
input {
  width: 18px;
  height: 18px;
  margin-top: 3px;
  accent-color: var(--green);
}
.last {
  margin-top: 8px;
  padding-top: 8px;
  border-top: 1px solid var(--line);
  font-weight: 650;
}
</style>
