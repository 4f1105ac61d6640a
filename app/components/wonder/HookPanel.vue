<script setup lang="ts">
import { LONGEST } from '~~/core/lesson'
import type { Picture } from '~~/core/lesson'

/** What the class looks at first: words, pictures of the teacher's own, a sketch. */
const lesson = useLesson()
const notices = useNotices()
const plan = computed(() => lesson.plan!)
const sketching = ref(false)
const busy = ref(false)
const SketchPad = defineAsyncComponent(() => import('~/components/wonder/SketchPad.vue'))
const MOST_PICTURES = 4
const full = computed(() => plan.value.wonder.pictures.length >= MOST_PICTURES)

async function addFiles(files: FileList | File[] | null): Promise<void> {
  const [file] = [...(files ?? [])].filter(({ type }) => type.startsWith('image/'))
  if (!file) return files?.length ? notices.trouble('That is not a picture. Choose a PNG, JPEG or WebP file.') : undefined
  const data = await shrinkPicture(file).catch(() => undefined)
  if (data === undefined) return notices.trouble('This picture cannot be opened. Save it as PNG or JPEG and choose it again.')
  await add(data, file.name.replace(/\.\w+$/, '').slice(0, 200))
}

async function add(data: string, caption: string): Promise<void> {
  busy.value = true
  const id = await lesson.addPicture(data)
  busy.value = false
  if (id !== undefined) lesson.edit((draft) => draft.wonder.pictures.push({ id, caption }))
}

function caption(picture: Picture, text: string): void {
  lesson.edit(
    (draft) => (draft.wonder.pictures.find(({ id }) => id === picture.id)!.caption = text.slice(0, 200)),
    `caption-${picture.id}`,
  )
}

function onPaste(event: ClipboardEvent): void {
  const files = [...(event.clipboardData?.files ?? [])]
  if (files.length === 0 || full.value) return
  event.preventDefault()
  void addFiles(files)
}
</script>

<template>
  <div class="hook" @paste="onPaste" @dragover.prevent @drop.prevent="addFiles($event.dataTransfer?.files ?? null)">
    <span class="label">The hook: what the class looks at first</span>
    <div class="parts">
      <GrowingField
        label="The hook"
        :model-value="plan.wonder.hook"
        placeholder="an object, a picture, a quick demonstration"
        @update:model-value="lesson.edit((draft) => (draft.wonder.hook = $event), 'hook')"
      />
      <figure v-for="picture in plan.wonder.pictures" :key="picture.id">
        <img :src="`/api/lessons/${lesson.id}/pictures/${picture.id}`" :alt="picture.caption || 'Picture of the hook'" />
        <input
          class="caption"
          :value="picture.caption"
          :maxlength="LONGEST.name"
          :aria-label="`What the picture shows: ${picture.caption}`"
          placeholder="what it shows"
          @input="caption(picture, ($event.target as HTMLInputElement).value)"
        />
        <button
          type="button"
          class="button small quiet away"
          :aria-label="`Take the picture away: ${picture.caption}`"
          @click="lesson.edit((draft) => (draft.wonder.pictures = draft.wonder.pictures.filter(({ id }) => id !== picture.id)))"
        >
          ✕
        </button>
      </figure>
      <div v-if="!full" class="adders">
        <label class="button small file" :class="{ busy }">
          {{ busy ? 'Keeping it …' : '+ picture' }}
          <input
            type="file"
            class="sr-only"
            accept="image/png,image/jpeg,image/webp"
            @change="addFiles(($event.target as HTMLInputElement).files)"
          />
        </label>
        <button type="button" class="button small" @click="sketching = true">+ sketch</button>
      </div>
    </div>
    <SketchPad v-if="sketching" v-model="sketching" @done="add($event, 'a sketch')" />
  </div>
</template>

<style scoped>
.hook {
  margin-top: 10px;
}
.label {
  color: var(--soft);
  font-size: 14.5px;
}
.parts {
  display: flex;
  align-items: flex-start;
  gap: 10px;
}
.parts > :first-child {
  flex: 1;
  min-width: 0;
}
figure {
  position: relative;
  flex: none;
  width: 116px;
}
img {
  display: block;
  width: 116px;
  height: 62px;
  border: 1px solid var(--line);
  border-radius: var(--corner);
  background: var(--card);
  object-fit: cover;
}
.caption {
  width: 100%;
  padding: 0 2px;
  border: 0;
  background: none;
  color: var(--soft);
  font-size: 13px;
}
.away {
  position: absolute;
  top: 2px;
  right: 2px;
  min-height: 24px;
  padding: 0 7px;
  background: var(--card);
}
.adders {
  display: grid;
  gap: 4px;
  align-content: start;
}
.file:has(:focus-visible) {
  outline: 3px solid var(--slate);
  outline-offset: 2px;
}
</style>
