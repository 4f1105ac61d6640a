<script setup lang="ts">
import QrPicture from '~/components/pieces/QrPicture.vue'
import { stationLink, useClassMode } from '~/composables/classMode'

/** How a group's tablet gets to its station. */
const props = defineProps<{ code: string; alone: boolean }>()
const { mode, address } = useClassMode()
const link = computed(() => stationLink(address.value, props.code))
</script>

<template>
  <div class="join">
    <ol>
      <li class="leading-1.3">Scan the picture, or type this into the browser:</li>
      <li class="large leading-1.3 mb-block text-figure font-bold break-anywhere">{{ address }}/station</li>
      <li class="leading-1.3">The code of this lesson:</li>
      <li class="large code leading-1.3 mb-block text-figure font-bold break-anywhere">{{ code }}</li>
      <li class="leading-1.3">{{ alone ? 'Type the code from your strip.' : 'Tap your group.' }}</li>
    </ol>
    <div class="picture">
      <QrPicture :text="link" :label="`Opens ${link}`" />
      <p class="text-huge leading-1.2" v-if="mode && !mode.on">Only on this computer: class mode is off.</p>
    </div>
  </div>
</template>

<style scoped>
.join {
  display: grid;
  grid-template-columns: minmax(0, 1fr) min(44vh, 420px);
  gap: var(--gap-far);
  align-items: center;
  height: 100%;
}
.code {
  letter-spacing: 6px;
}
.picture {
  padding: var(--gap-wide);
  border: 2.5px solid var(--ink);
  border-top: 0;
  border-radius: 0 0 var(--corner-glass) var(--corner-glass);
  background: var(--card);
}
</style>
