import aff from 'dictionary-en/index.aff?raw'
import dic from 'dictionary-en/index.dic?url'
import { proofread } from './proofing'
import type { Dictionary } from './proofing'
import type { ProofingAsk, ProofingFound } from './proofing.protocol'

let dictionary: Dictionary | null = null

/** Fetched with the first text; without a connection it is tried again with the next. */
async function fetched(): Promise<Dictionary | null> {
  const reply = await fetch(dic).catch(() => null)
  return reply?.ok ? { aff, dic: await reply.text() } : null
}
async function answer({ ask, text, known }: ProofingAsk): Promise<void> {
  dictionary ??= await fetched()
  const findings = dictionary && (await proofread(text, known, dictionary))
  const found: ProofingFound = { v: 1, ask, findings }
  self.postMessage(found)
}

self.onmessage = ({ data }: MessageEvent<ProofingAsk>) => void answer(data)
