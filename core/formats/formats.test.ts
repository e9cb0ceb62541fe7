import { describe, expect, it } from 'vitest'
import { parseCells } from './csv'
import { parseOutline } from './outline'
import { parseRoster } from './roster'

describe('parseCells', () => {
  it('reads commas, semicolons, tabs and bars alike', () => {
    for (const mark of [',', ';', '\t', '|'])
      expect(parseCells(`a${mark}b\nc${mark}d`).value?.map((r) => r.cells)).toEqual([
        ['a', 'b'],
        ['c', 'd'],
      ])
  })

  it('reads RFC 4180 quotes, line breaks within them, and counts lines of the file', () => {
    expect(parseCells('"Reyes, Ana",x\r\n\r\n"two\nlines",y\r\nz,"say ""hi"""').value).toEqual([
      { line: 1, cells: ['Reyes, Ana', 'x'] },
      { line: 3, cells: ['two\nlines', 'y'] },
      { line: 5, cells: ['z', 'say "hi"'] },
    ])
  })

  it('drops a byte order mark and blank lines', () => {
    expect(parseCells('\uFEFFa,b\n\n , \nc,d').value?.map((r) => r.line)).toEqual([1, 4])
  })

  it('finds the separator behind blank first lines, and takes the one that is named', () => {
    expect(parseCells('\n  \na;b\nc;d').value).toEqual([
      { line: 3, cells: ['a', 'b'] },
      { line: 4, cells: ['c', 'd'] },
    ])
    expect(parseCells('sep=;\r\na,b;c\r\nd;e').value).toEqual([
      { line: 2, cells: ['a,b', 'c'] },
      { line: 3, cells: ['d', 'e'] },
    ])
    expect(parseCells('\uFEFFsep=|\na|b').value).toEqual([{ line: 2, cells: ['a', 'b'] }])
  })

  it('refuses names that lost letters, and says in which line', () => {
    expect(parseRoster('Name\nAna Reyes\nZo\uFFFD N\uFFFDez').error).toEqual({
      code: 'formats/lost-letters',
      field: 'text',
      line: 3,
    })
  })

  it('refuses nothing, binary files, open quotes and 5,001 rows', () => {
    expect(parseCells('  \n').error?.code).toBe('formats/empty')
    expect(parseCells('PK\u0003\u0000x').error?.code).toBe('formats/not-text')
    expect(parseCells('a,b\n"open,c').error).toMatchObject({ code: 'formats/broken-quotes', line: 2 })
    expect(parseCells('x\n'.repeat(5001)).error).toMatchObject({ code: 'formats/too-many-rows', count: 5001 })
  })
})

describe('parseRoster', () => {
  it('reads plain names, one a line', () => {
    expect(parseRoster('Noa Castellanos\nEmeka Brandt').value?.entries.map((e) => e.name)).toEqual([
      'Noa Castellanos',
      'Emeka Brandt',
    ])
  })

  it('reads headed columns in any order, given and family names, groups', () => {
    const got = parseRoster('Family name,First name,Username,Groups\nBrandt,Emeka,EMEKA,Window;Lab leads')
    expect(got.value?.entries).toEqual([
      {
        line: 2,
        name: 'Emeka Brandt',
        signIn: 'emeka',
        groups: ['Window', 'Lab leads'],
        grade: null,
        className: null,
      },
    ])
  })

  it('reads grades, and names what is none', () => {
    const got = parseRoster('name,grade\nAda,8\nBo,\nCy,eight\nDi,14\nEd, 7 ')
    expect(got.value?.entries.map((e) => [e.name, e.grade])).toEqual([
      ['Ada', 8],
      ['Bo', null],
      ['Ed', 7],
    ])
    expect(got.value?.bad).toEqual([
      { line: 4, fault: 'bad-grade', text: 'eight' },
      { line: 5, fault: 'bad-grade', text: '14' },
    ])
  })

  it('lists every bad row with its line and fault, and keeps the good ones', () => {
    const got = parseRoster(
      [
        'name,sign-in',
        'Ada Lark,ada',
        ',bob',
        'ada lark,ada2',
        'Ada Lark,',
        'Cy Moor,c y',
        'Di Nell,ada',
        'Eve Ost,eve',
        'x'.repeat(81),
      ].join('\n'),
    )
    expect(got.value?.entries.map((e) => e.name)).toEqual(['Ada Lark', 'ada lark', 'Eve Ost'])
    expect(got.value?.bad.map((b) => [b.line, b.fault])).toEqual([
      [3, 'no-name'],
      // two people of one name have a sign-in each
      [5, 'same-twice'],
      [6, 'bad-sign-in'],
      [7, 'sign-in-twice'],
      [9, 'name-too-long'],
    ])
  })
})

describe('parseOutline', () => {
  it('repeats the unit above, takes one meeting where none is given, and halves', () => {
    const got = parseOutline('Unit,Lesson,Meetings\nWaves,Pulses,1.5\n,Speed,\nSound,Pitch,2')
    expect(got.value?.lessons.map((l) => [l.unit, l.title, l.length.typical])).toEqual([
      ['Waves', 'Pulses', 1.5],
      ['Waves', 'Speed', 1],
      ['Sound', 'Pitch', 2],
    ])
  })

  it('reads an outline without headings, whatever its words', () => {
    const rows = (text: string) =>
      parseOutline(text).value?.lessons.map((l) => [l.unit, l.title, l.length.typical])
    expect(rows('Measurement,Length,2\nMeasurement,Area,1')).toEqual([
      ['Measurement', 'Length', 2],
      ['Measurement', 'Area', 1],
    ])
    expect(rows('\n\nWaves,Pulses,1\n,Speed,2')).toEqual([
      ['Waves', 'Pulses', 1],
      ['Waves', 'Speed', 2],
    ])
    // lessons alone are one unit
    expect(rows('Pulses\nSpeed')).toEqual([
      ['1', 'Pulses', 1],
      ['1', 'Speed', 1],
    ])
    expect(rows('Pulses,2\nSpeed,')).toEqual([
      ['1', 'Pulses', 2],
      ['1', 'Speed', 1],
    ])
    expect(rows('Lesson,Meetings\nPulses,2')).toEqual([['1', 'Pulses', 2]])
  })

  it('lists rows without unit, without lesson, and with lengths that are none', () => {
    const got = parseOutline(
      ',Lost,1\nWaves,,1\nWaves,A,0.7\nWaves,B,41\nWaves,C,soon\nWaves,D,3 min\nWaves,E,2',
    )
    expect(got.value?.lessons.map((l) => l.title)).toEqual(['E'])
    expect(got.value?.bad.map((b) => [b.line, b.fault])).toEqual([
      [1, 'no-unit'],
      [2, 'no-lesson'],
      [3, 'not-meetings'],
      [4, 'not-meetings'],
      [5, 'not-meetings'],
      [6, 'not-minutes'],
    ])
  })
})

describe('a table of a normal office', () => {
  it('has a school above its headings, German ones, family names first, and a sum below', () => {
    const text = [
      'Schule am Berg;;;',
      'Klassenliste 2026/27;;Stand: 1.12.2026;',
      '',
      'Nr.;Name;Vorname;Klasse;Klassenstufe',
      '1;Ölmann;Zoë;8b;8.',
      '2;Groß;Jürgen;8b;8. Klasse',
      'Summe;2;;;',
    ].join('\n')
    const got = parseRoster(text).value
    expect(got?.entries.map((e) => [e.name, e.className, e.grade])).toEqual([
      ['Zoë Ölmann', '8b', 8],
      ['Jürgen Groß', '8b', 8],
    ])
    expect(got?.bad).toEqual([])
    expect(got?.table.left).toEqual([
      { line: 1, why: 'above-headings', text: 'Schule am Berg' },
      { line: 2, why: 'above-headings', text: 'Klassenliste 2026/27, Stand: 1.12.2026' },
      { line: 7, why: 'total', text: 'Summe, 2' },
    ])
    expect(got?.table.head).toEqual(['Nr.', 'Name', 'Vorname', 'Klasse', 'Klassenstufe'])
    expect(got?.table.at).toEqual({ name: 1, given: 2, grade: 4, className: 3 })
  })

  it('names people in French, and family name, given name in one column', () => {
    const names = (text: string) => parseRoster(text).value?.entries.map((e) => e.name)
    expect(names('NOM,Prénom,Classe\nDupont,Élodie,4e A')).toEqual(['Élodie Dupont'])
    expect(names('Learner\n"Reyes, Ana"\n"Smith, Bo"\nCher')).toEqual(['Ana Reyes', 'Bo Smith', 'Cher'])
    expect(names('Name\n"Ann Smith, Jr."\nBo Lee\nCy Moor')).toEqual(['Ann Smith, Jr.', 'Bo Lee', 'Cy Moor'])
  })

  it('is read by what somebody says its columns are, and heads nobody', () => {
    const text = 'Code,Wer,Platz\n1,Ann Ash,3\n2,Bo Birch,4'
    // a number is nobody's name; the rows show that it was taken otherwise than meant
    expect(parseRoster(text).value?.bad.map((b) => [b.line, b.fault])).toEqual([
      [2, 'no-name'],
      [3, 'no-name'],
    ])
    expect(parseRoster('Gruppe,Benutzername\nA,ann').value?.entries).toEqual([])
    const got = parseRoster(text, { name: 1, headed: 1 }).value
    expect(got?.entries.map((e) => e.name)).toEqual(['Ann Ash', 'Bo Birch'])
    expect(got?.table.head).toEqual(['Code', 'Wer', 'Platz'])
  })

  it('has lessons about sums, and a word of a heading as a lesson', () => {
    const titles = (text: string) => parseOutline(text).value?.lessons.map((l) => l.title)
    expect(titles('Unit,Lessons,Days\nNumbers,Sum,2\n,Average,1\n,Count,1\nTotal,4,')).toEqual([
      'Sum',
      'Average',
      'Count',
    ])
    expect(titles('Lesson,Meetings\nSum,2\nAverage,1\nSum,3')).toEqual(['Sum', 'Average'])
    expect(titles('Pulses\nTitle\nSpeed')).toEqual(['Pulses', 'Title', 'Speed'])
  })

  it('outlines with units on a line of their own, minutes, weights and sums', () => {
    const text = [
      'Thema;Lektion;Dauer;Gewicht',
      'Waves;;;',
      ';Pulses;45 min;',
      ';Speed;1,5;optional',
      'Sound;;;',
      ';Pitch;90 Minuten;useful',
      'Total;3;;',
    ].join('\n')
    const got = parseOutline(text).value
    expect(got?.lessons.map((l) => [l.unit, l.title, l.length.unit, l.length.typical, l.weight])).toEqual([
      ['Waves', 'Pulses', 'minutes', 45, 'core'],
      ['Waves', 'Speed', 'meetings', 1.5, 'optional'],
      ['Sound', 'Pitch', 'minutes', 90, 'useful'],
    ])
    expect(got?.bad).toEqual([])
    expect(got?.table.left).toEqual([{ line: 7, why: 'total', text: 'Total, 3' }])
  })
})
