import { useToast } from '#imports'
import type { Refusal } from '#shared/contracts/refusal'
import type { Naming } from '../words/everyonesRefusals'
import { useSaying } from '../words/saying'

/** Short messages at the edge of the screen. */
export function useTell(): {
  readonly done: (text: string) => void
  readonly refused: (refusal: Refusal, naming?: Naming) => void
} {
  const toast = useToast()
  const say = useSaying()
  return {
    done: (text) => void toast.add({ title: text, color: 'success', duration: 4000 }),
    refused: (refusal, naming) =>
      void toast.add({ title: say(refusal, naming), color: 'error', duration: 10_000 }),
  }
}
