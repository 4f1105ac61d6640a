<script setup lang="ts">
import { LONGEST } from '~~/core/lesson'
import type { DeskName } from '~~/schemas/contract'

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
      <label v-if="desks.length > 0" class="field">
        <span>Whose desk</span>
        <select v-model="desk" class="box">
          <option :value="null">The head desk, for all classes</option>
          <option v-for="one in desks" :key="one.id" :value="one.id">{{ one.name }}</option>
        </select>
      </label>
      <label class="field">
        <span>Passphrase</span>
        <input
          v-model="passphrase"
          class="box"
          type="password"
          autocomplete="current-password"
          autofocus
          :maxlength="LONGEST.passphrase"
        />
      </label>
      <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
      <button type="submit" class="button main" :disabled="passphrase.trim() === ''">Open the desk</button>
    </form>
    <NuxtLink class="button quiet" to="/station" @click="leave">This is a group’s station</NuxtLink>
  </main>
</template>

<style scoped>
.door,
form {
  display: grid;
  gap: 14px;
  justify-items: center;
}
.door {
  max-width: 440px;
  margin: 12vh auto 0;
  padding: 0 20px;
  text-align: center;
}
form,
.field {
  width: 100%;
}
.trouble {
  text-align: left;
}
</style>
