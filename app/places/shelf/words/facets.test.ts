import { describe, expect, it } from 'vitest'
import { asId } from '#core/base'
import type { ResourceId } from '#core/base'
import { FACETS, RESOURCE_KINDS, RESOURCE_ROLES, SOURCES, facetCounts } from '#core/library'
import type { PieceFacts } from '#core/library'
import { sayValue } from './facets'

describe('values that narrow a search', () => {
  it('all have words, none of them its name in the code', () => {
    const plain: PieceFacts = {
      id: asId<ResourceId>('p'),
      kind: 'check',
      role: 'core',
      grade: 8,
      minutes: 10,
      source: 'own',
      language: 'en',
      readingLevel: null,
      title: '',
      rank: 0,
      hasVersions: false,
    }
    const all = [
      ...RESOURCE_KINDS.map((kind) => ({ ...plain, kind })),
      ...RESOURCE_ROLES.map((role) => ({ ...plain, role })),
      ...SOURCES.map((source) => ({ ...plain, source })),
      ...[10, 20, 40, 90].map((minutes) => ({ ...plain, minutes })),
    ]
    const counts = facetCounts(all, {})
    for (const facet of FACETS)
      for (const { value } of counts[facet]) {
        const words = sayValue(facet, value)
        expect(words, `${facet} ${value}`).toMatch(/^[A-Za-z0-9 -]+$/)
        if (facet === 'length' || facet === 'scoring' || facet === 'versions') expect(words).not.toBe(value)
      }
  })
})
