import type { Finding, ProofingAsk, ProofingFound } from './proofing.protocol'

export interface ProofingClient {
  /**
   * Looks through a text, taking the words of `known` as right. Of two that are asked one after the other the later
   * only is answered. Null: it could not be done, for lack of a connection.
   */
  readonly ask: (text: string, known: readonly string[]) => Promise<readonly Finding[] | null>
  readonly end: () => void
}

/** The dictionary on a thread of its own: it takes a moment to be read. */
export function proofingClient(): ProofingClient {
  const worker = new Worker(new URL('./proofing.worker.ts', import.meta.url), { type: 'module' })
  let asked = 0
  let heard: ((findings: readonly Finding[] | null) => void) | null = null
  worker.onmessage = ({ data }: MessageEvent<ProofingFound>) => {
    if (data.ask === asked) heard?.(data.findings)
  }
  // the worker itself could not be fetched
  worker.onerror = () => heard?.(null)
  return {
    ask: (text, known) =>
      new Promise((resolve) => {
        heard = resolve
        const message: ProofingAsk = { v: 1, ask: ++asked, text, known: [...known] }
        worker.postMessage(message)
      }),
    end: () => worker.terminate(),
  }
}
