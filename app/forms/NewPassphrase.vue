<script setup lang="ts">
import { LONGEST, SHORTEST_PASSPHRASE } from '~~/core/lesson'
import TextField from '~/forms/TextField.vue'

/** A passphrase that is being chosen, and so can be read. */
const passphrase = defineModel<string>({ required: true })
const { label } = defineProps<{ label: string }>()
/** Long enough to be taken. */
defineExpose({ whole: computed(() => passphrase.value.trim().length >= SHORTEST_PASSPHRASE) })
</script>

<template>
  <TextField
    v-model="passphrase"
    :label="`${label}, ${SHORTEST_PASSPHRASE} letters or more`"
    autocapitalize="off"
    spellcheck="false"
    :longest="LONGEST.passphrase"
  />
</template>
