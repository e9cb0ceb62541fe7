import { useToast } from '#imports'
import type { Refusal } from '#shared/contracts/refusal'
import { sayRefusal } from '../words/refusals'
import type { Naming } from '../words/refusals'

/** Short messages at the edge of the screen. */
export function useTell(): {
  readonly done: (text: string) => void
  readonly refused: (refusal: Refusal, naming?: Naming) => void
} {
  const toast = useToast()
  return {
    done: (text) => void toast.add({ title: text, color: 'success', duration: 4000 }),
    refused: (refusal, naming) =>
      void toast.add({ title: sayRefusal(refusal, naming), color: 'error', duration: 10_000 }),
  }
}
