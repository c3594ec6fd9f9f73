import { fileURLToPath } from 'node:url'
import { apiRoutes } from '../../bin/lib/apiRoutes'

/** The routes of the server, for tests that run its handlers without Nitro. */
export const ROUTES = apiRoutes(fileURLToPath(new URL('../api', import.meta.url)))
