import type { ClassMode, DeskName } from '~~/schemas/contract'
import { callServer } from '~/following/callServer'
import { deskClosed } from '~/composables/deskDoor'

/** The desks of the school and which of them this page sits at. */
export function useDesks() {
  const mode = ref<ClassMode>()
  const desks = ref<DeskName[]>([])

  async function look(): Promise<void> {
    mode.value = await callServer('GET /api/class-mode').catch(() => mode.value)
    desks.value = mode.value?.on ? (await callServer('GET /api/desk').catch(() => ({ desks: desks.value }))).desks : []
  }

  /** Closes the desk on this device. */
  async function leave(): Promise<void> {
    await callServer('DELETE /api/desk')
    deskClosed.value = true
  }

  onMounted(look)
  return { mode, desks, look, leave, others: computed(() => desks.value.filter(({ id }) => id !== mode.value?.own?.id)) }
}
