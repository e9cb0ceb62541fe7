import { ref } from 'vue'

/** Acts go out one after the other, each on what the one before has left; `after` follows once none is on its way. */
export function useInTurn(after: () => Promise<unknown>) {
  const busy = ref(0)
  let sending: Promise<unknown> = Promise.resolve()
  function act(send: () => Promise<boolean>): Promise<boolean> {
    busy.value++
    const done = sending.then(async () => {
      const isDone = await send()
      busy.value--
      // what the server says now would undo on screen what is still on its way
      if (busy.value === 0) await after()
      return isDone
    })
    sending = done
    return done
  }
  return { busy, act }
}
