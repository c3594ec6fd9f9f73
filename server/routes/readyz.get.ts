import { defineEventHandler, setResponseHeader, setResponseStatus } from 'h3'
import { SCHEMA_VERSION, versionOfSchema } from '../records/schema'
import { asRefusal } from '../utils/refusal'
import { requestIdOf } from '../utils/requestId'

/** Ready for work: the database answers and stands at the version this server wants. */
export default defineEventHandler(async (event) => {
  setResponseHeader(event, 'cache-control', 'no-store')
  try {
    const schema = await versionOfSchema()
    if (schema === SCHEMA_VERSION) return { ready: true, schema }
    setResponseStatus(event, 503)
    return { ready: false, schema, wanted: SCHEMA_VERSION }
  } catch (error) {
    setResponseStatus(event, 503)
    return { ready: false, reason: asRefusal(error, requestIdOf(event)).code, wanted: SCHEMA_VERSION }
  }
})
