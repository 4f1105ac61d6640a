<script setup lang="ts">
import { mendsOf, takeMend } from '~~/core/waysOut'
import { mendWords } from '~~/core/wording'
import { useLesson } from '~/stores/lesson'

/** What would make it fit, what takes nothing from the children first; each done with one click. */
const lesson = useLesson()
const plan = computed(() => lesson.plan!)
const mends = computed(() => mendsOf(plan.value).map((mend) => ({ mend, ...mendWords(mend) })))
</script>

<template>
  <section v-if="mends.length > 0" class="sheet mb-part" aria-labelledby="mends">
    <h3 class="mb-tight text-lead" id="mends">
      What would make it fit <span class="soft text-small font-normal">what takes the least from the children first</span>
    </h3>
    <ul>
      <li v-for="{ mend, label, effect } in mends" :key="mend.code" :class="{ part: !mend.fits }">
        <VBtn
          size="small"
          :variant="mend === mends[0]!.mend && mend.fits ? 'flat' : undefined"
          @click="lesson.replace(takeMend(plan, mend))"
        >
          {{ label }}
        </VBtn>
        <span>{{ effect }}</span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 220px 1fr;
  gap: var(--gap-wide);
  align-items: center;
  padding: var(--gap-tight) 0;
}
.part span {
  color: var(--soft);
}
</style>
