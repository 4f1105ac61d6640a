<script setup lang="ts">
import { LONGEST, activeConditions, letterOf, type Observation, type Plan } from '~~/core/lesson'
import { timeWords, nameOfCondition } from '~~/core/wording'
import type { NewObservation } from '~~/core/lesson'

/** What the group sees while it tests: words, a sketch, a photo of the apparatus. The time is kept with it. */
const props = defineProps<{
  plan: Plan
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

async function photo(files: FileList | null): Promise<void> {
  const file = files?.[0]
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
    <label class="field">
      <span>About</span>
      <select v-model="about" class="box">
        <option value="">the whole test</option>
        <option v-for="one in activeConditions(plan)" :key="one.id" :value="one.id">
          {{ letterOf(plan, one.id) }} {{ nameOfCondition(plan, one.id) }}
        </option>
      </select>
    </label>
    <textarea
      v-model="text"
      class="box"
      rows="2"
      :maxlength="LONGEST.observation"
      aria-label="In words"
      placeholder="the water climbs in spikes"
    />
    <div class="row">
      <button type="button" class="button large" @click="sketching = true">Sketch it</button>
      <label class="button large">
        Photo of the apparatus
        <input
          type="file"
          class="sr-only"
          accept="image/*"
          capture="environment"
          @change="photo(($event.target as HTMLInputElement).files)"
        />
      </label>
    </div>
    <p class="soft">Only the things on the table: no faces, no names.</p>
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
    <figure v-if="picture">
      <img :src="picture.data" :alt="picture.kind === 'sketch' ? 'Your sketch' : 'Your photo'" />
      <button type="button" class="button" @click="picture = undefined">Without it</button>
    </figure>
    <div class="row">
      <button type="button" class="button large" @click="emit('close')">Back</button>
      <button type="submit" class="button main large grow" :disabled="text.trim() === '' && !picture">Keep it</button>
    </div>
    <ul v-if="own.length > 0" aria-label="What you have seen">
      <li v-for="one in own" :key="one.id">
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

<style scoped>
.box {
  min-height: 48px;
  font-size: 19px;
}
label.button:focus-within {
  outline: 3px solid var(--slate);
  outline-offset: 2px;
}
figure {
  display: flex;
  gap: 12px;
  align-items: center;
}
img {
  max-width: 220px;
  max-height: 160px;
  border: 1px solid var(--line);
}
li {
  padding: 6px 0;
  border-bottom: 1px solid var(--line);
  overflow-wrap: anywhere;
}
</style>
