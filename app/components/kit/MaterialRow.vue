<script setup lang="ts">
import { CAUTIONS, cautionsOfMaterial, type Caution, type Need } from '~~/core/kit'
import { activeConditions, letterOf, type Material } from '~~/core/lesson'
import { amountWords, cautionWords, PER_WORDS, readErrorWords } from '~~/core/wording'

/** One thing of the kit: the amount as it is written, and what that makes for a tray and for the class. */
const props = defineProps<{ material: Material; need: Need }>()
const lesson = useLesson()
const plan = computed(() => lesson.plan!)
const more = ref(false)
const trouble = computed(() => (props.need.amount.ok ? '' : readErrorWords(props.need.amount.code)))
const cautions = computed(() => cautionsOfMaterial(props.material))
const label = computed(() => props.material.name || 'a thing without a name')

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
</script>

<template>
  <tr :class="{ short: need.short > 0 }">
    <td class="name">
      <GrowingField
        plain
        :label="`Name: ${label}`"
        :model-value="material.name"
        @update:model-value="set('name', $event.slice(0, 200), 'name')"
      />
    </td>
    <td class="amount">
      <input
        class="box"
        :class="{ wrong: trouble }"
        :value="material.amount"
        maxlength="200"
        :data-target="`amount-${material.id}`"
        :aria-label="`Amount of ${label}`"
        :title="trouble"
        :aria-invalid="trouble ? true : undefined"
        @input="set('amount', ($event.target as HTMLInputElement).value, 'amount')"
      />
    </td>
    <td class="per">
      <select
        class="box"
        :value="material.per"
        :aria-label="`${label} is for`"
        @change="set('per', ($event.target as HTMLSelectElement).value as Material['per'])"
      >
        <option v-for="(words, per) in PER_WORDS" :key="per" :value="per">{{ words }}</option>
      </select>
    </td>
    <td class="figure">{{ need.perTray === undefined ? '–' : amountWords(need.perTray, need.unit) }}</td>
    <td class="figure strong">
      {{ amountWords(need.forClass, need.unit)
      }}<span v-if="need.spare > 0" class="spare">{{ amountWords(need.spare, need.unit) }} spare</span>
    </td>
    <td class="figure stock">
      <NumberField
        bare
        optional
        :label="`${label} in the cupboard`"
        :target="`stock-${material.id}`"
        :model-value="material.stock"
        :least="0"
        @update:model-value="set('stock', $event)"
      />
      <span v-if="need.short > 0" class="trouble">
        <span aria-hidden="true">▲</span>
        {{ amountWords(need.short, need.unit) }} short{{ material.toBuy ? ', to buy' : '' }}
      </span>
    </td>
    <td>
      <button
        type="button"
        class="button small quiet"
        :aria-expanded="more"
        :aria-label="`More about ${label}`"
        @click="more = !more"
      >
        {{ more ? 'less' : 'more' }}
      </button>
    </td>
  </tr>
  <tr v-if="more" class="more">
    <td colspan="7">
      <div class="row">
        <label class="field">
          <span>Only for</span>
          <select
            class="box"
            :value="material.condition ?? ''"
            @change="set('condition', ($event.target as HTMLSelectElement).value || null)"
          >
            <option value="">all conditions</option>
            <option v-for="condition in activeConditions(plan)" :key="condition.id" :value="condition.id">
              {{ letterOf(plan, condition.id) }} {{ condition.label }}
            </option>
          </select>
        </label>
        <label class="field">
          <span>Afterwards</span>
          <select
            class="box"
            :value="material.use"
            @change="set('use', ($event.target as HTMLSelectElement).value as Material['use'])"
          >
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
        <NumberField
          optional
          label="In one pack"
          :model-value="material.packSize"
          :least="0.001"
          @update:model-value="set('packSize', $event)"
        />
        <label class="check">
          <input type="checkbox" :checked="material.toBuy" @change="set('toBuy', ($event.target as HTMLInputElement).checked)" />
          to buy
        </label>
        <button
          type="button"
          class="button small quiet"
          @click="lesson.edit((draft) => (draft.materials = draft.materials.filter((one) => one.id !== material.id)))"
        >
          Take away
        </button>
      </div>
      <fieldset>
        <legend class="hint">Cautions. Those in its name are added by themselves.</legend>
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
    </td>
  </tr>
</template>

<style scoped>
td {
  padding: 3px 6px !important;
}
.name {
  min-width: 180px;
}
.amount {
  width: 92px;
}
.per {
  width: 138px;
}
.amount .box,
.per .box {
  min-height: 30px;
  padding: 2px 6px;
}
.strong {
  font-weight: 700;
}
.spare {
  display: block;
  color: var(--soft);
  font-size: 13px;
  font-weight: 400;
}
.stock {
  width: 96px;
}
.stock :deep(.entry) {
  justify-content: flex-end;
}
.more td {
  padding: 8px 10px 14px !important;
  background: var(--panel);
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
</style>
