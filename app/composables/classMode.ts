import type { ClassMode } from '~~/schemas/contract'
import { callServer } from '~/following/callServer'

const LOOPBACK = /^(localhost|127\.|\[::1\])/

/** Class mode as the server has it, looked at again whenever `look` is called. */
export function useClassMode() {
  const mode = ref<ClassMode>()
  async function look(): Promise<void> {
    mode.value = await callServer('GET /api/class-mode').catch(() => mode.value)
  }
  onMounted(look)

  /** Where a tablet goes: this page's own address when it is not this computer's name for itself. */
  const address = computed(() => {
    const { host } = window.location
    return LOOPBACK.test(host) ? (mode.value?.addresses[0] ?? host) : host
  })
  return { mode, look, address }
}

/** What the QR picture says. */
export function stationLink(address: string, code: string): string {
  return `http://${address}/station?code=${encodeURIComponent(code)}`
}
