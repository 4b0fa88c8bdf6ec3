import { test as base } from '@playwright/test'
import { addressOf, cutterPortOf, type Kind } from './gimbos'

export { expect, type Locator, type Page } from '@playwright/test'

/** Every worker goes through Gimbos of its own: what one journey says is usual, or lays in a drawer, no other meets. */
export const test = base.extend<{ kind: Kind; cutterPort: number }>({
  kind: ['journeys', { option: true }],
  baseURL: async ({ kind }, give, { parallelIndex }) => give(addressOf(kind, parallelIndex)),
  cutterPort: async ({ kind }, give, { parallelIndex }) => give(cutterPortOf(kind, parallelIndex)),
})
