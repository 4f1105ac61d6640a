import { defineStore } from 'pinia'
import { messageOf } from '~/following/callServer'

interface Action {
  label: string
  run: () => void | Promise<void>
}
/** A message that waits to be shown, as the queue of notices takes it. */
export interface Notice {
  text: string
  class: 'done' | 'trouble'
  /** Milliseconds; -1 stays until it is closed. */
  timeout: number
}

const SHOWN_FOR = 9000

/** Short messages at the foot of the page. */
export const useNotices = defineStore('notices', () => {
  const list = ref<Notice[]>([])
  const any = ref(false)
  const actions = new Map<string, Action>()

  function show(text: string, kind: Notice['class'], action: Action | undefined): void {
    if (action) actions.set(text, action)
    else actions.delete(text)
    any.value = true
    list.value = [...list.value, { text, class: kind, timeout: kind === 'done' ? SHOWN_FOR : -1 }]
  }
  /** Those that wait, to be shown now. */
  function take(): Notice[] {
    const waiting = list.value
    list.value = []
    return waiting
  }
  /** Does some work; what went wrong with it is said. */
  async function attempt(work: () => Promise<void>): Promise<boolean> {
    try {
      await work()
      return true
    } catch (error) {
      show(messageOf(error), 'trouble', undefined)
      return false
    }
  }
  return {
    list,
    any,
    take,
    attempt,
    done: (text: string, action?: Action) => show(text, 'done', action),
    trouble: (text: string, action?: Action) => show(text, 'trouble', action),
    actionOf: (text: string) => actions.get(text),
    act: (text: string) => actions.get(text)?.run(),
  }
})
