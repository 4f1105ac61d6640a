<script setup lang="ts">
import { CAUTIONS, cautionsOfMaterial, readAmountOf, type Caution, type Need } from '~~/core/kit'
import {
  BOUNDS,
  LONGEST,
  activeConditions,
  letterOf,
  PREPARATIONS,
  TRIAL_PARTS,
  type Material,
  type Preparation,
  type Substitute,
} from '~~/core/lesson'
import { amountWords, cautionWords, civilWords, needSum, PREPARATION_WORDS, TRIAL_PART_WORDS } from '~~/core/wording'
import ChoiceField from '~/forms/ChoiceField.vue'
import NumberField from '~/forms/NumberField.vue'
import QuickAdd from '~/forms/QuickAdd.vue'
import TextField from '~/forms/TextField.vue'
import TickField from '~/forms/TickField.vue'
import { useCustoms } from '~/composables/customs'
import { newId } from '~/following/newId'
import { useLesson } from '~/stores/lesson'

/** What else there is to say of one thing, one idea after the other: how it is used, where it comes from, getting ready, instead, cautions. */
const props = defineProps<{ material: Material; need: Need }>()
const lesson = useLesson()
const { money, say } = useCustoms()
const plan = computed(() => lesson.plan!)
const cautions = computed(() => cautionsOfMaterial(props.material))
const supply = computed(() => props.need.supply)
const again = computed(() => props.material.use === 'again')
const isVolumeOrMass = computed(() => {
  const unit = readAmountOf(props.material)
  return unit.ok && !unit.whole
})
const FIRST_PREPARATION: Preparation = { kind: 'cut', words: '', minutes: 5, secondsEach: 0, hours: 0 }

function set<Part extends keyof Material>(part: Part, value: Material[Part], typing = ''): void {
  lesson.edit(
    (draft) => (draft.materials.find((one) => one.id === props.material.id)![part] = value),
    typing && `${typing}-${props.material.id}`,
  )
}

function toggleCaution(caution: Caution, on: boolean): void {
  const { cautions: own } = props.material
  set('cautions', on ? [...own, caution] : own.filter((one) => one !== caution))
}

function prepare(change: Partial<Preparation>): void {
  set('preparation', { ...(props.material.preparation ?? FIRST_PREPARATION), ...change }, 'preparation')
}

function substitute(id: string, change: Partial<Substitute>): void {
  set(
    'substitutes',
    props.material.substitutes.map((one) => (one.id === id ? { ...one, ...change } : one)),
    `substitute-${id}`,
  )
}
function addSubstitute(name: string): void {
  set('substitutes', [...props.material.substitutes, { id: newId(), name, amount: '', stock: '', note: '' }])
}
</script>

<template>
  <div class="grid gap-part">
    <p class="hint">{{ needSum(need, material, lesson.plan!) }}</p>
    <section class="pt-near edge-top-1-line">
      <h3 class="text-lead">How it is used</h3>
      <div class="row items-end">
        <ChoiceField
          label="Only for"
          :model-value="material.condition ?? ''"
          @update:model-value="set('condition', $event || null)"
          :options="[
            { value: '', title: 'all conditions' },
            ...activeConditions(plan).map((condition) => ({
              value: condition.id,
              title: `${letterOf(plan, condition.id)} ${condition.label}`,
            })),
          ]"
        />
        <ChoiceField
          label="Afterwards"
          :model-value="material.use"
          @update:model-value="set('use', $event)"
          :options="[
            { value: 'up', title: 'used up' },
            { value: 'again', title: 'used again' },
          ]"
        />
        <NumberField
          label="Spares, in 100"
          :model-value="Math.round(material.spare * 100)"
          :least="0"
          :most="500"
          @update:model-value="set('spare', ($event ?? 0) / 100)"
        />
        <template v-if="again">
          <NumberField
            label="Rinse and dry"
            unit="min"
            :model-value="material.rinse"
            v-bind="BOUNDS.rinseSeconds"
            @update:model-value="set('rinse', $event ?? 0)"
          />
          <NumberField
            label="Go round in all"
            optional
            whole
            :model-value="material.goesRound"
            v-bind="BOUNDS.goesRound"
            @update:model-value="set('goesRound', $event)"
          />
          <fieldset v-if="material.goesRound !== null" class="flex flex-wrap items-center gap-near">
            <legend class="label">In use while a trial is</legend>
            <TickField
              v-for="part in TRIAL_PARTS"
              :key="part"
              :label="TRIAL_PART_WORDS[part]"
              :model-value="material.inUse.includes(part)"
              @update:model-value="
                set(
                  'inUse',
                  TRIAL_PARTS.filter((one) => (one === part ? $event : material.inUse.includes(one))),
                )
              "
            />
          </fieldset>
        </template>
      </div>
    </section>
    <section class="pt-near edge-top-1-line">
      <h3 class="text-lead">Where it comes from</h3>
      <div class="row items-end">
        <ChoiceField
          label="In the cupboard it is"
          class="wide"
          :model-value="supply.thing?.id ?? ''"
          @update:model-value="set('thing', $event || null)"
          :options="[
            { value: '', title: 'not from the cupboard' },
            ...lesson.school.things.map((thing) => ({
              value: thing.id,
              title: `${thing.name} (${amountWords(thing.stock, thing.unit)})`,
            })),
          ]"
        />
        <template v-if="supply.thing">
          <p class="hint booked">
            {{ supply.place || 'no place' }}{{ supply.price === undefined ? '' : `, ${money(supply.price)} a pack` }}.
            <template v-for="booking in supply.taken" :key="booking.lesson">
              “{{ booking.title || 'Lesson' }}” has {{ amountWords(booking.amount, supply.thing.unit) }} on
              {{ civilWords({ day: booking.date, time: booking.start || 'no time' }) }}.
            </template>
          </p>
        </template>
        <template v-else>
          <TextField
            v-for="[part, words] in [
              ['stock', 'There'],
              ['pack', 'One pack'],
              ['price', 'Price of a pack'],
              ['place', 'Place'],
            ] as const"
            :key="part"
            :label="words"
            class="short"
            :longest="LONGEST.name"
            :model-value="material[part]"
            @update:model-value="set(part, $event, part)"
          />
        </template>
        <NumberField
          v-if="isVolumeOrMass"
          label="1 mL weighs (g)"
          optional
          :target="`density-${material.id}`"
          :model-value="material.density"
          v-bind="BOUNDS.density"
          @update:model-value="set('density', $event)"
        />
        <TickField label="to buy" :model-value="material.toBuy" @update:model-value="set('toBuy', $event)" />
      </div>
    </section>
    <section class="pt-near edge-top-1-line">
      <h3 class="text-lead">Getting ready</h3>
      <div class="row items-end">
        <ChoiceField
          label="What to do"
          :model-value="material.preparation?.kind ?? null"
          @update:model-value="$event ? prepare({ kind: $event }) : set('preparation', null)"
          :options="[
            { value: null, title: 'nothing' },
            ...PREPARATIONS.map((kind) => ({ value: kind, title: PREPARATION_WORDS[kind] })),
          ]"
        />
        <template v-if="material.preparation">
          <TextField
            label="How"
            class="wide"
            :longest="LONGEST.name"
            placeholder="for example 2 cm wide, on the guillotine"
            :model-value="material.preparation.words"
            @update:model-value="prepare({ words: $event })"
          />
          <NumberField
            label="Work"
            unit="min"
            :model-value="material.preparation.minutes"
            v-bind="BOUNDS.preparationMinutes"
            @update:model-value="prepare({ minutes: $event ?? 0 })"
          />
          <NumberField
            label="and each piece"
            unit="s"
            :model-value="material.preparation.secondsEach"
            v-bind="BOUNDS.preparationSecondsEach"
            @update:model-value="prepare({ secondsEach: $event ?? 0 })"
          />
          <NumberField
            label="then it stands"
            unit="h"
            :model-value="material.preparation.hours"
            v-bind="BOUNDS.standingHours"
            @update:model-value="prepare({ hours: $event ?? 0 })"
          />
        </template>
      </div>
    </section>
    <section class="pt-near edge-top-1-line">
      <h3 class="text-lead">Could be taken instead</h3>
      <div v-for="one in material.substitutes" :key="one.id" class="row substitute items-end">
        <TextField
          label="Thing"
          class="wide"
          :longest="LONGEST.name"
          :model-value="one.name"
          @update:model-value="substitute(one.id, { name: $event })"
        />
        <TextField
          label="Amount, if other"
          class="short"
          :longest="LONGEST.name"
          :model-value="one.amount"
          @update:model-value="substitute(one.id, { amount: $event })"
        />
        <TextField
          label="There"
          class="short"
          :longest="LONGEST.name"
          :model-value="one.stock"
          @update:model-value="substitute(one.id, { stock: $event })"
        />
        <TextField
          label="What changes"
          class="wide"
          :longest="LONGEST.name"
          :model-value="one.note"
          @update:model-value="substitute(one.id, { note: $event })"
        />
        <QuietBtn
          size="small"
          :aria-label="`Take away ${one.name}`"
          @click="
            set(
              'substitutes',
              material.substitutes.filter(({ id }) => id !== one.id),
            )
          "
        >
          ✕
        </QuietBtn>
      </div>
      <QuickAdd
        v-if="material.substitutes.length < 6"
        label="Add a substitute"
        placeholder="+ a substitute"
        example="a plastic cup"
        :longest="LONGEST.name"
        @add="addSubstitute"
      />
    </section>
    <section class="pt-near edge-top-1-line">
      <h3 class="text-lead">Cautions</h3>
      <p class="hint">Those in its name are added by themselves.</p>
      <div class="row items-end">
        <VChip
          v-for="caution in cautions"
          :key="caution"
          :closable="material.cautions.includes(caution)"
          :close-label="`${say(cautionWords(caution).name)} does not belong to it`"
          @click:close="toggleCaution(caution, false)"
        >
          {{ say(cautionWords(caution).name) }}
        </VChip>
        <VMenu>
          <template #activator="{ props: activator }">
            <VBtn size="small" v-bind="activator">{{ cautions.length === 0 ? 'Add a caution' : 'Another caution' }}</VBtn>
          </template>
          <VList role="menu" density="compact" class="all-cautions">
            <VListItem
              role="menuitem"
              v-for="caution in CAUTIONS.filter((one) => !cautions.includes(one))"
              :key="caution"
              :title="say(cautionWords(caution).name)"
              @click="toggleCaution(caution, true)"
            />
          </VList>
        </VMenu>
      </div>
    </section>
    <QuietBtn
      size="small"
      class="off justify-self-start"
      @click="lesson.edit((draft) => (draft.materials = draft.materials.filter((one) => one.id !== material.id)))"
    >
      Take {{ material.name || 'it' }} off the list
    </QuietBtn>
  </div>
</template>

<style scoped>
section {
  display: grid;
  gap: var(--gap-near);
}
.row > .field {
  flex: 1 1 150px;
}
.row > .wide {
  flex-basis: 100%;
}
</style>
