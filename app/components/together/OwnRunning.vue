<script setup lang="ts">
import type { Stop } from '~~/core/lesson'
import { ownRows } from '~~/core/together'
import OwnRows from '~/components/together/OwnRows.vue'
import TogetherAgree from '~/components/together/TogetherAgree.vue'
import TogetherKit from '~/components/together/TogetherKit.vue'
import { useTogether } from '~/composables/togetherDesk'

/** The groups' own questions of a lesson once some are asked, kept up to date; on Kit with their sum, on Agree with the class's sentence across all. */
const props = defineProps<{ id: string; stop: Stop }>()
defineEmits<{ ask: [group: string] }>()
const { view, members, found, change } = useTogether(props.id)
defineExpose({ members })
</script>

<template>
  <p v-if="!view" class="soft">Opening …</p>
  <template v-else>
    <OwnRows :rows="ownRows(members)" :found="found" @ask="$emit('ask', $event)" />
    <TogetherKit v-if="stop === 'kit'" :id="id" class="mt-wide" :members="members" :together="view.together" />
    <TogetherAgree v-if="stop === 'agree'" class="mt-wide" :found="found" :together="view.together" @change="change" />
  </template>
</template>
