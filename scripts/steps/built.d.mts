export function built(): Promise<void>
