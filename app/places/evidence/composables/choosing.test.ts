import { describe, expect, it } from 'vitest'
import { P1, ids, only } from '../../../../tests/support/made'
import { useChoosing } from './choosing'

const [ann, bo] = [ids.user('ann'), ids.user('bo')]
const check = only(ids.work('check'))

describe('choosing cells', () => {
  it('takes one, lets it go when pressed again, and goes over to another', () => {
    const { chosen, choose } = useChoosing()
    choose(check, ann, false)
    expect(chosen.value).toEqual({ piece: check, learnerIds: [ann] })
    choose(check, bo, false)
    expect(chosen.value?.learnerIds).toEqual([bo])
    choose(check, bo, false)
    expect(chosen.value).toBeNull()
  })

  it('takes in and lets out with Ctrl, within one column', () => {
    const { chosen, choose } = useChoosing()
    choose(check, ann, true)
    choose(check, bo, true)
    expect(chosen.value?.learnerIds).toEqual([ann, bo])
    choose(check, ann, true)
    expect(chosen.value?.learnerIds).toEqual([bo])
    choose({ assignmentId: ids.work('other'), pieceId: P1 }, ann, true)
    expect(chosen.value?.learnerIds).toEqual([ann])
    choose({ assignmentId: ids.work('other'), pieceId: P1 }, ann, true)
    expect(chosen.value).toBeNull()
  })

  it('leaves one of several alone when it is pressed without Ctrl', () => {
    const { chosen, choose } = useChoosing()
    choose(check, ann, true)
    choose(check, bo, true)
    choose(check, ann, false)
    expect(chosen.value?.learnerIds).toEqual([ann])
  })
})
