/** Gives the browser a table as a CSV file to keep. */
export async function downloadCells(name: string, rows: readonly (readonly string[])[]): Promise<void> {
  const { printCells } = await import('#core/formats')
  const link = document.createElement('a')
  link.href = URL.createObjectURL(new Blob([printCells(rows)], { type: 'text/csv;charset=utf-8' }))
  link.download = name
  link.click()
  URL.revokeObjectURL(link.href)
}
