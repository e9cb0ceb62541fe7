declare const __STEP_CAIRN_VERSION__: string

/** The version that was built. */
export const VERSION: string = __STEP_CAIRN_VERSION__
