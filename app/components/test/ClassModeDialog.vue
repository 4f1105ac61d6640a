<script setup lang="ts">
import type { ClassMode } from '~~/schemas/contract'
import AppDialog from '~/components/pieces/AppDialog.vue'
import QrPicture from '~/components/pieces/QrPicture.vue'
import NewPassphrase from '~/forms/NewPassphrase.vue'
import { stationLink } from '~/composables/classMode'
import { callServer, messageOf } from '~/following/callServer'

/** Turns class mode on with a passphrase for the desk, and off again. */
const props = defineProps<{ mode: ClassMode; code: string; address: string }>()
const emit = defineEmits<{ changed: [] }>()
const open = defineModel<boolean>({ required: true })
const passphrase = ref('')
const field = useTemplateRef<{ whole: boolean }>('field')
const trouble = ref('')
const changing = ref(false)
const link = computed(() => stationLink(props.address, props.code))

async function set(on: boolean): Promise<void> {
  trouble.value = ''
  try {
    if (on) await callServer('PUT /api/class-mode', { body: { passphrase: passphrase.value } })
    else await callServer('DELETE /api/class-mode')
    passphrase.value = ''
    changing.value = false
    emit('changed')
  } catch (error) {
    trouble.value = messageOf(error)
  }
}
</script>

<template>
  <AppDialog v-model="open" title="Class mode" :width="600">
    <div v-if="mode.on && !changing" class="on">
      <div class="words">
        <p>
          <strong>On.</strong> Tablets on the same network open
          <strong class="break-anywhere">http://{{ address }}/station</strong> and type <strong class="nowrap">{{ code }}</strong>.
          The desk opens on other devices with the passphrase.
        </p>
        <p v-if="mode.addresses.length === 0" class="trouble">
          This computer is on no network now. Join the school’s network; the address then appears here.
        </p>
        <p v-else-if="mode.addresses.length > 1" class="soft">Also at {{ mode.addresses.slice(1).join(', ') }}.</p>
        <p class="hint">
          The school’s network carries this without a lock of its own. Use a passphrase that opens nothing else, and turn class mode
          off after the lesson.
        </p>
      </div>
      <QrPicture class="picture" :text="link" :label="`Opens ${link}`" />
    </div>
    <form v-else id="class-mode" class="off" @submit.prevent="set(true)">
      <p v-if="!mode.on">
        Now only this computer reaches Jolly Beaker. With class mode, tablets on the school’s network can join as stations; the desk
        then needs a passphrase, on this computer as well.
      </p>
      <NewPassphrase ref="field" v-model="passphrase" :label="`${mode.on ? 'New passphrase' : 'Passphrase'} for the desk`" />
    </form>
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
    <template #actions>
      <QuietBtn @click="open = false">Close</QuietBtn>
      <template v-if="mode.on && !changing">
        <QuietBtn @click="changing = true">Another passphrase</QuietBtn>
        <VBtn @click="set(false)">Turn class mode off</VBtn>
      </template>
      <MainBtn v-else type="submit" form="class-mode" :disabled="!field?.whole">
        {{ mode.on ? 'Take this passphrase' : 'Turn class mode on' }}
      </MainBtn>
    </template>
  </AppDialog>
</template>

<style scoped>
.on {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 190px;
  gap: var(--gap-block);
}
.words,
.off {
  display: grid;
  gap: var(--gap-near);
  align-content: start;
}
.picture {
  border: 1px solid var(--line);
}
</style>
