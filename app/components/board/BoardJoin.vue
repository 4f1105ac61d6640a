<script setup lang="ts">
/** How a group's tablet gets to its station. */
const props = defineProps<{ code: string }>()
const { mode, address } = useClassMode()
const link = computed(() => stationLink(address.value, props.code))
</script>

<template>
  <div class="join">
    <ol>
      <li>Scan the picture, or type this into the browser:</li>
      <li class="large">{{ address }}/station</li>
      <li>The code of this lesson:</li>
      <li class="large code">{{ code }}</li>
      <li>Tap your group.</li>
    </ol>
    <div class="picture">
      <QrPicture :text="link" :label="`Opens ${link}`" />
      <p v-if="mode && !mode.on">Only on this computer: class mode is off.</p>
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
li {
  line-height: 1.3;
}
.large {
  margin-bottom: 20px;
  font-size: var(--type-figure);
  font-weight: 700;
  overflow-wrap: anywhere;
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
.picture p {
  font-size: var(--type-huge);
  line-height: 1.2;
}
</style>
