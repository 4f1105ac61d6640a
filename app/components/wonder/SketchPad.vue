<script setup lang="ts">
import SignaturePad from 'signature_pad'
import AppDialog from '~/components/pieces/AppDialog.vue'

/** A sheet to sketch on with a pen, a finger or the mouse. */
defineProps<{ title?: string }>()
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ done: [data: string] }>()
const canvas = useTemplateRef<HTMLCanvasElement>('canvas')
const empty = ref(true)
const INK = '#1e2b2f'
const PENS = [
  { name: 'thin', width: 2 },
  { name: 'thick', width: 6 },
]
const pen = ref(0)
let pad: SignaturePad | undefined

onMounted(async () => {
  await nextTick()
  const surface = canvas.value!
  // As sharp as the screen is; the strokes are in the canvas's own measure.
  const ratio = Math.max(window.devicePixelRatio, 1)
  surface.width = surface.offsetWidth * ratio
  surface.height = surface.offsetHeight * ratio
  surface.getContext('2d')!.scale(ratio, ratio)
  pad = new SignaturePad(surface, { backgroundColor: '#ffffff', penColor: INK })
  pad.addEventListener('endStroke', () => (empty.value = pad!.isEmpty()))
  take(0)
})
onBeforeUnmount(() => pad?.off())

function take(place: number): void {
  pen.value = place
  pad!.minWidth = PENS[place]!.width * 0.6
  pad!.maxWidth = PENS[place]!.width
}

function undo(): void {
  pad!.fromData(pad!.toData().slice(0, -1))
  empty.value = pad!.toData().length === 0
}

function finish(): void {
  emit('done', pad!.toDataURL('image/png'))
  open.value = false
}
</script>

<template>
  <AppDialog v-model="open" :title="title ?? 'Sketch what they look at'" :width="760">
    <canvas ref="canvas" class="sheet-of-paper" aria-label="Sketching sheet" role="img" />
    <div class="row mt-near">
      <VBtn
        v-for="(one, place) in PENS"
        :key="one.name"
        size="small"
        :aria-pressed="pen === place"
        :class="{ on: pen === place }"
        @click="take(place)"
      >
        {{ one.name }} pen
      </VBtn>
      <VBtn size="small" :disabled="empty" @click="undo">Last stroke away</VBtn>
    </div>
    <template #actions>
      <QuietBtn @click="open = false">Not now</QuietBtn>
      <MainBtn :disabled="empty" @click="finish">Keep the sketch</MainBtn>
    </template>
  </AppDialog>
</template>

<style scoped>
/* A child's finger, not a mouse. */
@media (pointer: coarse) {
}
.sheet-of-paper {
  display: block;
  width: 100%;
  height: 360px;
  border: 1.5px solid var(--mark);
  border-radius: var(--corner);
  background: #fff;
  cursor: crosshair;
  touch-action: none;
}
.on {
  border-color: var(--green);
  background: var(--green-light);
}
</style>
