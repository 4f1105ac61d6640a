<script setup lang="ts">
import { LONGEST } from '~~/core/lesson'
import type { DeskName } from '~~/schemas/contract'
import BeakerMark from '~/components/pieces/BeakerMark.vue'
import ChoiceField from '~/forms/ChoiceField.vue'
import TextField from '~/forms/TextField.vue'
import { callServer, messageOf } from '~/following/callServer'
import { deskClosed } from '~/composables/deskDoor'

/** With class mode on, a page that is not a station needs the passphrase once. */
const passphrase = ref('')
const trouble = ref('')
const desk = ref<string | null>(null)
/** Where classes have desks of their own, one's own is chosen first. */
const desks = ref<DeskName[]>([])
onMounted(async () => {
  desks.value = await callServer('GET /api/desk').then(
    (answer) => answer.desks,
    () => [],
  )
})

const leave = () => void (deskClosed.value = false)

async function open(): Promise<void> {
  trouble.value = ''
  try {
    await callServer('POST /api/desk', { body: { passphrase: passphrase.value, desk: desk.value } })
    window.location.reload()
  } catch (error) {
    trouble.value = messageOf(error)
    passphrase.value = ''
  }
}
</script>

<template>
  <main class="door">
    <BeakerMark :size="72" :level="0.5" />
    <h1>The desk is closed</h1>
    <p>Class mode is on: stations join with the code on the board, the desk opens with the teacher’s passphrase.</p>
    <form @submit.prevent="open">
      <ChoiceField
        v-if="desks.length > 0"
        label="Whose desk"
        v-model="desk"
        :options="[
          { value: null, title: 'The head desk, for all classes' },
          ...desks.map((one) => ({ value: one.id, title: one.name })),
        ]"
      />
      <TextField
        label="Passphrase"
        v-model="passphrase"
        type="password"
        autocomplete="current-password"
        autofocus
        :longest="LONGEST.passphrase"
      />
      <p v-if="trouble" class="trouble text-left" role="alert">{{ trouble }}</p>
      <MainBtn type="submit" :disabled="passphrase.trim() === ''">Open the desk</MainBtn>
    </form>
    <QuietBtn to="/station" @click="leave">This is a group’s station</QuietBtn>
  </main>
</template>

<style scoped>
.door,
form {
  display: grid;
  gap: var(--gap-wide);
  justify-items: center;
}
.door {
  max-width: 440px;
  margin: 12vh auto 0;
  padding: 0 var(--gap-block);
  text-align: center;
}
form,
.field {
  width: 100%;
}
</style>
