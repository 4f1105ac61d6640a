<script setup lang="ts">
import { UNIT_CODES, unitOf, type UnitCode } from '~~/core/quantity'
import { writeReading } from '~~/core/wording'
import { signsOnPad, testOf } from '~~/core/test'
import type { InstrumentProps } from './instrument'
import { useNumberEntry } from '~/composables/numberEntry'

/** A number pad with fraction, point and minus; the unit stays in sight. A keyboard works too. */
const props = defineProps<InstrumentProps>()
const { workedOut } = useNumberEntry()
const text = defineModel<string>({ required: true })
const planUnit = computed(() => testOf(props.plan).unit)
const unit = ref<UnitCode>(planUnit.value)
const digits = ref(text.value)
/** The unit goes with the number where it is not the plan's own and was not typed. */
const whole = computed(() => {
  const typed = digits.value.trim()
  return typed === '' || unit.value === planUnit.value || /[a-z°"']/i.test(typed) ? typed : `${typed} ${unit.value}`
})
watch(whole, (now) => (text.value = now))
const worked = computed(() => workedOut(props.plan, whole.value))
watch(text, (now) => {
  if (now !== whole.value) digits.value = now
})
const KEYS = ['7', '8', '9', 'back', '4', '5', '6', '½', '1', '2', '3', '.', '0', '−', '/', 'space'] as const
const LONGEST = 50
const signs = computed(() => signsOnPad(props.plan))
const SIGN_WORDS = { '+': 'and', '−': 'less' }
const LABELS: Partial<Record<(typeof KEYS)[number], string>> = {
  back: 'Delete the last one',
  '−': 'minus',
  '/': 'over, for a fraction',
  space: 'space, between 17 and 3/8',
  '½': 'and a half',
  '.': 'point',
}
const units = computed(() => UNIT_CODES.filter((code) => unitOf(code).dimension === unitOf(planUnit.value).dimension))
const symbol = computed(() => unitOf(unit.value).symbol)

/** Between two numbers, with room on both sides: "250 − 30" is one less another, and −30 is below nothing. */
function join(sign: '+' | '−'): void {
  if (digits.value.trim() !== '') digits.value = `${digits.value.trimEnd()} ${sign} `.slice(0, LONGEST)
}

function press(key: (typeof KEYS)[number]): void {
  if (key === 'back') digits.value = digits.value.slice(0, -1)
  else digits.value = (digits.value + (key === 'space' ? ' ' : key)).slice(0, LONGEST)
}
</script>

<template>
  <div class="pad grid grid-cols-1 gap-near">
    <div class="display" :class="{ wrong: trouble }">
      <input
        v-model="digits"
        inputmode="none"
        autocomplete="off"
        :maxlength="LONGEST"
        aria-label="The number"
        :aria-invalid="trouble ? true : undefined"
        placeholder="?"
      />
      <select v-if="units.length > 1" v-model="unit" aria-label="Unit">
        <option v-for="code in units" :key="code" :value="code">{{ unitOf(code).symbol || 'count' }}</option>
      </select>
      <span v-else class="unit">{{ symbol }}</span>
    </div>
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
    <p v-else-if="worked !== undefined" role="status">
      That makes <strong>{{ writeReading(plan, worked, planUnit) }}</strong>.
    </p>
    <div class="keys grid grid-cols-4 gap-near">
      <button v-for="key in KEYS" :key="key" type="button" :aria-label="LABELS[key]" @click="press(key)">
        {{ key === 'back' ? '⌫' : key === 'space' ? '␣' : key }}
      </button>
      <button v-for="sign in signs" :key="`${sign} `" type="button" class="col-span-2" @click="join(sign)">
        {{ sign }} {{ SIGN_WORDS[sign] }}
      </button>
    </div>
  </div>
</template>

<style scoped>
.display {
  display: flex;
  align-items: baseline;
  height: 84px;
  padding: 0 var(--gap-wide);
  border: 2px solid var(--ink);
  border-top: 0;
  border-radius: 0 0 var(--corner-glass) var(--corner-glass);
  background: var(--card);
}
.display.wrong {
  border-color: var(--beet);
}
.display:focus-within {
  outline: 3px solid var(--slate);
  outline-offset: 2px;
}
.display input {
  flex: 1;
  min-width: 0;
  height: 80px;
  border: 0;
  outline: none;
  background: none;
  font-family: var(--heading);
  font-size: var(--type-figure);
  font-weight: 700;
  text-align: right;
}
.display select,
.unit {
  padding: 0 var(--gap-hair) 0 var(--gap-near);
  border: 0;
  background: none;
  font-size: var(--type-huge);
}
.keys button {
  min-height: 56px;
  border: 1px solid var(--mark);
  border-radius: var(--corner);
  background: var(--card);
  font-size: var(--type-large);
  cursor: pointer;
}
.keys button:active {
  background: var(--green-light);
}
.trouble {
  font-size: var(--type-lead);
}
/* A phone lying on its side. */
@media (height < 480px) {
  .pad,
  .keys {
    gap: var(--gap-tight);
  }
  .display {
    height: 40px;
  }
  .display input {
    height: 36px;
    font-size: var(--type-huge);
  }
  .display select,
  .unit {
    font-size: var(--type-large);
  }
  .keys button {
    min-height: 48px;
  }
}
</style>
