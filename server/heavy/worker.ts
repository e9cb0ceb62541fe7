import { doHeavy } from '#usecases/ground/heavy'

/** Runs in a thread of its own; built into a file beside the server. */
export default doHeavy
