import { errorOf, Refusal } from '../utils/refusal'
import { say } from '#core/explain/message'
/// <reference path="../api-routes.d.ts" />
import { defineEventHandler, setResponseHeader, setResponseStatus } from 'h3'
import type { ApiError } from '#contract/context'
import { ROUTES } from '#api-routes'

const known = ROUTES.map(({ method, path }) => ({
  method: method.toUpperCase(),
  fits: new RegExp(`^${path.replace(/:\w+/g, '[^/]+')}$`),
}))

/** Under /api there is what there is: an unknown path or method is told as such, and never answered with the page. */
export default defineEventHandler((event): ApiError | undefined => {
  const path = event.path.split('?')[0]!
  if (!/^\/api(\/|$)/.test(path)) return undefined
  const allowed = known.filter(({ fits }) => fits.test(path)).map(({ method }) => method)
  if (allowed.includes(event.method)) return undefined
  setResponseHeader(event, 'cache-control', 'no-store')
  setResponseStatus(event, allowed.length ? 405 : 404)
  if (allowed.length) setResponseHeader(event, 'allow', allowed.sort().join(', '))
  return errorOf(
    allowed.length
      ? new Refusal(405, 'method', say('server.thisAddressTakesOnly', { allowed: allowed.join(', ') }))
      : new Refusal(404, 'not_found', say('server.thereIsNothingUnder')),
  )
})
