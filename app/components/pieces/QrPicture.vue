<script setup lang="ts">
/** A link as a QR picture; the package that draws it is loaded when one is shown. */
const props = defineProps<{ text: string; label: string }>()
const drawing = ref('')
watch(
  () => props.text,
  async (text) => {
    const { toString } = await import('qrcode')
    drawing.value = await toString(text, { type: 'svg', margin: 1, errorCorrectionLevel: 'M' })
  },
  { immediate: true },
)
const address = computed(() => `data:image/svg+xml,${encodeURIComponent(drawing.value)}`)
</script>

<template>
  <img v-if="drawing" :src="address" :alt="label" class="qr" />
</template>

<style scoped>
.qr {
  display: block;
  width: 100%;
  aspect-ratio: 1;
  background: #fff;
}
</style>
