export function browser(): Promise<string | undefined>
