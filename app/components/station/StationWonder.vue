<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { LONGEST, REMARK_LISTS, type RemarkList, type SaidRemark } from '~~/core/lesson'
import { WONDER_WORDS } from '~~/core/wording'
import type { NewRemark } from '~~/core/lesson'
import LongField from '~/forms/LongField.vue'
import PickOne from '~/forms/PickOne.vue'
import { newId } from '~/following/newId'

/** What the group sees, guesses and asks: one line at a time, for one of the three lists. */
const plan = useLessonPlan()
const props = defineProps<{ group: string; said: SaidRemark[]; pictureOf: (id: string) => string; closable: boolean }>()
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
    <div v-if="plan.wonder.hook || plan.wonder.pictures.length > 0" class="hook flex flex-wrap items-center gap-wide">
      <img
        v-for="picture in plan.wonder.pictures"
        :key="picture.id"
        :src="pictureOf(picture.id)"
        :alt="picture.caption || 'What the class looks at'"
      />
      <p v-if="plan.wonder.hook">{{ plan.wonder.hook }}</p>
    </div>
    <h1>Look closely. What do you say?</h1>
    <PickOne
      v-model="list"
      tiles
      label="Which list"
      :options="REMARK_LISTS.map((name) => ({ value: name, title: WONDER_WORDS[name].name }))"
    >
      <template #default="{ option }">
        <span class="list grid min-h-64px py-close px-tight leading-1.2">
          <strong>{{ option.title }}</strong>
          <span>{{ WONDER_WORDS[option.value].what }}</span>
        </span>
      </template>
    </PickOne>
    <LongField
      bare
      :label="WONDER_WORDS[list].name"
      v-model="text"
      :rows="2"
      :longest="LONGEST.said"
      :placeholder="`for example ${WONDER_WORDS[list].example}`"
    />
    <div class="row">
      <VBtn v-if="closable" @click="emit('close')">Back</VBtn>
      <MainBtn type="submit" class="grow" :disabled="text.trim() === ''">Say it</MainBtn>
    </div>
    <ul v-if="own.length > 0" aria-label="What you said">
      <li class="py-close px-0 edge-bottom-1-line break-anywhere" v-for="remark in own" :key="remark.id">
        <span class="soft">{{ WONDER_WORDS[remark.list].name }}:</span>
        {{ remark.text }}
      </li>
    </ul>
  </form>
</template>

<style scoped>
.hook img {
  max-width: min(100%, 340px);
  max-height: 220px;
  border-radius: var(--corner);
}
.lists {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: var(--gap-near);
}
.lists span {
  font-size: var(--type-body);
  font-weight: 400;
}
</style>
