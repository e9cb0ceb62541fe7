import { describe, expect, it } from 'vitest'
import { encodingOf, textOfBytes as textOf } from './textBytes'

const roster = 'Name;Sign-in\nZoë Núñez;zoe\nBjörn Åkesson;bjorn\nÉlodie Brûlé;elo'
const bytesOf = (text: string, ...before: number[]) =>
  Uint8Array.from([...before, ...Buffer.from(text, 'latin1')])

describe('textOf', () => {
  it('reads UTF-8 with and without its mark', () => {
    expect(textOf(new TextEncoder().encode(roster))).toBe(roster)
    expect(textOf(new TextEncoder().encode(`\uFEFF${roster}`))).toBe(roster)
  })

  it('reads UTF-16 in both orders, with and without its mark', () => {
    const little = Buffer.from(roster, 'utf16le')
    const big = Buffer.from(little).swap16()
    expect(textOf(Uint8Array.from([0xff, 0xfe, ...little]))).toBe(roster)
    expect(textOf(Uint8Array.from([0xfe, 0xff, ...big]))).toBe(roster)
    expect(textOf(Uint8Array.from(little))).toBe(roster)
    expect(textOf(Uint8Array.from(big))).toBe(roster)
  })

  it('reads what older spreadsheets save: names, quotation marks, dashes', () => {
    expect(textOf(bytesOf(roster))).toBe(roster)
    expect(textOf(bytesOf('Name\nJosé'))).toBe('Name\nJosé')
    // “ ” – € at 0x93, 0x94, 0x96, 0x80: not every decoder knows them
    const quoted = bytesOf('Ana \u0093Annie\u0094 Reyes,North\u0096East,5 \u0080')
    expect(encodingOf(quoted)).toBe('windows-1252')
    expect(textOf(quoted)).toBe('Ana “Annie” Reyes,North–East,5 €')
  })

  it('reads another alphabet by its frequencies', () => {
    const russian = [
      0xc8, 0xe2, 0xe0, 0xed, 0x20, 0xcf, 0xe5, 0xf2, 0xf0, 0xee, 0xe2, 0x0a, 0xcc, 0xe0, 0xf0, 0xe8, 0xff,
    ]
    expect(textOf(Uint8Array.from(russian))).toBe('Иван Петров\nМария')
  })

  it('puts lines of a calendar together that are folded within a letter', () => {
    const line = Buffer.from('SUMMARY:Fête de fin d’année')
    const within = line.indexOf(0xc3) + 1
    const folded = [...line.subarray(0, within), 0x0d, 0x0a, 0x20, ...line.subarray(within)]
    const bytes = Uint8Array.from([...Buffer.from('BEGIN:VCALENDAR\r\n'), ...folded])
    expect(textOf(bytes)).toBe('BEGIN:VCALENDAR\r\nSUMMARY:Fête de fin d’année')
  })

  it('leaves binary files binary, so that the reading refuses them', () => {
    expect(textOf(Uint8Array.from([0x50, 0x4b, 3, 4, 0, 0, 0, 1, 2]))).toContain('\u0000')
  })
})
