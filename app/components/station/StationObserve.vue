<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { LONGEST, activeConditions, letterOf, type Observation } from '~~/core/lesson'
import { timeWords, nameOfCondition } from '~~/core/wording'
import type { NewObservation } from '~~/core/lesson'
import LongField from '~/forms/LongField.vue'
import NativeChoice from '~/forms/NativeChoice.vue'
import { chooseFile } from '~/composables/chooseFile'
import { shrinkPicture } from '~/composables/shrinkPicture'
import { newId } from '~/following/newId'

/** What the group sees while it tests: words, a sketch, a photo of the apparatus. The time is kept with it. */
const plan = useLessonPlan()
const props = defineProps<{
  group: string
  condition: string | null
  seen: Observation[]
  pictureOf: (id: string) => string
}>()
const emit = defineEmits<{ observe: [observation: NewObservation, picture: string | undefined]; close: [] }>()
const SketchPad = defineAsyncComponent(() => import('~/components/wonder/SketchPad.vue'))
const text = ref('')
const about = ref(props.condition ?? '')
const picture = ref<{ kind: 'sketch' | 'photo'; data: string }>()
const sketching = ref(false)
const trouble = ref('')
const own = computed(() => props.seen.filter((one) => one.group === props.group).reverse())

async function photo(): Promise<void> {
  const file = await chooseFile('image/*', { camera: true })
  if (!file) return
  const data = await shrinkPicture(file).catch(() => undefined)
  trouble.value = data === undefined ? 'This is not a picture that can be opened. Take another one.' : ''
  if (data !== undefined) picture.value = { kind: 'photo', data }
}

function keep(): void {
  const words = text.value.trim()
  if (words === '' && !picture.value) return
  emit(
    'observe',
    {
      id: newId(),
      group: props.group,
      condition: about.value === '' ? null : about.value,
      repeat: null,
      kind: picture.value?.kind ?? 'words',
      text: words,
      picture: picture.value ? newId() : null,
    },
    picture.value?.data,
  )
  text.value = ''
  picture.value = undefined
}
</script>

<template>
  <form class="station-form" @submit.prevent="keep">
    <h1>What do you see, hear or feel?</h1>
    <NativeChoice
      label="About"
      v-model="about"
      :options="[
        { value: '', title: 'the whole test' },
        ...activeConditions(plan).map((one) => ({
          value: one.id,
          title: `${letterOf(plan, one.id)} ${nameOfCondition(plan, one.id)}`,
        })),
      ]"
    />
    <LongField
      bare
      label="In words"
      v-model="text"
      :rows="2"
      :longest="LONGEST.observation"
      placeholder="for example the water climbs in spikes"
    />
    <div class="row">
      <VBtn @click="sketching = true">Sketch it</VBtn>
      <VBtn @click="photo">Photo of the apparatus</VBtn>
    </div>
    <p class="soft">Only the things on the table: no faces, no names.</p>
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
    <figure class="flex gap-wide items-center" v-if="picture">
      <img
        class="max-w-220px max-h-160px edge-1-line"
        :src="picture.data"
        :alt="picture.kind === 'sketch' ? 'Your sketch' : 'Your photo'"
      />
      <VBtn @click="picture = undefined">Without it</VBtn>
    </figure>
    <div class="row">
      <VBtn @click="emit('close')">Back</VBtn>
      <MainBtn type="submit" class="grow" :disabled="text.trim() === '' && !picture">Keep it</MainBtn>
    </div>
    <ul v-if="own.length > 0" aria-label="What you have seen">
      <li class="py-close px-0 edge-bottom-1-line break-anywhere" v-for="one in own" :key="one.id">
        <span class="soft">{{ timeWords(one.at) }}{{ one.condition ? ` · ${letterOf(plan, one.condition)}` : '' }}</span>
        {{ one.text || (one.kind === 'sketch' ? 'a sketch' : 'a photo') }}
        <span v-if="one.picture && one.text" class="soft">+ {{ one.kind }}</span>
      </li>
    </ul>
    <SketchPad
      v-if="sketching"
      v-model="sketching"
      title="Sketch what you see"
      @done="picture = { kind: 'sketch', data: $event }"
    />
  </form>
</template>
