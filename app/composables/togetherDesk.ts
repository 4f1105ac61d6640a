import type { LessonEvent } from '~~/core/lesson'
import { homed, withEvents } from '~~/core/record'
import { overviewOf, nameTogether, type Member, type Together, type TogetherChange } from '~~/core/together'
import type { WholeTogether } from '~~/schemas/togetherContract'
import { ServerRefusal, addressOf, callServer, messageOf } from '~/following/callServer'
import { follow } from '~/following/follow'
import { lookAnew } from '~/following/lookAnew'
import { useNotices } from '~/stores/notices'

/** An event of one of the lessons. */
interface Happened {
  lesson: string
  event: LessonEvent
}

/** What happened in each of the lessons, in its record. */
function withHappened(whole: WholeTogether, happened: Happened[]): WholeTogether {
  const lessons = whole.lessons.map((lesson) => {
    const events = happened.filter((one) => one.lesson === lesson.id).map(({ event }) => event)
    return events.length === 0 ? lesson : { ...lesson, record: withEvents(lesson.record, events) }
  })
  return { ...whole, lessons }
}

/** Lessons that run together, kept up to date by the events of all of them: for the desk and for the board. */
export function useTogether(id: string) {
  const path = { together: id }
  const stored = shallowRef<WholeTogether>()
  /** What is on its way to the server: it stays as it was chosen, whatever older state comes in meanwhile. */
  const onItsWay = shallowRef<TogetherChange[]>([])
  const view = computed<WholeTogether | undefined>(
    () =>
      stored.value && {
        ...stored.value,
        lessons: lessons.value,
        together: Object.assign({}, stored.value.together, ...onItsWay.value) as Together,
      },
  )
  /** Only rows that have a home in their plan. */
  const lessons = computed(() =>
    (stored.value?.lessons ?? []).map((one) => ({ ...one, record: homed(one.plan, one.record).record })),
  )
  const connected = ref(true)
  const missing = ref(false)
  const notices = useNotices()
  let end = () => {}
  const load = () => callServer('GET /api/together/[together]', { path })

  onMounted(() => {
    end = follow<WholeTogether, Happened>({
      load,
      events: (since) => addressOf('GET /api/together/[together]/events', { path, query: { since } }),
      opened: (whole) => void (stored.value = whole),
      take,
      state: (stands) => {
        // Of many lessons one that was quiet may have said something long before the last number that was heard.
        if (stands && !connected.value) void anew.ask()
        connected.value = stands
      },
      failed: (error) => {
        missing.value = error instanceof ServerRefusal && !error.away
        return !missing.value
      },
    })
  })
  onBeforeUnmount(() => {
    end()
    anew.end()
  })

  function take(happened: Happened[]): void {
    const now = stored.value
    if (!now) return
    const looksAnew = happened.some(({ event, lesson }) => event.kind === 'together' || (event.kind === 'plan' && isHere(lesson)))
    // It may be of a lesson that only the whole knows.
    anew.heard(happened)
    stored.value = withHappened(now, happened)
    if (looksAnew) void anew.ask()
  }
  const isHere = (lesson: string) => view.value?.lessons.some(({ id: one }) => one === lesson) ?? false

  const anew = lookAnew<WholeTogether, Happened>(load, (whole, later) => void (stored.value = withHappened(whole, later)))
  const refresh = anew.ask

  async function attempt(work: () => Promise<unknown>): Promise<boolean> {
    try {
      await work()
      return true
    } catch (error) {
      notices.trouble(messageOf(error))
      return false
    }
  }

  /** Shown at once; what the server does not take is shown as it was. */
  async function change(body: TogetherChange): Promise<boolean> {
    const { conclusionFrom: _from, ...shown } = body
    onItsWay.value = [...onItsWay.value, shown]
    const done = await attempt(async () => {
      const { together } = await callServer('PUT /api/together/[together]', { path, body })
      if (stored.value) stored.value = { ...stored.value, together }
    })
    onItsWay.value = onItsWay.value.filter((one) => one !== shown)
    return done
  }

  async function setLessons(lessons: string[]): Promise<void> {
    await attempt(() =>
      callServer('PUT /api/together/[together]/lessons', {
        path,
        body: { lessons, seen: (stored.value?.lessons ?? []).map(({ id: one }) => one) },
      }),
    )
    await refresh()
  }

  async function setGroup(lesson: string, name: string, takesPart: boolean): Promise<void> {
    await attempt(() => callServer('PUT /api/together/[together]/groups', { path, body: { lesson, name, takesPart } }))
    await refresh()
  }

  /** These groups of a lesson go into one of their own, with what they wrote down. */
  async function splitOff(lesson: string, groups: string[]): Promise<boolean> {
    const done = await attempt(() => callServer('POST /api/together/[together]/split', { path, body: { lesson, groups } }))
    await refresh()
    return done
  }

  async function joinInto(from: string, into: string): Promise<void> {
    await attempt(() => callServer('POST /api/together/[together]/join', { path, body: { from, into } }))
    await refresh()
  }

  /** A lesson whose groups all ask their own questions is done by nobody itself, and so is a question that its group gave up. */
  const doneBySomebody = computed(() =>
    (view.value?.lessons ?? []).filter(({ plan }) => !view.value?.together.oneLesson || plan.groups.length > 0),
  )
  const members = computed<Member[]>(() => view.value?.lessons.map(({ id: lesson, plan }) => ({ lesson, plan })) ?? [])
  return {
    view,
    connected,
    missing,
    change,
    setLessons,
    setGroup,
    splitOff,
    joinInto,
    refresh,
    attempt,
    members,
    title: computed(() => (view.value && nameTogether(view.value.together, members.value)) || 'Running together'),
    found: computed(() => overviewOf(doneBySomebody.value.map(({ id: lesson, plan, record }) => ({ lesson, plan, record })))),
  }
}
