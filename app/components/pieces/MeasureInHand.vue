<script setup lang="ts" generic="Value extends string | number">
import PickOne from '~/forms/PickOne.vue'

/** Which of several measures or tables is spoken of; nothing where there is one. */
const inHand = defineModel<Value | undefined>({ required: true })
defineProps<{ label: string; options: { value: NoInfer<Value>; title: string }[] }>()
</script>

<template>
  <PickOne v-if="options.length > 1" v-model="inHand" class="my-near" :label="label" tiles :options="options" />
</template>
