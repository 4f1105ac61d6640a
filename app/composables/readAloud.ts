/** Reads a text aloud with the voice of the device, and stops when asked again; where it has none, there is no button. */
export function useReadAloud() {
  const can = typeof window !== 'undefined' && 'speechSynthesis' in window
  const reading = ref(false)

  function read(text: string): void {
    if (!can) return
    window.speechSynthesis.cancel()
    if (reading.value) {
      reading.value = false
      return
    }
    const spoken = new SpeechSynthesisUtterance(text)
    spoken.lang = document.documentElement.lang
    spoken.rate = 0.9
    spoken.onend = spoken.onerror = () => (reading.value = false)
    reading.value = true
    window.speechSynthesis.speak(spoken)
  }
  onBeforeUnmount(() => can && window.speechSynthesis.cancel())
  return { can, reading, read }
}
