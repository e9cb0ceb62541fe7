import { saidAfter } from '#core/library'
import type { LearnerItem } from '#core/library'
import { plainText } from '~/shared/words/markdown'

/** Whether this browser can speak. */
export function canReadAloud(): boolean {
  return typeof window !== 'undefined' && 'speechSynthesis' in window
}

/** Speaks a question and its options in the browser's own voice; asked again, it begins anew. */
export function readAloud(item: LearnerItem): void {
  const text = [item.stem, ...saidAfter(item)].map(plainText).join('. ')
  window.speechSynthesis.cancel()
  window.speechSynthesis.speak(new SpeechSynthesisUtterance(text))
}
