declare module '@joplin/turndown-plugin-gfm' {
  import type TurndownService from 'turndown'

  /** Tables with pipes, as every reader of Markdown knows them. */
  export const tables: TurndownService.Plugin
}
