<script setup lang="ts">
import type { Stop } from '~~/core/lesson'
import type { Finding } from '~~/core/secondLook'
import { findingWords, fixWords, STOP_NAMES } from '~~/core/wording'

/** One finding: what it is, the figure, the reason on demand, and what mends it. */
const props = defineProps<{ finding: Finding; here: Stop }>()
const lesson = useLesson()
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
        why?<span v-if="finding.stop !== here" class="at">· {{ STOP_NAMES[finding.stop] }}</span>
      </summary>
      {{ words.why }}
    </details>
    <div class="row">
      <button
        v-for="(fix, place) in finding.fixes"
        :key="place"
        type="button"
        class="button small"
        :class="{ main: place === 0 && finding.severity === 'wrong' }"
        @click="lesson.apply(fix)"
      >
        {{ fixWords(fix, lesson.plan!) }}
      </button>
    </div>
  </li>
</template>

<style scoped>
.finding {
  padding: 10px 0 12px;
  border-top: 1px solid var(--line);
  overflow-wrap: anywhere;
}
.finding h3 {
  font-size: 16px;
}
.finding p {
  font-size: 15px;
}
.finding details {
  margin: 2px 0 8px;
  color: var(--soft);
  font-size: 14px;
}
.finding summary {
  width: fit-content;
  color: var(--slate);
  cursor: pointer;
}
.at {
  margin-left: 6px;
  color: var(--soft);
}
</style>
