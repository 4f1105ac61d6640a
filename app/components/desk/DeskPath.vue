<script setup lang="ts">
import type { Stop } from '~~/core/lesson'
import type { Bead } from '~~/core/secondLook'
import { counted, openWords, STOP_NAMES } from '~~/core/wording'
import BeakerMark from '~/components/pieces/BeakerMark.vue'
import { useSecondLook } from '~/stores/secondLook'

/** The eight stops as beads in a glass tube, each with what is open at it; filled up to the last one that is done. */
defineProps<{ lessonId: string; stop: Stop }>()
const look = useSecondLook()
const stops = computed(() => look.readiness?.stops ?? [])
const BEAD_WORDS: Record<Bead, string> = { empty: 'not begun', half: 'begun', full: 'ready' }
const filled = computed(() => {
  const ready = stops.value.findIndex(({ bead }) => bead === 'empty')
  return ready < 0 ? stops.value.length : ready
})
</script>

<template>
  <nav class="path screen-only" data-target="path" aria-label="The stops of this lesson">
    <NuxtLink to="/" class="home">
      <BeakerMark :size="34" :level="look.readiness?.level ?? 0" />
      <span>Jolly Beaker</span>
    </NuxtLink>
    <ol class="tube" :style="{ '--filled': filled / 8 }">
      <li v-for="(one, place) in stops" :key="one.stop">
        <NuxtLink
          :to="`/lesson/${lessonId}/${one.stop}`"
          :class="{ here: one.stop === stop }"
          :aria-current="one.stop === stop ? 'step' : undefined"
        >
          <svg class="flex-none w-26px h-26px" viewBox="0 0 26 26" aria-hidden="true">
            <circle cx="13" cy="13" r="10.5" fill="var(--card)" />
            <path v-if="one.bead === 'half'" d="M2.5 13a10.5 10.5 0 0 0 21 0z" fill="var(--green)" />
            <circle v-if="one.bead === 'full'" cx="13" cy="13" r="10.5" fill="var(--green)" />
            <circle cx="13" cy="13" r="10.5" fill="none" stroke="var(--ink)" stroke-width="1.8" />
          </svg>
          <span class="gap-hair flex-1 grid min-w-0 leading-1.2">
            <span class="name">{{ STOP_NAMES[one.stop] }}</span>
            <span class="sr-only">, {{ BEAD_WORDS[one.bead] }}, key {{ place + 1 }}<template v-if="one.open">, </template></span>
            <span v-if="one.open" class="open text-soft font-dense text-small">{{ openWords(one.open) }}</span>
          </span>
          <span v-if="one.troubles > 0" class="count" :title="`${counted(one.troubles, 'thing')} to mend`">
            {{ one.troubles }}
            <span class="sr-only">to mend</span>
          </span>
        </NuxtLink>
      </li>
    </ol>
  </nav>
</template>

<style scoped>
.path {
  position: sticky;
  top: 0;
  height: 100vh;
  padding: var(--gap-block) var(--gap-wide) var(--gap-block) var(--gap-block);
  border-right: 1px solid var(--line);
}
.home {
  display: flex;
  align-items: center;
  gap: var(--gap-near);
  color: var(--green);
  font-family: var(--heading);
  font-size: var(--type-lead);
  font-weight: 700;
  text-decoration: none;
}
.tube {
  position: relative;
  display: flex;
  flex-direction: column;
  justify-content: space-between;
  height: min(600px, calc(100vh - 130px));
  margin-top: 26px;
  padding: var(--gap-near) 0;
}
.tube::before {
  content: '';
  position: absolute;
  inset: 0 auto 0 14px;
  width: 16px;
  border: 1.5px solid var(--soft);
  border-radius: var(--corner-glass);
  background: linear-gradient(var(--green-light), var(--green-light)) top / 100% calc(var(--filled) * 100%) no-repeat var(--card);
}
.tube a {
  position: relative;
  display: flex;
  align-items: center;
  gap: var(--gap-near);
  min-height: 44px;
  padding: var(--gap-hair) var(--gap-close) var(--gap-hair) var(--gap-near);
  border-radius: var(--corner);
  color: var(--ink);
  font-family: var(--heading);
  font-size: var(--type-lead);
  text-decoration: none;
}
.tube a:hover .name {
  text-decoration: underline;
}
.tube a.here .name {
  color: var(--green);
  font-weight: 700;
  text-decoration: underline 2px;
  text-underline-offset: 5px;
}
.count {
  min-width: 20px;
  padding: 0 var(--gap-close);
  border-radius: var(--corner-glass);
  background: var(--beet-light);
  color: var(--beet);
  font-family: var(--dense);
  font-size: var(--type-small);
  font-weight: 700;
  line-height: 20px;
  text-align: center;
}
@media (width < 900px) {
  .path {
    position: static;
    height: auto;
    border: 0;
  }
  .tube {
    flex-direction: row;
    height: auto;
    margin-top: 10px;
    padding: 0;
  }
  .tube::before {
    inset: 5px 0 auto;
    width: auto;
    height: 16px;
    background: linear-gradient(var(--green-light), var(--green-light)) left / calc(var(--filled) * 100%) 100% no-repeat var(--card);
  }
  .tube li {
    flex: 1 1 0;
    min-width: 0;
  }
  .tube a {
    flex-direction: column;
    gap: 0;
    padding: 0;
    font-family: var(--dense);
    font-size: var(--type-small);
    text-align: center;
  }
  .open {
    display: none;
  }
  .count {
    position: absolute;
    inset: -8px 0 auto auto;
  }
}
</style>
