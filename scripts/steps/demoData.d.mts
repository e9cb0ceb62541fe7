export const DEMO_NOW: string
export function demoDatabase(file: string, options: { readonly fresh: boolean }): Promise<void>
