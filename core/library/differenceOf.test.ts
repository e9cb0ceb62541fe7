import { describe, expect, it } from 'vitest'
import { aCheck, ids, multiple, single } from '../../tests/support/made'
import { differenceOf } from './differenceOf'

const was = aCheck([single('1'), multiple('2'), single('3')], { content: 'One.\n\nTwo.' })

describe('what differs between two forms', () => {
  it('is nothing where they are the same', () => {
    expect(differenceOf(was, { ...was })).toEqual([])
  })

  it('names title, minutes and paragraphs', () => {
    const is = { ...was, title: 'New', minutes: 12, content: 'Two.\n\n Three. ' }
    expect(differenceOf(was, is)).toEqual([
      { kind: 'title', was: 'Check', is: 'New' },
      { kind: 'minutes', was: 10, is: 12 },
      { kind: 'text', gone: ['One.'], added: ['Three.'] },
    ])
  })

  it('follows questions by their names, and says whether what is right differs', () => {
    const is = {
      ...was,
      items: [single('3', { right: 'a' }), single('1', { stem: 'Asked anew' }), single('4')],
    }
    expect(differenceOf(was, is)).toEqual([
      { kind: 'item-changed', itemId: ids.item('3'), was: 'Question 3', is: 'Question 3', isKey: true },
      { kind: 'item-changed', itemId: ids.item('1'), was: 'Question 1', is: 'Asked anew', isKey: false },
      { kind: 'item-added', itemId: ids.item('4'), stem: 'Question 4' },
      { kind: 'item-gone', itemId: ids.item('2'), stem: 'Question 2' },
      { kind: 'order' },
    ])
  })
})
