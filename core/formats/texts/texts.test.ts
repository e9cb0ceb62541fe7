import { strToU8, zipSync } from 'fflate'
import { describe, expect, it } from 'vitest'
import { learnerNamed, readTexts } from './index'

const read = (name: string, text: string) => readTexts(name, strToU8(text))

describe('texts of learners', () => {
  it('come one by one, named by their learner', () => {
    expect(read('Bo Mensah.txt', '\uFEFF The ship floats. \n').value).toEqual({
      texts: [{ where: 'Bo Mensah.txt', who: 'Bo Mensah', text: 'The ship floats.' }],
      leftOut: [],
    })
  })

  it('come as a table, however long they are', () => {
    const long = 'word '.repeat(600).trim()
    const table = `Name,Text\n"Mensah, Bo","Two\nlines, ""quoted"""\nRosa Weiss,${long}\nNobody,\n,Whose?\n`
    expect(read('all.csv', table).value).toEqual({
      texts: [
        { where: 'all.csv, row 2', who: 'Mensah, Bo', text: 'Two\nlines, "quoted"' },
        { where: 'all.csv, row 3', who: 'Rosa Weiss', text: long },
      ],
      leftOut: [
        { where: 'all.csv, row 4', why: 'empty' },
        { where: 'all.csv, row 5', why: 'no-name' },
      ],
    })
    expect(read('all.csv', 'a,b\n1,2').error).toEqual({ code: 'formats/no-text-headings', field: 'text' })
  })

  it('come packed, and what is no text is named', () => {
    const bytes = zipSync({
      'essays/Bo Mensah.txt': strToU8('It floats.'),
      'essays/picture.png': new Uint8Array([0x89, 0x50, 0x4e, 0x47, 0, 1, 0xff]),
      'essays/empty.md': new Uint8Array(),
      'essays/list.csv': strToU8('a,b\n1,2'),
      '__MACOSX/essays/._Bo Mensah.txt': strToU8('x'),
    })
    expect(readTexts('all.zip', bytes).value).toEqual({
      texts: [{ where: 'Bo Mensah.txt', who: 'Bo Mensah', text: 'It floats.' }],
      leftOut: [
        { where: 'picture.png', why: 'not-text' },
        { where: 'empty.md', why: 'empty' },
        { where: 'list.csv', why: 'no-table' },
      ],
    })
    const escaping = zipSync({ '../Bo.txt': strToU8('x') })
    expect(readTexts('all.zip', escaping).error?.code).toBe('formats/unsafe-package')
    expect(readTexts('all.zip', bytes.slice(0, 40)).error?.code).toBe('formats/not-a-package')
  })

  it('are refused when too long, too many or none', () => {
    expect(read('Bo.txt', 'x'.repeat(20_001)).value?.leftOut).toEqual([{ where: 'Bo.txt', why: 'too-long' }])
    expect(read('Bo.txt', 'a\u0000b').value?.leftOut).toEqual([{ where: 'Bo.txt', why: 'not-text' }])
    expect(readTexts('all.zip', zipSync({})).error?.code).toBe('formats/empty')
    const many = `name,text\n${Array.from({ length: 401 }, (_, i) => `n${i},t`).join('\n')}`
    expect(read('all.csv', many).error).toMatchObject({
      code: 'formats/too-many-rows',
      count: 401,
      most: 400,
    })
  })
})

describe('whose a text is', () => {
  const learners = ['Bo Mensah', 'Zoë Ibarra-Lund', 'Ann Lee', 'Ann Lee Park'].map((name) => ({ name }))
  it.each([
    ['mensah, bo', 'Bo Mensah'],
    ['Bo_Mensah-essay 2', 'Bo Mensah'],
    ['zoe ibarra lund', 'Zoë Ibarra-Lund'],
    ['Lee Ann', 'Ann Lee'],
    ['park-ann-lee', 'Ann Lee Park'],
  ])('is told by %s', (name, who) => expect(learnerNamed(name, learners)?.name).toBe(who))

  it('is not told where it may be several or none', () => {
    for (const name of ['Ann', 'essay of Ann Lee Park', '', '?'])
      expect(learnerNamed(name, learners)?.name ?? null).toBeNull()
  })
})
