import type { Plugin } from 'vite'

export function iconsInUse(folder: string): Plugin
