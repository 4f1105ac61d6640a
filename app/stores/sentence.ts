import { defineStore } from 'pinia'
import { ServerRefusal, callServer, messageOf } from '~/following/callServer'
import { growingSentence } from '~/following/growingSentence'
import { useNotices } from '~/stores/notices'

/** The class's sentence as it is being written; it outlives the stop it is written at. */
export const useGrowingSentence = defineStore('growing-sentence', () => {
  const notices = useNotices()
  const text = ref('')
  const waiting = ref(false)
  const sentence = growingSentence({
    send: async (lesson, body, leaving) =>
      (await callServer('PUT /api/lessons/[lesson]/board', { path: { lesson }, body, leaving })).board,
    isAway: (error) => error instanceof ServerRefusal && error.away,
    trouble: (error) => notices.trouble(messageOf(error)),
    changed: (state) => {
      text.value = state.text
      waiting.value = state.waiting
    },
  })
  return { text, waiting, ...sentence }
})
