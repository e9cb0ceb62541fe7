import aff from 'dictionary-en/index.aff?raw'
import dic from 'dictionary-en/index.dic?url'
import { proofread } from './proofing'
import type { Dictionary } from './proofing'
import type { ProofingAsk, ProofingFound } from './proofing.protocol'

let dictionary: Promise<Dictionary> | null = null

async function answer({ ask, text, known }: ProofingAsk): Promise<void> {
  dictionary ??= fetch(dic).then(async (reply) => ({ aff, dic: await reply.text() }))
  const found: ProofingFound = { v: 1, ask, findings: await proofread(text, known, await dictionary) }
  self.postMessage(found)
}

self.onmessage = ({ data }: MessageEvent<ProofingAsk>) => void answer(data)
