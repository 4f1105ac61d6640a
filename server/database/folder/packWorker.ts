import { parentPort, workerData } from 'node:worker_threads'
import { packCluster, type CopyEnd } from './packing'

const { cluster, target } = workerData as { cluster: string; target: string }

/** Packs a snapshot beside the server: says when the files are copied, and is told how the copy ends. */
packCluster(cluster, target, () => {
  const told = new Promise<CopyEnd>((resolve) => parentPort!.once('message', resolve))
  parentPort!.postMessage({ copied: true })
  return told
}).then(
  () => parentPort!.postMessage({ done: true }),
  (error: unknown) => parentPort!.postMessage({ failed: String(error) }),
)
