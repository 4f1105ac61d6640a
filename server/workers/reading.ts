import { parentPort, workerData } from 'node:worker_threads'
import { readFile, type ReadingTask } from '../files/reading'

/** Reads one file beside the server, so that nobody waits for it, whatever it holds. */
void readFile(workerData as ReadingTask).then((answer) => parentPort!.postMessage(answer))
