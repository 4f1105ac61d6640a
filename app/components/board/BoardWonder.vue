<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { REMARK_LISTS, type LessonRecord } from '~~/core/lesson'
import { withSaid } from '~~/core/wonder'
import { WONDER_WORDS } from '~~/core/wording'

/** The hook, large, and what the class says of it, the newest first. */
const plan = useLessonPlan()
const props = defineProps<{ record: LessonRecord; lesson: string }>()
const heard = computed(() => withSaid(plan.value, props.record.remarks))
const MOST_SHOWN = 5
</script>

<template>
  <div class="wonder flex flex-col gap-block h-full overflow-hidden">
    <div v-if="plan.wonder.pictures.length > 0 || plan.wonder.hook" class="hook flex items-center gap-block">
      <img
        v-for="picture in plan.wonder.pictures.slice(0, 2)"
        :key="picture.id"
        :src="`/api/lessons/${lesson}/pictures/${picture.id}`"
        :alt="picture.caption || 'What we look at'"
      />
      <p v-if="plan.wonder.hook">{{ plan.wonder.hook }}</p>
    </div>
    <div class="grid grid-cols-3 gap-far">
      <section v-for="name in REMARK_LISTS" :key="name">
        <h2 class="edge-bottom-3-green text-huge">{{ WONDER_WORDS[name].name }}</h2>
        <ul>
          <li v-for="remark in heard.wonder[name].slice(-MOST_SHOWN).reverse()" :key="remark.id">{{ remark.text }}</li>
        </ul>
        <p v-if="heard.wonder[name].length > MOST_SHOWN" class="soft">and {{ heard.wonder[name].length - MOST_SHOWN }} more</p>
      </section>
    </div>
  </div>
</template>

<style scoped>
.hook img {
  max-height: 260px;
  max-width: 44%;
  border-radius: var(--corner);
}
li {
  padding: var(--gap-close) 0;
  border-bottom: 1px solid var(--line);
  font-size: var(--type-huge);
  line-height: 1.25;
  overflow-wrap: anywhere;
}
</style>
