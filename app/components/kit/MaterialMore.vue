<script setup lang="ts">
import { CAUTIONS, cautionsOfMaterial, readAmount, type Caution, type Need } from '~~/core/kit'
import {
  BOUNDS,
  LONGEST,
  activeConditions,
  letterOf,
  PREPARATIONS,
  type Material,
  type Preparation,
  type Substitute,
} from '~~/core/lesson'
import { amountWords, cautionWords, civilWords, moneyWords, needSum, PREPARATION_WORDS } from '~~/core/wording'

/** What else there is to say of one thing: cupboard, packs, drying, substitutes, getting ready, cautions. */
const props = defineProps<{ material: Material; need: Need; shared: boolean }>()
const lesson = useLesson()
const plan = computed(() => lesson.plan!)
const cautions = computed(() => cautionsOfMaterial(props.material))
const supply = computed(() => props.need.supply)
const again = computed(() => props.material.use === 'again')
const isVolumeOrMass = computed(() => {
  const unit = readAmount(props.material.amount)
  return unit.ok && !unit.whole
})
const FIRST_PREPARATION: Preparation = { kind: 'cut', words: '', minutes: 5, secondsEach: 0, hours: 0 }

function set<Part extends keyof Material>(part: Part, value: Material[Part], typing = ''): void {
  lesson.edit(
    (draft) => (draft.materials.find((one) => one.id === props.material.id)![part] = value),
    typing && `${typing}-${props.material.id}`,
  )
}
const text = (event: Event) => (event.target as HTMLInputElement).value

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
  <div class="more">
    <p class="hint">{{ needSum(need, material) }}</p>
    <div class="row">
      <label class="field">
        <span>Only for</span>
        <select class="box" :value="material.condition ?? ''" @change="set('condition', text($event) || null)">
          <option value="">all conditions</option>
          <option v-for="condition in activeConditions(plan)" :key="condition.id" :value="condition.id">
            {{ letterOf(plan, condition.id) }} {{ condition.label }}
          </option>
        </select>
      </label>
      <label class="field">
        <span>Afterwards</span>
        <select class="box" :value="material.use" @change="set('use', text($event) as Material['use'])">
          <option value="up">used up</option>
          <option value="again">used again</option>
        </select>
      </label>
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
      </template>
    </div>
    <div class="row">
      <label class="field wide">
        <span>In the cupboard it is</span>
        <select class="box" :value="supply.thing?.id ?? ''" @change="set('thing', text($event) || null)">
          <option value="">not from the cupboard</option>
          <option v-for="thing in lesson.school.things" :key="thing.id" :value="thing.id">
            {{ thing.name }} ({{ amountWords(thing.stock, thing.unit) }})
          </option>
        </select>
      </label>
      <template v-if="supply.thing">
        <p class="hint booked">
          {{ supply.place || 'no place' }}{{ supply.price === undefined ? '' : `, ${moneyWords(supply.price)} a pack` }}.
          <template v-for="booking in supply.taken" :key="booking.lesson">
            “{{ booking.title || 'Lesson' }}” has {{ amountWords(booking.amount, supply.thing.unit) }} on
            {{ civilWords({ day: booking.date, time: booking.start || 'no time' }) }}.
          </template>
        </p>
      </template>
      <template v-else>
        <label
          v-for="[part, words] in [
            ['stock', 'There'],
            ['pack', 'One pack'],
            ['price', 'Price of a pack'],
            ['place', 'Place'],
          ] as const"
          :key="part"
          class="field short"
        >
          <span>{{ words }}</span>
          <input class="box" :maxlength="LONGEST.name" :value="material[part]" @input="set(part, text($event), part)" />
        </label>
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
      <label class="check">
        <input type="checkbox" :checked="material.toBuy" @change="set('toBuy', ($event.target as HTMLInputElement).checked)" />
        to buy
      </label>
    </div>
    <fieldset>
      <legend>Getting ready</legend>
      <div class="row">
        <label class="field">
          <span>What to do</span>
          <select
            class="box"
            :value="material.preparation?.kind ?? ''"
            @change="text($event) ? prepare({ kind: text($event) as Preparation['kind'] }) : set('preparation', null)"
          >
            <option value="">nothing</option>
            <option v-for="kind in PREPARATIONS" :key="kind" :value="kind">{{ PREPARATION_WORDS[kind] }}</option>
          </select>
        </label>
        <template v-if="material.preparation">
          <label class="field wide">
            <span>How</span>
            <input
              class="box"
              :maxlength="LONGEST.name"
              placeholder="2 cm wide, on the guillotine"
              :value="material.preparation.words"
              @input="prepare({ words: text($event) })"
            />
          </label>
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
    </fieldset>
    <fieldset>
      <legend>Could be taken instead</legend>
      <div v-for="one in material.substitutes" :key="one.id" class="row substitute">
        <label class="field wide"
          ><span>Thing</span
          ><input class="box" :maxlength="LONGEST.name" :value="one.name" @input="substitute(one.id, { name: text($event) })"
        /></label>
        <label class="field short"
          ><span>Amount, if other</span
          ><input class="box" :maxlength="LONGEST.name" :value="one.amount" @input="substitute(one.id, { amount: text($event) })"
        /></label>
        <label class="field short"
          ><span>There</span
          ><input class="box" :maxlength="LONGEST.name" :value="one.stock" @input="substitute(one.id, { stock: text($event) })"
        /></label>
        <label class="field wide"
          ><span>What changes</span
          ><input class="box" :maxlength="LONGEST.name" :value="one.note" @input="substitute(one.id, { note: text($event) })"
        /></label>
        <button
          type="button"
          class="button small quiet"
          :aria-label="`Take away ${one.name}`"
          @click="
            set(
              'substitutes',
              material.substitutes.filter(({ id }) => id !== one.id),
            )
          "
        >
          ✕
        </button>
      </div>
      <QuickAdd
        v-if="material.substitutes.length < 6"
        label="Add a substitute"
        placeholder="+ a substitute: plastic cup"
        :longest="LONGEST.name"
        @add="addSubstitute"
      />
    </fieldset>
    <fieldset>
      <legend>Cautions. Those in its name are added by themselves.</legend>
      <label v-for="caution in CAUTIONS" :key="caution" class="check">
        <input
          type="checkbox"
          :checked="cautions.includes(caution)"
          :disabled="cautions.includes(caution) && !material.cautions.includes(caution)"
          @change="toggleCaution(caution, ($event.target as HTMLInputElement).checked)"
        />
        {{ cautionWords(caution).name }}
      </label>
    </fieldset>
    <button
      type="button"
      class="button small quiet off"
      @click="lesson.edit((draft) => (draft.materials = draft.materials.filter((one) => one.id !== material.id)))"
    >
      Take {{ material.name || 'it' }} off the list
    </button>
  </div>
</template>

<style scoped>
.more {
  display: grid;
  gap: 10px;
}
.row {
  align-items: flex-end;
}
.wide {
  flex: 1;
  min-width: 170px;
}
.short {
  width: 104px;
}
.booked {
  flex: 1;
}
legend {
  margin-bottom: 4px;
  color: var(--soft);
  font-size: 14px;
  font-weight: 650;
}
.check {
  display: inline-flex;
  gap: 5px;
  margin-right: 14px;
  font-size: 15px;
}
.check input {
  accent-color: var(--green);
}
.off {
  justify-self: start;
}
.substitute {
  margin-bottom: 6px;
}
</style>
