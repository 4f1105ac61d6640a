import { defineStore } from 'pinia'

export interface Notice {
  id: number
  kind: 'done' | 'trouble'
  text: string
  action?: { label: string; run: () => void | Promise<void> }
}

const SHOWN_FOR = 9000

/** Short messages at the foot of the page. */
export const useNotices = defineStore('notices', () => {
  const list = ref<Notice[]>([])
  let last = 0

  function show(notice: Omit<Notice, 'id'>): void {
    const id = (last += 1)
    list.value = [...list.value.slice(-2), { ...notice, id }]
    if (notice.kind === 'done') setTimeout(() => close(id), SHOWN_FOR)
  }
  function close(id: number): void {
    list.value = list.value.filter((notice) => notice.id !== id)
  }
  async function act(notice: Notice): Promise<void> {
    close(notice.id)
    await notice.action?.run()
  }
  return {
    list,
    done: (text: string, action?: Notice['action']) => show({ kind: 'done', text, action }),
    trouble: (text: string, action?: Notice['action']) => show({ kind: 'trouble', text, action }),
    close,
    act,
  }
})
