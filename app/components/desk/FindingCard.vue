<script setup lang="ts">
import type { Stop } from '~~/core/lesson'
import type { Finding } from '~~/core/secondLook'
import { findingWords, fixWords, STOP_NAMES } from '~~/core/wording'
import { useCustoms } from '~/composables/customs'
import { useLesson } from '~/stores/lesson'
import { useSecondLook } from '~/stores/secondLook'

/** One finding: what it is, the figure, the reason on demand, and what mends it. */
const props = defineProps<{ finding: Finding; here: Stop }>()
const lesson = useLesson()
const look = useSecondLook()
const { customs } = useCustoms()
const words = computed(() => findingWords(props.finding, lesson.plan!))
const KIND = { wrong: 'Wrong', attention: 'Worth a look', note: 'Note' }
</script>

<template>
  <li class="finding" :class="finding.severity">
    <h3>
      <svg viewBox="0 0 16 16" width="13" height="13" role="img" :aria-label="KIND[finding.severity]">
        <path v-if="finding.severity === 'wrong'" d="M8 1l7 14H1z" fill="var(--beet)" />
        <path v-else-if="finding.severity === 'attention'" d="M1 1h14v14H1z" fill="var(--brass-mark)" />
        <circle v-else cx="8" cy="8" r="6" fill="none" stroke="var(--slate)" stroke-width="2.4" />
      </svg>
      {{ words.title }}
    </h3>
    <p>{{ words.text }}</p>
    <details>
      <summary>
        why?<span v-if="finding.stop !== here" class="at ml-close text-soft">· {{ STOP_NAMES[finding.stop] }}</span>
      </summary>
      {{ words.why }}
    </details>
    <div class="row">
      <VBtn
        v-for="(fix, place) in finding.fixes"
        :key="place"
        size="small"
        :variant="place === 0 && finding.severity === 'wrong' ? 'flat' : undefined"
        @click="look.apply(fix)"
      >
        {{ fixWords(fix, lesson.plan!, customs.english) }}
      </VBtn>
    </div>
  </li>
</template>

<style scoped>
.finding {
  padding: var(--gap-near) 0 var(--gap-wide);
  border-top: 1px solid var(--line);
  overflow-wrap: anywhere;
}
.finding h3 {
  font-size: var(--type-body);
}
.finding p {
  font-size: var(--type-body);
}
.finding details {
  margin: 2px 0 8px;
  color: var(--soft);
  font-size: var(--type-small);
}
.finding summary {
  width: fit-content;
  color: var(--slate);
  cursor: pointer;
}
</style>
