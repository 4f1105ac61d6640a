<script setup lang="ts">
import { LONGEST } from '~~/core/lesson'
import type { DeskName } from '~~/schemas/contract'
import AppDialog from '~/components/pieces/AppDialog.vue'
import NewPassphrase from '~/forms/NewPassphrase.vue'
import TextField from '~/forms/TextField.vue'
import { callServer, messageOf } from '~/following/callServer'

/** Gives classes desks of their own, over one cupboard and calendar. */
const emit = defineEmits<{ changed: [] }>()
const open = defineModel<boolean>({ required: true })
const { desks } = defineProps<{ desks: DeskName[] }>()
const editing = ref<DeskName>()
const name = ref('')
const passphrase = ref('')
const field = useTemplateRef<{ whole: boolean }>('field')
const trouble = ref('')

function edit(desk: DeskName | undefined): void {
  editing.value = desk
  name.value = desk?.name ?? ''
  passphrase.value = ''
}

async function attempt(work: () => Promise<unknown>): Promise<void> {
  trouble.value = ''
  try {
    await work()
    edit(undefined)
    emit('changed')
  } catch (error) {
    trouble.value = messageOf(error)
  }
}

const save = () =>
  attempt(() => {
    const body = { name: name.value, passphrase: passphrase.value }
    return editing.value
      ? callServer('PUT /api/desks/[desk]', { path: { desk: editing.value.id }, body })
      : callServer('POST /api/desks', { body })
  })
const remove = (desk: DeskName) => attempt(() => callServer('DELETE /api/desks/[desk]', { path: { desk: desk.id } }))
</script>

<template>
  <AppDialog v-model="open" title="A desk for each class" :width="600">
    <p>
      Each class’s desk opens with a passphrase of its own and shows that class’s lessons. All share the cupboard and the calendars;
      this head desk sees everything.
    </p>
    <ul v-if="desks.length > 0" class="desks my-wide mx-0 p-0 list-none" aria-label="Desks">
      <li v-for="desk in desks" :key="desk.id">
        <strong class="flex-1 break-anywhere">{{ desk.name }}</strong>
        <QuietBtn size="small" :aria-label="`Change ${desk.name}`" @click="edit(desk)">Change</QuietBtn>
        <QuietBtn size="small" :aria-label="`Take ${desk.name} away`" @click="remove(desk)">
          Take away, its lessons come here
        </QuietBtn>
      </li>
    </ul>
    <form id="desk" class="form" @submit.prevent="save">
      <TextField label="Name of the desk" v-model="name" :longest="LONGEST.name" />
      <NewPassphrase ref="field" v-model="passphrase" :label="editing ? 'New passphrase' : 'Passphrase'" />
    </form>
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
    <template #actions>
      <QuietBtn @click="open = false">Close</QuietBtn>
      <QuietBtn v-if="editing" @click="edit(undefined)">Add another instead</QuietBtn>
      <MainBtn type="submit" form="desk" :disabled="name.trim() === '' || !field?.whole">
        {{ editing ? 'Change this desk' : 'Add this desk' }}
      </MainBtn>
    </template>
  </AppDialog>
</template>

<style scoped>
.desks li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: var(--gap-near);
  padding: var(--gap-close) 0;
  border-bottom: 1px solid var(--line);
}
.form {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: var(--gap-part);
  margin-top: 12px;
}
</style>
