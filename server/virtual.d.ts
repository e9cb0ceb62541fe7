/** Paths of the app's pages, as the build found them. */
declare module 'virtual:page-paths' {
  export const PAGES: readonly string[]
}
