import { describe, expect, it } from 'vitest'
import type { ItemId } from '#core/base'
import { SaveAnswers, ShowMyPiece, StartTry } from '#shared/contracts/learning'
import { ListMyWork } from '#shared/contracts/myWork'
import type { Answer } from '#core/library'
import { aChange } from '../support/made'
import { Agent, aServer, signedIn } from '../support/server'

describe('kill -9 in the middle of answering', () => {
  it('loses no answer that was acknowledged', async () => {
    const server = await aServer('demo')
    const learner = await signedIn(server, 'linh')
    const open = (await learner.call(ListMyWork)).value?.work.flatMap(({ id, pieces }) =>
      pieces.filter((p) => p.mayTry && p.itemCount > 0).map(({ pieceId }) => ({ id, pieceId })),
    )[0]
    if (!open) throw new Error('nothing to answer')
    const params = { assignmentId: open.id }
    const query = { pieceId: open.pieceId }
    const started = (await learner.call(StartTry, { params, body: query })).value
    const items = started?.items ?? []
    expect(items.length).toBeGreaterThan(4)
    const acknowledged = new Map<string, string>()
    let stopped = false
    const answerTo = (item: (typeof items)[number], n: number) =>
      item.kind === 'single'
        ? { kind: 'single' as const, choice: item.options[n % item.options.length]?.id ?? null }
        : item.kind === 'multiple'
          ? { kind: 'multiple' as const, choices: [item.options[n % item.options.length]?.id ?? ''] }
          : { kind: item.kind, text: `${n}` }
    // one writer for each item, each waiting for its acknowledgement, so the last acknowledged answer is
    // known
    const writers = items.map(async (item) => {
      for (let n = 0; !stopped; n++) {
        const answer = answerTo(item, n)
        const reply = await learner
          .call(SaveAnswers, {
            params: { attemptId: started?.attemptId as never },
            body: { saves: [aChange(item.id, answer as Answer, { edit: n + 1 })] },
          })
          .catch(() => null)
        if (!reply?.ok) return
        acknowledged.set(item.id, JSON.stringify(answer))
      }
    })
    while (acknowledged.size < items.length) await new Promise((resolve) => setImmediate(resolve))
    await server.stop('SIGKILL')
    stopped = true
    await Promise.all(writers)
    const again = await aServer({ file: server.file })
    const back = new Agent(again)
    back.cookie = learner.cookie
    const piece = (await back.call(ShowMyPiece, { params, query })).value
    expect(acknowledged.size).toBe(items.length)
    for (const [itemId, answer] of acknowledged) {
      const kept = JSON.stringify(piece?.open?.answers[itemId as ItemId])
      const item = items.find((i) => i.id === itemId)
      // a later answer may have been kept without its acknowledgement arriving; an earlier one may not stand
      // there
      const later = item
        ? JSON.stringify(
            answerTo(
              item,
              (item.kind === 'numeric' || item.kind === 'text'
                ? Number(JSON.parse(answer).text)
                : 'options' in item
                  ? item.options.findIndex((o) => answer.includes(`"${o.id}"`))
                  : 0) + 1,
            ),
          )
        : ''
      expect([answer, later]).toContain(kept)
    }
    // and it goes on where it was
    expect(
      (
        await back.call(SaveAnswers, {
          params: { attemptId: started?.attemptId as never },
          body: { saves: [] },
        })
      ).ok,
    ).toBe(true)
  })
})
