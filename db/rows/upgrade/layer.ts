import type { Upgrade } from '../body'

/** Before version 2 a version had one organiser at most. */
export const layerWithOrganisers: Upgrade = ({ organiser = null, ...rest }) => ({
  organisers: organiser === null ? [] : [organiser],
  ...rest,
})
