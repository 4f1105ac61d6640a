<script setup lang="ts">
import { axisTicks, type GapDrawing } from '~~/core/charts'
import type { Evidence } from '~~/core/evidence'
import { letterOf, measuredCard, type Plan } from '~~/core/lesson'
import { writeNumber, writeShort } from '~~/core/quantity'
import { gapSentence, nameOfCondition, writeFigure } from '~~/core/wording'

/** The gap between two averages, drawn beside the wobble of one reading. */
const props = defineProps<{ plan: Plan; evidence: Evidence; drawing: GapDrawing }>()
const WIDTH = 720
const LEFT = 150
const RIGHT = 24
const ROWS = [46, 132]
const unit = computed(() => measuredCard(props.plan)!.method.unit)
const x = (value: number) => {
  const { from, to } = props.drawing.axis
  return LEFT + ((value - from) / (to - from)) * (WIDTH - LEFT - RIGHT)
}
const ticks = computed(() => axisTicks(props.drawing.axis))
const ends = computed(() => props.drawing.rows.map(({ average }) => x(average)))
</script>

<template>
  <svg class="gap" :viewBox="`0 0 ${WIDTH} 196`" role="img" :aria-label="evidence.spread ? gapSentence(plan, evidence.spread) : ''">
    <g v-for="(row, place) in drawing.rows" :key="row.condition">
      <text :x="LEFT - 14" :y="ROWS[place]! + 6" text-anchor="end" class="name">
        {{ letterOf(plan, row.condition) }} {{ nameOfCondition(plan, row.condition) }}
      </text>
      <line :x1="LEFT" :x2="WIDTH - RIGHT" :y1="ROWS[place]" :y2="ROWS[place]" class="rule" />
      <rect
        :x="x(row.average - drawing.wobble)"
        :width="x(row.average + drawing.wobble) - x(row.average - drawing.wobble)"
        :y="ROWS[place]! - 12"
        height="24"
        rx="4"
        class="wobble"
      />
      <circle
        v-for="(value, dot) in row.values"
        :key="dot"
        :cx="x(value)"
        :cy="ROWS[place]! + ((dot % 5) - 2) * 4"
        r="4.5"
        class="dot"
      />
      <line :x1="x(row.average)" :x2="x(row.average)" :y1="ROWS[place]! - 18" :y2="ROWS[place]! + 18" class="average" />
    </g>
    <g class="bracket">
      <line :x1="ends[0]" :x2="ends[1]" y1="89" y2="89" />
      <line :x1="ends[0]" :x2="ends[0]" y1="66" y2="95" />
      <line :x1="ends[1]" :x2="ends[1]" y1="83" y2="112" />
      <text :x="(ends[0]! + ends[1]!) / 2" y="80" text-anchor="middle">
        gap {{ writeFigure(plan, evidence.spread!.difference, unit) }}
        <template v-if="evidence.spread!.wobbles !== undefined">= {{ writeNumber(evidence.spread!.wobbles, 1) }} wobbles</template>
      </text>
    </g>
    <g v-for="tick in ticks" :key="tick">
      <line :x1="x(tick)" :x2="x(tick)" y1="160" y2="166" class="rule" />
      <text :x="x(tick)" y="184" text-anchor="middle" class="tick">{{ writeShort(tick) }}</text>
    </g>
    <line :x1="LEFT" :x2="WIDTH - RIGHT" y1="160" y2="160" class="axis" />
  </svg>
</template>

<style scoped>
.gap {
  width: 100%;
  max-width: 860px;
  height: auto;
  font-family: var(--heading);
}
.name {
  fill: var(--ink);
  font-size: var(--type-body);
  font-weight: 700;
}
.rule {
  stroke: var(--mark);
}
.wobble {
  fill: var(--brass-light);
  stroke: var(--brass-mark);
}
.dot {
  fill: var(--card);
  stroke: var(--ink);
  stroke-width: 1.4;
}
.average {
  stroke: var(--green);
  stroke-width: 4;
}
.bracket line {
  stroke: var(--green);
  stroke-width: 2;
}
.bracket text {
  fill: var(--green);
  font-size: var(--type-body);
  font-weight: 700;
  paint-order: stroke;
  stroke: var(--card);
  stroke-width: 5px;
}
.tick {
  fill: var(--soft);
  font-size: var(--type-small);
}
.axis {
  stroke: var(--ink);
  stroke-width: 1.5;
}
</style>
