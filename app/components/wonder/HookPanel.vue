<script setup lang="ts">
import { LONGEST } from '~~/core/lesson'
import type { Picture } from '~~/core/lesson'
import GrowingField from '~/forms/GrowingField.vue'
import TextField from '~/forms/TextField.vue'
import { PICTURE_FILES, chooseFile } from '~/composables/chooseFile'
import { shrinkPicture } from '~/composables/shrinkPicture'
import { useLesson } from '~/stores/lesson'
import { useRecordWriting } from '~/stores/recordWriting'
import { useNotices } from '~/stores/notices'

/** What the class looks at first: words, pictures of the teacher's own, a sketch. */
const lesson = useLesson()
const writing = useRecordWriting()
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

async function choose(): Promise<void> {
  const file = await chooseFile(PICTURE_FILES)
  if (file) await addFiles([file])
}

async function add(data: string, caption: string): Promise<void> {
  busy.value = true
  const id = await writing.addPicture(data)
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
  <div class="mt-10px" @paste="onPaste" @dragover.prevent @drop.prevent="addFiles($event.dataTransfer?.files ?? null)">
    <span class="label text-soft text-small">The hook: what the class looks at first</span>
    <div class="parts flex items-start gap-near">
      <GrowingField
        label="The hook"
        :model-value="plan.wonder.hook"
        placeholder="for example an object, a picture, a quick demonstration"
        @update:model-value="lesson.edit((draft) => (draft.wonder.hook = $event), 'hook')"
      />
      <figure class="relative flex-none w-116px" v-for="picture in plan.wonder.pictures" :key="picture.id">
        <img :src="`/api/lessons/${lesson.id}/pictures/${picture.id}`" :alt="picture.caption || 'Picture of the hook'" />
        <TextField
          bare
          :label="`What the picture shows: ${picture.caption}`"
          class="caption"
          :model-value="picture.caption"
          :longest="LONGEST.name"
          placeholder="what it shows"
          @update:model-value="caption(picture, $event)"
        />
        <QuietBtn
          size="small"
          class="away absolute top-hair right-hair min-h-24px py-0 px-close bg-card"
          :aria-label="`Take the picture away: ${picture.caption}`"
          @click="lesson.edit((draft) => (draft.wonder.pictures = draft.wonder.pictures.filter(({ id }) => id !== picture.id)))"
        >
          ✕
        </QuietBtn>
      </figure>
      <div v-if="!full" class="grid gap-tight content-start">
        <VBtn size="small" :loading="busy" @click="choose">+ picture</VBtn>
        <VBtn size="small" @click="sketching = true">+ sketch</VBtn>
      </div>
    </div>
    <SketchPad v-if="sketching" v-model="sketching" @done="add($event, 'a sketch')" />
  </div>
</template>

<style scoped>
.parts > :first-child {
  flex: 1;
  min-width: 0;
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
</style>
