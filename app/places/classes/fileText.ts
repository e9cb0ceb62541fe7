/** Apart, so that what tells encodings is loaded when a file is chosen. */
export { textOfBytes } from '#core/formats'
