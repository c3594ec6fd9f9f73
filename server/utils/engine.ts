import { useRuntimeConfig } from '#imports'

/** The build that computes here: what another one worked out is worked out again. */
export const engine = (): string => String(useRuntimeConfig().app.buildId)
