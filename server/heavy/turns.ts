/** Who may go on at the same time, and who waits. */
export interface TurnLimits {
  /** Jobs at the same time. */
  readonly atOnce: number
  /** Long ones among them: less than all, so that short ones never wait for them. */
  readonly longAtOnce: number
  /** Jobs that wait; of one person. */
  readonly waiting: number
  readonly waitingOfOne: number
}
export interface Wish {
  /** Whose job it is; null: nobody's, who may have several at once. */
  readonly who: string | null
  readonly isLong: boolean
}
/** To be called when the job is over, once. */
export type Leave = () => void

interface Waiting extends Wish {
  readonly begin: (leave: Leave) => void
}

/**
 * Jobs in turn: one person has one at a time, long ones leave room for short ones, and whoever waits longest and may go
 * on does. A job's own time begins with its turn.
 */
export class Turns {
  private readonly queue: Waiting[] = []
  private readonly running = new Set<Wish>()

  constructor(private readonly limits: TurnLimits) {}

  get waiting(): number {
    return this.queue.length
  }

  /** The way to leave, once it is this job's turn; null: too many wait, or whoever waited is gone. */
  take(wish: Wish, gone: AbortSignal | null): Promise<Leave | null> {
    if (gone?.aborted || !this.hasRoomFor(wish)) return Promise.resolve(null)
    return new Promise((resolve) => {
      const entry: Waiting = { ...wish, begin: resolve }
      gone?.addEventListener('abort', () => this.giveUp(entry) && resolve(null), { once: true })
      this.queue.push(entry)
      this.next()
    })
  }

  private hasRoomFor(wish: Wish): boolean {
    if (this.mayBegin(wish)) return true
    const own = this.queue.filter(({ who }) => who !== null && who === wish.who)
    return this.queue.length < this.limits.waiting && own.length < this.limits.waitingOfOne
  }

  private giveUp(entry: Waiting): boolean {
    const at = this.queue.indexOf(entry)
    if (at >= 0) this.queue.splice(at, 1)
    return at >= 0
  }

  private mayBegin({ who, isLong }: Wish): boolean {
    const running = [...this.running]
    if (running.length >= this.limits.atOnce) return false
    if (isLong && running.filter((r) => r.isLong).length >= this.limits.longAtOnce) return false
    return who === null || running.every((r) => r.who !== who)
  }

  private next(): void {
    const at = this.queue.findIndex((entry) => this.mayBegin(entry))
    const [entry] = at < 0 ? [] : this.queue.splice(at, 1)
    if (!entry) return
    this.running.add(entry)
    entry.begin(() => {
      if (this.running.delete(entry)) this.next()
    })
    this.next()
  }
}
