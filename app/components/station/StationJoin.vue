<script setup lang="ts">
import { LONGEST } from '~~/core/lesson'
import type { JoinBody, JoinView } from '~~/schemas/contract'
import BeakerMark from '~/components/pieces/BeakerMark.vue'
import ShapeBadge from '~/components/pieces/ShapeBadge.vue'
import JoinTogether from '~/components/station/JoinTogether.vue'
import TextField from '~/forms/TextField.vue'
import { focusHeading } from '~/composables/focusHeading'
import { callServer, messageOf } from '~/following/callServer'

/** The code from the board, then one's own group, or a child's own code. */
const props = defineProps<{ join: (body: JoinBody) => Promise<void>; before: { code: string; name: string } }>()
const route = useRoute()
const code = ref(props.before.code || (typeof route.query.code === 'string' ? route.query.code : ''))
const own = ref('')
const lesson = ref<JoinView>()
/** Of several lessons that run together: who one is. */
const name = ref(props.before.name)
const trouble = ref('')
const part = useTemplateRef<HTMLElement>('part')
watch(lesson, () => focusHeading(part.value), { flush: 'post' })

async function attempt(work: () => Promise<void>): Promise<void> {
  trouble.value = ''
  await work().catch((error: unknown) => (trouble.value = messageOf(error)))
}
const look = () => attempt(async () => void (lesson.value = await callServer('GET /api/stations', { query: { code: code.value } })))
const choose = (group: string) => attempt(() => props.join({ code: code.value, group }))
const begin = (id: string) => attempt(() => props.join({ code: code.value, lesson: id, name: name.value }))
const chooseOwn = () => attempt(() => props.join({ code: code.value, own: own.value }))
if (code.value) onMounted(look)
</script>

<template>
  <div ref="part" class="join">
    <BeakerMark :size="64" :level="0.5" />
    <form class="pt-0" v-if="!lesson" @submit.prevent="look">
      <h1 class="text-large text-center">Type the code from the board</h1>
      <TextField
        bare
        label="Code from the board"
        class="reading code"
        v-model="code"
        placeholder="for example FERN 42"
        autocapitalize="characters"
        :longest="LONGEST.code"
      />
      <p v-if="trouble" class="trouble text-lead" role="alert">{{ trouble }}</p>
      <MainBtn type="submit" :disabled="code.trim() === ''">Next</MainBtn>
    </form>
    <form v-else-if="lesson.each === 'child'" class="pt-0" @submit.prevent="chooseOwn">
      <h1 class="text-large text-center">Type the code from your strip</h1>
      <p class="soft">{{ lesson.title }}</p>
      <TextField
        bare
        label="Your own code"
        class="reading code"
        v-model="own"
        placeholder="for example K37 R4TP"
        autocapitalize="characters"
        :longest="LONGEST.code"
      />
      <p v-if="trouble" class="trouble text-lead" role="alert">{{ trouble }}</p>
      <MainBtn type="submit" :disabled="own.trim() === ''">Begin</MainBtn>
    </form>
    <JoinTogether
      v-else-if="lesson.together"
      v-model:name="name"
      :code="code"
      :title="lesson.title"
      :together="lesson.together"
      :trouble="trouble"
      @begin="begin"
    />
    <template v-else>
      <h1 class="text-large text-center">Which group are you?</h1>
      <p class="soft">{{ lesson.title }}</p>
      <p v-if="trouble" class="trouble text-lead" role="alert">{{ trouble }}</p>
      <ul>
        <li v-for="group in lesson.groups" :key="group.id">
          <VBtn @click="choose(group.id)">
            <ShapeBadge :size="26" :shape="group.shape" />
            {{ group.name }}
          </VBtn>
        </li>
      </ul>
      <p v-if="lesson.groups.length === 0">This lesson has no groups yet. Ask your teacher.</p>
    </template>
  </div>
</template>

<style scoped>
.join,
form {
  display: grid;
  gap: var(--gap-wide);
  justify-items: center;
  width: min(460px, 100%);
  margin: 0 auto;
  padding-top: 6vh;
}
.code {
  width: 260px;
  font-weight: 700;
  letter-spacing: 2px;
}
.code :deep(input::placeholder) {
  font-size: var(--type-body);
  font-weight: 400;
  letter-spacing: 0;
  text-transform: none;
}
ul {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: var(--gap-wide);
  width: 100%;
}
</style>
