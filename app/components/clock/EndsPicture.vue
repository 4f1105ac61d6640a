<script setup lang="ts">
import { endsByMinute, type TestEnds } from '~~/core/clock'

/** In how many of a hundred classes testing ends in each minute, against the minute at which it must; what is late is hatched. */
const props = defineProps<{
  ends: Pick<TestEnds, 'ends' | 'until'>
  /** Said to whoever does not see it. */
  label: string
  /** The minutes at the left and at the right. */
  from: number
  to: number
}>()
const minutes = computed(() => endsByMinute(props.ends))
const most = computed(() => Math.max(1, ...minutes.value.map(({ of100 }) => of100)))
const share = (minute: number) => `${((minute - props.from) / (props.to - props.from)) * 100}%`
</script>

<template>
  <div class="ends relative mt-tight" role="img" :aria-label="label">
    <i
      v-for="{ minute, of100, late } in minutes"
      :key="minute"
      class="absolute bottom-0"
      :class="{ late }"
      :style="{ left: share(minute), width: share(from + 1), height: `${(of100 / most) * 100}%` }"
    />
    <span class="until absolute" :style="{ left: share(ends.until) }">
      <span class="absolute text-small nowrap">testing must end</span>
    </span>
    <span class="when absolute text-small text-soft nowrap" :style="{ right: `calc(100% - ${share(minutes[0]!.minute)})` }">
      when testing ends
    </span>
  </div>
</template>

<style scoped>
.ends {
  height: 46px;
  border-bottom: 1.5px solid var(--line);
}
i {
  border: 1px solid var(--card);
  border-bottom: 0;
  background: var(--green);
  forced-color-adjust: none;
}
i.late {
  background: repeating-linear-gradient(45deg, var(--beet) 0 2px, var(--card) 2px 4px);
}
.until {
  inset-block: 0;
  border-left: 2px dashed var(--ink);
}
.until span {
  left: var(--gap-tight);
}
.when {
  bottom: 2px;
  padding-right: var(--gap-near);
}
/* Beside a narrow bar they stick out; the line above says it. */
@media (width < 700px) {
  .when,
  .until span {
    display: none;
  }
}
</style>
