<script setup lang="ts">
import { needsOf } from '~~/core/kit'
import { newMaterial } from '~~/core/lesson'
import { PER_WORDS, trialSum } from '~~/core/wording'

/** What every tray holds, multiplied for the class, and what to be careful with. */
const lesson = useLesson()
const plan = computed(() => lesson.plan!)
const needs = computed(() => new Map(needsOf(plan.value).map((need) => [need.material, need])))

function add(name: string): void {
  lesson.edit((draft) => draft.materials.push(newMaterial(newId(), name)))
}
</script>

<template>
  <div>
    <div class="stop-head">
      <h2>Kit</h2>
      <p class="soft figures">{{ trialSum(plan) }}</p>
      <NuxtLink class="button main print" :to="`/print/${lesson.id}/trays`" target="_blank">Print the tray lists</NuxtLink>
    </div>
    <div class="scroll" tabindex="0" role="group" aria-label="Materials">
      <table v-if="plan.materials.length > 0" class="ruled kit">
        <thead>
          <tr>
            <th scope="col">Thing</th>
            <th scope="col">Amount</th>
            <th scope="col">for</th>
            <th scope="col" class="figure">Tray</th>
            <th scope="col" class="figure">Class</th>
            <th scope="col" class="figure">Cupboard</th>
            <th scope="col"><span class="sr-only">More</span></th>
          </tr>
        </thead>
        <tbody>
          <MaterialRow v-for="material in plan.materials" :key="material.id" :material="material" :need="needs.get(material.id)!" />
        </tbody>
      </table>
    </div>
    <div v-if="plan.materials.length === 0" class="empty-note">
      <strong>What does one tray hold?</strong>
      Name a thing and how much {{ PER_WORDS.group }} or {{ PER_WORDS.trial }} takes, such as “1 strip” {{ PER_WORDS.trial }}.
      Conditions, repeats, groups and spares are multiplied for you.
    </div>
    <QuickAdd
      class="add"
      is-new
      target="new-material"
      label="Add a thing to the kit"
      placeholder="+ another thing: shallow tray"
      :longest="200"
      @add="add"
    />
    <CautionPanel />
  </div>
</template>

<style scoped>
.print {
  margin-left: auto;
  align-self: center;
}
.kit {
  min-width: 700px;
}
.add {
  margin-top: 8px;
}
.figures {
  font-size: 15px;
}
</style>
