<script setup lang="ts">
import { useCustoms } from '~/composables/customs'
import { deskClosed } from '~/composables/deskDoor'

/** Loaded when they are first shown. */
const DeskDoor = defineAsyncComponent(() => import('~/components/desk/DeskDoor.vue'))

const route = useRoute()
const closed = computed(() => deskClosed.value && route.path !== '/station')
const { customs } = useCustoms()
useHead({ htmlAttrs: { lang: () => (customs.value.english === 'american' ? 'en-US' : 'en-GB') } })
</script>

<template>
  <VApp>
    <DeskDoor v-if="closed" />
    <NuxtPage v-else />
  </VApp>
</template>
