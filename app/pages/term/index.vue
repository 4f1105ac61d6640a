<script setup lang="ts">
import { termOverview, type Term, type TermLesson } from '~~/core/wording/reports'
import EmptyNote from '~/components/pieces/EmptyNote.vue'
import NoticeBar from '~/components/pieces/NoticeBar.vue'
import ReportSheet from '~/components/print/ReportSheet.vue'
import ChoiceField from '~/forms/ChoiceField.vue'
import WhenField from '~/forms/WhenField.vue'
import { useLookAgain } from '~/composables/lookAgain'
import { callServer, messageOf } from '~/following/callServer'
import { useNotices } from '~/stores/notices'

/** What was investigated in a term and which skills were practised: for the teacher's own planning, and for a folder. */
useHead({ title: 'Term overview · Jolly Beaker' })
const notices = useNotices()
const lessons = shallowRef<TermLesson[]>()
const classes = ref<string[]>([])
const wanted = ref<Term>({ from: '', to: '', className: '' })
const report = computed(() => lessons.value && termOverview(lessons.value, wanted.value))

const again = useLookAgain(load)
watch(wanted, load, { deep: true })
onMounted(load)
async function load(): Promise<void> {
  const query = { ...wanted.value }
  try {
    const answer = await callServer('GET /api/term', { query })
    // A slow answer to what is not asked any more comes too late.
    if (JSON.stringify(query) !== JSON.stringify(wanted.value)) return
    lessons.value = answer.lessons
    classes.value = answer.classes
    again(answer.renewing)
  } catch (error) {
    notices.trouble(messageOf(error))
  }
}
const print = () => window.print()
</script>

<template>
  <main class="paper">
    <div class="screen-only bar">
      <div class="row justify-between mb-10px">
        <QuietBtn to="/">‹ Shelf</QuietBtn>
        <QuietBtn class="ml-auto" to="/term/plan">Plan a term</QuietBtn>
        <MainBtn @click="print">Print</MainBtn>
      </div>
      <div class="row">
        <WhenField is="day" inline label="From" v-model="wanted.from" />
        <WhenField is="day" inline label="to" v-model="wanted.to" />
        <ChoiceField
          inline
          label="Class"
          v-model="wanted.className"
          :options="[{ value: '', title: 'all' }, ...classes.map((one) => ({ value: one, title: one }))]"
        />
      </div>
    </div>
    <EmptyNote v-if="lessons?.length === 0" title="No lesson in these days">
      Choose other days, or give your lessons a day in the Clock.
    </EmptyNote>
    <ReportSheet v-else-if="report" :report="report" />
    <NoticeBar />
  </main>
</template>
