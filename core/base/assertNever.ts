/** Closes a switch over a closed union; reaching it at run time is a defect. */
export function assertNever(value: never): never {
  throw new Error(`Unexpected value: ${JSON.stringify(value)}`)
}
