<script setup lang="ts">
import { hasOldCodes, ownerOf, seatOf, sharesThings, withFreshKeys, withShared, withSharedThings } from '~~/core/lesson'
import { seatWords, sharedWords, SHARED_BY } from '~~/core/wording'
import ChoiceField from '~/forms/ChoiceField.vue'
import { secretRandom } from '~/following/chance'
import { useLesson } from '~/stores/lesson'

/** Each child's own record: its seat, its code, whose thing it shares, and whether the seat is empty today. */
const lesson = useLesson()
const plan = computed(() => lesson.plan!)
function toggle(place: number): void {
  lesson.edit((draft) => {
    const record = draft.groups[place]!
    record.away = record.away.length > 0 ? [] : [1]
  })
}
const sharing = computed(() => sharesThings(plan.value))
/** The seat that is told whose thing it shares. */
const chosen = ref<string>()
const told = computed(() => plan.value.groups.find(({ id }) => id === chosen.value) ?? plan.value.groups[0]!)
const seats = computed(() => plan.value.groups.map((one) => ({ value: one.id, title: seatWords(plan.value, one.id) })))
const others = computed(() => [
  { value: null, title: 'nobody: one of its own' },
  ...seats.value.filter(({ value }) => value !== told.value.id),
])
/** At which seat the child sits whose thing this one shares; undefined where it has its own. */
const sharedSeat = (record: string) => {
  const owner = ownerOf(plan.value, record)
  return owner === record ? undefined : seatOf(plan.value, owner)
}
</script>

<template>
  <section aria-label="A record for each child" class="mt-near">
    <p>
      Each child has a seat, which you know, and a code that stands for it in tables and on the board. On its strip the code has
      four more letters, which open its own page on a tablet and stand nowhere else.
    </p>
    <p v-if="hasOldCodes(plan)" class="row mt-near" role="note">
      <span class="grow"
        >These codes are from before they had four more letters: whoever sees one on the board can open that page.</span
      >
      <VBtn size="small" @click="lesson.replace(withFreshKeys(plan, secretRandom))">Make whole codes</VBtn>
    </p>
    <ul class="seats mt-near" :style="{ '--seat-width': sharing ? '150px' : '92px' }">
      <li v-for="(child, place) in plan.groups" :key="child.id">
        <VBtn
          size="small"
          :aria-pressed="child.away.length > 0"
          :aria-label="`Seat ${place + 1}, ${child.name}, is away`"
          :class="{ away: child.away.length > 0 }"
          @click="toggle(place)"
        >
          {{ place + 1 }} <strong class="ml-tight">{{ child.name }}</strong>
          <span v-if="sharedSeat(child.id)" class="soft nowrap ml-tight">with {{ sharedSeat(child.id) }}</span>
        </VBtn>
      </li>
    </ul>
    <p class="row hint">
      <span class="grow">Press a seat that is empty today: nothing is left open for it.</span>
      <VBtn size="small" :href="`/print/${lesson.id}/codes`" target="_blank">Print the strips with the codes</VBtn>
    </p>
    <div class="row mt-near">
      <ChoiceField
        label="One thing is for"
        :model-value="0"
        :options="SHARED_BY"
        @update:model-value="$event > 0 && lesson.replace(withSharedThings(plan, $event))"
      />
      <ChoiceField label="Seat" :model-value="told.id" :options="seats" @update:model-value="chosen = $event" />
      <ChoiceField
        label="shares the thing of"
        :model-value="told.sharesWith"
        :options="others"
        @update:model-value="lesson.replace(withShared(plan, told.id, $event))"
      />
    </div>
    <p v-if="sharing" class="hint">{{ sharedWords(plan) }}</p>
  </section>
</template>

<style scoped>
.seats {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(var(--seat-width), 1fr));
  gap: var(--gap-close);
}
.seats :deep(.v-btn) {
  width: 100%;
}
.away {
  text-decoration: line-through;
}
</style>
