/// <reference path="../api-routes.d.ts" />
import { defineEventHandler, setResponseHeader, setResponseStatus } from 'h3'
import type { ApiError } from '#contract/context'
import { ROUTES } from '#api-routes'

const known = ROUTES.map(({ method, path }) => ({ method, fits: new RegExp(`^${path.replace(/:\w+/g, '[^/]+')}$`) }))

/** What no other route takes: a path that is none, or a method that its path does not know. Never the page. */
export default defineEventHandler((event): ApiError => {
  const path = event.path.split('?')[0]!
  const allowed = known.filter(({ fits }) => fits.test(path)).map(({ method }) => method.toUpperCase())
  setResponseHeader(event, 'cache-control', 'no-store')
  setResponseStatus(event, allowed.length ? 405 : 404)
  if (allowed.length) setResponseHeader(event, 'allow', [...new Set(allowed)].sort().join(', '))
  return { error: allowed.length ? { code: 'method', message: `This address takes ${allowed.join(', ')} only.` } : { code: 'not_found', message: 'There is nothing under this address.' } }
})
