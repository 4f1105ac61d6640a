<script setup lang="ts">
import { LONGEST } from '~~/core/lesson'
import type { JoinBody, JoinView } from '~~/schemas/contract'

/** The code from the board, then one's own group, or a child's own code. */
const props = defineProps<{ join: (body: JoinBody) => Promise<void>; before: { code: string; name: string } }>()
const route = useRoute()
const code = ref(props.before.code || (typeof route.query.code === 'string' ? route.query.code : ''))
const own = ref('')
const lesson = ref<JoinView>()
/** Of several lessons that run together: who one is, and then what one does. */
const name = ref(props.before.name)
const asking = ref(false)
const together = computed(() => lesson.value?.together)
const mine = computed(() => {
  const all = together.value?.lessons ?? []
  const own = all.filter(({ groups }) => groups.includes(name.value))
  return together.value?.way === 'choose' ? [...own, ...all.filter((one) => !own.includes(one))] : own
})
const part = useTemplateRef<HTMLElement>('part')
watch(lesson, () => focusHeading(part.value), { flush: 'post' })
const trouble = ref('')

async function attempt(work: () => Promise<void>): Promise<void> {
  trouble.value = ''
  await work().catch((error: unknown) => (trouble.value = messageOf(error)))
}
const look = () => attempt(async () => void (lesson.value = await callServer('GET /api/stations', { query: { code: code.value } })))
const choose = (group: string) => attempt(() => props.join({ code: code.value, group }))
const begin = (id: string) => attempt(() => props.join({ code: code.value, lesson: id, name: name.value }))
/** Whoever has one thing to do begins with it. */
function chooseName(group: string): void {
  name.value = group
  if (mine.value.length === 1 && together.value?.heap === null && together.value.way === 'given') void begin(mine.value[0]!.id)
}
watch([name, asking], () => focusHeading(part.value), { flush: 'post' })
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
        placeholder="for example K 37"
        autocapitalize="characters"
        :longest="LONGEST.code"
      />
      <p v-if="trouble" class="trouble text-lead" role="alert">{{ trouble }}</p>
      <MainBtn type="submit" :disabled="own.trim() === ''">Begin</MainBtn>
    </form>
    <template v-else-if="together && name === ''">
      <h1 class="text-large text-center">Which group are you?</h1>
      <p class="soft">{{ lesson.title }}</p>
      <ul>
        <li v-for="group in together.groups" :key="group.name">
          <VBtn @click="chooseName(group.name)">
            <ShapeBadge :size="26" :shape="group.shape" />
            {{ group.name }}
          </VBtn>
        </li>
      </ul>
    </template>
    <OwnQuestion
      v-else-if="together && asking"
      :heap="together.heap!"
      :code="code"
      :name="name"
      @asked="begin"
      @back="asking = false"
    />
    <template v-else-if="together">
      <h1 class="text-large text-center">{{ name }}: what do you do now?</h1>
      <p v-if="trouble" class="trouble text-lead" role="alert">{{ trouble }}</p>
      <ul class="investigations">
        <li v-for="one in mine" :key="one.id">
          <VBtn class="investigation" @click="begin(one.id)">
            <span
              ><strong>{{ one.title || 'Investigation' }}</strong> <small>{{ one.question }}</small></span
            >
          </VBtn>
        </li>
      </ul>
      <p v-if="mine.length === 0">Nothing yet for your group. Ask your teacher.</p>
      <VBtn v-if="together.heap" @click="asking = true">Ask our own question</VBtn>
      <LinkBtn @click="name = ''">We are another group</LinkBtn>
    </template>
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
.investigations {
  grid-template-columns: 1fr;
}
.investigation {
  width: 100%;
  height: auto;
  padding-block: var(--gap-near);
  text-align: left;
  white-space: normal;
}
.investigation small {
  display: block;
  font-weight: 400;
}
</style>
