<script setup lang="ts">
import { lessonName } from '~~/core/wording'
import { mayGoTo, ownPlace, type OwnQuestion as OwnQuestionAsked } from '~~/core/together'
import type { JoinTogether } from '~~/schemas/togetherContract'
import ShapeBadge from '~/components/pieces/ShapeBadge.vue'
import OwnQuestion from '~/components/station/OwnQuestion.vue'
import { focusHeading } from '~/composables/focusHeading'
import { callServer } from '~/following/callServer'

/** Of several lessons that run together: which group one is, and then what it does; where it may, a question of its own. */
const props = defineProps<{ code: string; title: string; together: JoinTogether; trouble: string }>()
const emit = defineEmits<{ begin: [lesson: string] }>()
const name = defineModel<string>('name', { required: true })
const asking = ref(false)
const placesOf = (group: string) => mayGoTo(props.together.lessons, props.together.way, group)
const mine = computed(() => placesOf(name.value))
/** Where all go round, the investigation of this round is said. */
const now = computed(() => props.together.now[name.value])
const part = useTemplateRef<HTMLElement>('part')
watch([name, asking], () => focusHeading(part.value), { flush: 'post' })

/** Whoever has one thing to do begins with it. */
function choose(group: string): void {
  name.value = group
  const places = placesOf(group)
  // In one lesson: the group's own question, once it has one.
  const own = props.together.oneLesson ? ownPlace(props.together.lessons, group) : undefined
  if (own) return emit('begin', own.id)
  const [only, ...others] = places
  if (only && others.length === 0 && props.together.heap === null && props.together.way === 'given') emit('begin', only.id)
}

async function ask(asked: OwnQuestionAsked): Promise<void> {
  const body = { code: props.code, name: name.value, ...asked }
  emit('begin', (await callServer('POST /api/stations/own-question', { body })).lesson)
}
</script>

<template>
  <div ref="part" class="together">
    <template v-if="name === ''">
      <h1 class="text-large text-center">Which group are you?</h1>
      <p class="soft">{{ title }}</p>
      <ul class="groups">
        <li v-for="group in together.groups" :key="group.name">
          <VBtn @click="choose(group.name)">
            <ShapeBadge :size="26" :shape="group.shape" />
            {{ group.name }}
          </VBtn>
        </li>
      </ul>
    </template>
    <OwnQuestion v-else-if="asking && together.heap" :heap="together.heap" :send="ask" @back="asking = false" />
    <template v-else>
      <h1 class="text-large text-center">{{ name }}: what do you do now?</h1>
      <MainBtn v-if="together.oneLesson && together.heap" @click="asking = true">Ask our own question</MainBtn>
      <ul class="w-full grid gap-wide">
        <li v-for="one in mine" :key="one.id">
          <VBtn class="investigation" :class="{ now: one.id === now }" @click="emit('begin', one.id)">
            <span
              ><strong>{{ together.oneLesson ? 'The question of the class' : lessonName(one.title) }}</strong
              ><b v-if="one.id === now"> · this round</b> <small>{{ one.question }}</small></span
            >
          </VBtn>
        </li>
      </ul>
      <p v-if="mine.length === 0">Nothing yet for your group. Ask your teacher.</p>
      <VBtn v-if="together.heap && !together.oneLesson" @click="asking = true">Ask our own question</VBtn>
      <LinkBtn @click="name = ''">We are another group</LinkBtn>
    </template>
    <p v-if="trouble" class="trouble text-lead" role="alert">{{ trouble }}</p>
  </div>
</template>

<style scoped>
.together {
  display: grid;
  gap: var(--gap-wide);
  justify-items: center;
  width: 100%;
}
.groups {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: var(--gap-wide);
  width: 100%;
}
.investigation {
  width: 100%;
  height: auto;
  padding-block: var(--gap-near);
  text-align: left;
  white-space: normal;
}
.now {
  border-width: 3px;
}
.investigation small {
  display: block;
  font-weight: 400;
}
</style>
