<script setup lang="ts">
import AppDialog from '~/components/pieces/AppDialog.vue'

/** A backup says otherwise of the school than this library does: ours stays, unless the head desk takes the backup's. */
defineProps<{ words: string; mayTake: boolean }>()
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ take: [] }>()
</script>

<template>
  <AppDialog v-model="open" title="The school’s own settings">
    <p>{{ words }}</p>
    <p v-if="!mayTake" class="hint">They are the whole school’s, so they are taken at the head desk.</p>
    <template #actions>
      <VBtn v-if="mayTake" @click="emit('take')">Take the backup’s</VBtn>
      <MainBtn @click="open = false">Keep ours</MainBtn>
    </template>
  </AppDialog>
</template>
