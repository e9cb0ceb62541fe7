import { doHeavy } from '#usecases/heavy'

/** Runs in a thread of its own; built into a file beside the server. */
export default doHeavy
