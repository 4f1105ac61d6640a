<script setup lang="ts">
import { LONGEST, REMARK_LISTS, type Plan, type RemarkList, type SaidRemark } from '~~/core/lesson'
import { WONDER_WORDS } from '~~/core/wording'
import type { NewRemark } from '~~/core/lesson'

/** What the group sees, guesses and asks: one line at a time, for one of the three lists. */
const props = defineProps<{ plan: Plan; group: string; said: SaidRemark[]; pictureOf: (id: string) => string; closable: boolean }>()
const emit = defineEmits<{ say: [remark: NewRemark]; close: [] }>()
const list = ref<RemarkList>('noticed')
const text = ref('')
const own = computed(() => props.said.filter((remark) => remark.group === props.group).reverse())

function say(): void {
  const words = text.value.trim()
  if (words === '') return
  emit('say', { id: newId(), list: list.value, text: words })
  text.value = ''
}
</script>

<template>
  <form class="station-form" @submit.prevent="say">
    <div v-if="plan.wonder.hook || plan.wonder.pictures.length > 0" class="hook">
      <img
        v-for="picture in plan.wonder.pictures"
        :key="picture.id"
        :src="pictureOf(picture.id)"
        :alt="picture.caption || 'What the class looks at'"
      />
      <p v-if="plan.wonder.hook">{{ plan.wonder.hook }}</p>
    </div>
    <h1>Look closely. What do you say?</h1>
    <div class="lists" role="radiogroup" aria-label="Which list">
      <button
        v-for="name in REMARK_LISTS"
        :key="name"
        type="button"
        class="button"
        role="radio"
        :aria-checked="list === name"
        :class="{ on: list === name }"
        @click="list = name"
      >
        <strong>{{ WONDER_WORDS[name].name }}</strong>
        <span>{{ WONDER_WORDS[name].what }}</span>
      </button>
    </div>
    <label>
      <span class="sr-only">{{ WONDER_WORDS[list].name }}</span>
      <textarea v-model="text" class="box" rows="2" :maxlength="LONGEST.said" :placeholder="WONDER_WORDS[list].example" />
    </label>
    <div class="row">
      <button v-if="closable" type="button" class="button large" @click="emit('close')">Back</button>
      <button type="submit" class="button main large grow" :disabled="text.trim() === ''">Say it</button>
    </div>
    <ul v-if="own.length > 0" aria-label="What you said">
      <li v-for="remark in own" :key="remark.id">
        <span class="soft">{{ WONDER_WORDS[remark.list].name }}:</span>
        {{ remark.text }}
      </li>
    </ul>
  </form>
</template>

<style scoped>
.hook {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 12px;
}
.hook img {
  max-width: min(100%, 340px);
  max-height: 220px;
  border-radius: var(--corner);
}
.lists {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 8px;
}
.lists .button {
  display: grid;
  min-height: 64px;
  padding: 6px 4px;
  line-height: 1.2;
}
.lists span {
  font-size: 15px;
  font-weight: 400;
}
.lists .on {
  border-color: var(--green);
  background: var(--green-light);
}
textarea {
  padding: 8px 12px;
  border: 1.5px solid var(--ink);
  font-size: 20px;
}
li {
  padding: 6px 0;
  border-bottom: 1px solid var(--line);
  overflow-wrap: anywhere;
}
</style>
