<script setup lang="ts">
import { keysOf, type KeysView } from '~~/core/wording'
import AppDialog from '~/components/pieces/AppDialog.vue'

/** The keys of the view that is open. */
const open = defineModel<boolean>({ required: true })
defineProps<{ view: KeysView }>()
</script>

<template>
  <AppDialog v-model="open" title="Keys">
    <section v-for="group in keysOf(view)" :key="group.title">
      <h3>{{ group.title }}</h3>
      <dl class="keys">
        <template v-for="{ key, what } in group.keys" :key="key">
          <dt>
            <kbd>{{ key }}</kbd>
          </dt>
          <dd>{{ what }}</dd>
        </template>
      </dl>
    </section>
    <template #actions><VBtn @click="open = false">Close</VBtn></template>
  </AppDialog>
</template>

<style scoped>
.keys {
  display: grid;
  grid-template-columns: 130px 1fr;
  gap: var(--gap-close) var(--gap-wide);
}
</style>
