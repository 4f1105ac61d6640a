<script setup lang="ts">
import { LONGEST, letterOf } from '~~/core/lesson'
import { timeWords, nameOfCondition } from '~~/core/wording'

/** What the groups saw while they tested, the latest first. */
const lesson = useLesson()
const plan = computed(() => lesson.plan!)
const seen = computed(() => [...lesson.record.observations].reverse())
const groupOf = (id: string) => plan.value.groups.find((one) => one.id === id)
const group = ref(plan.value.groups[0]?.id ?? '')
const text = ref('')

async function add(): Promise<void> {
  const words = text.value.trim()
  if (words === '' || group.value === '') return
  const row = { id: newId(), group: group.value, condition: null, repeat: null, kind: 'words' as const, text: words, picture: null }
  if (await lesson.addObservation(row)) text.value = ''
}
</script>

<template>
  <details class="fold" :open="seen.length > 0">
    <summary>
      <strong>Observations</strong>
      <span class="soft">{{ seen.length === 0 ? 'what groups see while they test' : `${seen.length} so far` }}</span>
    </summary>
    <form class="row add" @submit.prevent="add">
      <select v-model="group" class="box who" aria-label="Who saw it">
        <option v-for="one in plan.groups" :key="one.id" :value="one.id">{{ one.name }}</option>
      </select>
      <input
        v-model="text"
        class="box"
        :maxlength="LONGEST.observation"
        aria-label="What was seen"
        placeholder="the tissue fell apart at the bottom"
      />
      <button type="submit" class="button small nowrap" :disabled="text.trim() === ''">Write it down</button>
    </form>
    <ul>
      <li v-for="one in seen" :key="one.id">
        <a v-if="one.picture" :href="`/api/lessons/${lesson.id}/pictures/${one.picture}`" target="_blank">
          <img
            :src="`/api/lessons/${lesson.id}/pictures/${one.picture}`"
            :alt="one.text || (one.kind === 'sketch' ? 'A sketch' : 'A photo')"
          />
        </a>
        <span>
          <GroupName v-if="groupOf(one.group)" :group="groupOf(one.group)!" />
          <span class="soft when"
            >{{ timeWords(one.at)
            }}{{ one.condition ? `, ${letterOf(plan, one.condition)} ${nameOfCondition(plan, one.condition)}` : '' }}</span
          >
          <br />{{ one.text }}
        </span>
      </li>
    </ul>
  </details>
</template>

<style scoped>
.add {
  flex-wrap: nowrap;
  margin: 8px 0;
}
.who {
  width: 140px;
}
ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(280px, 1fr));
  gap: 8px 18px;
}
li {
  display: flex;
  gap: 10px;
  overflow-wrap: anywhere;
}
img {
  display: block;
  width: 84px;
  height: 64px;
  border: 1px solid var(--line);
  border-radius: var(--corner);
  background: #fff;
  object-fit: contain;
}
.when {
  margin-left: 8px;
}
</style>
