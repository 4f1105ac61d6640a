import { parentPort } from 'node:worker_threads'
import { answerOf, type PartAnswer, type PartQuestion } from '../files/partsAnswer'

/** Reads one large file beside the server: first its bytes come, then a part is given each time one is asked for. */
const chunks: Uint8Array[] = []
let answer: ReturnType<typeof answerOf> | undefined

parentPort!.on('message', (question: PartQuestion) => {
  if ('chunk' in question) return void chunks.push(question.chunk)
  if ('task' in question) {
    answer = answerOf(question.task, Buffer.concat(chunks))
    chunks.length = 0
  }
  parentPort!.postMessage(answer!('wanted' in question ? question.wanted : 'next') satisfies PartAnswer)
})
