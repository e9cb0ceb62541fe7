/** What is wrong with a file in a package. */
export const DAMAGES = {
  encrypted: 'is encrypted',
  checksum: 'is damaged: it is not what its checksum says',
  length: 'is damaged: it is longer or shorter than it says',
} as const
