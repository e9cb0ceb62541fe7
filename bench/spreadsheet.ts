import { HyperFormula } from 'hyperformula'

/**
 * The chain a teacher would build in a spreadsheet: each lesson starts the school day after the one before,
 * closures in a list.
 */
export function spreadsheet(
  classes: number,
  lessons: number,
): { readonly buildMs: number; readonly oneMoreClosureMs: number } {
  const first = 46_265 // 31 Aug 2026 as a serial date
  const holidays: (number | string)[][] = Array.from({ length: 20 }, (_, i) => [
    i < 10 ? first + 20 + i * 15 : '',
  ])
  const plan: (number | string)[][] = Array.from({ length: lessons }, (_, row) =>
    Array.from({ length: classes }, (__, c) => {
      const column = String.fromCharCode(65 + c)
      return row === 0 ? first : `=WORKDAY.INTL(${column}${row},1,1,Closures!$A$1:$A$20)`
    }),
  )
  const start = performance.now()
  const sheet = HyperFormula.buildFromSheets(
    { Plan: plan, Closures: holidays },
    { licenseKey: 'gpl-v3', leapYear1900: false },
  )
  const buildMs = performance.now() - start
  const closures = sheet.getSheetId('Closures') as number
  const times: number[] = []
  for (let i = 0; i < 5; i++) {
    const from = performance.now()
    sheet.setCellContents({ sheet: closures, row: 10 + i, col: 0 }, [[first + 3 + i]])
    times.push(performance.now() - from)
  }
  sheet.destroy()
  return { buildMs, oneMoreClosureMs: times.sort((a, b) => a - b)[2] as number }
}
