import { database } from './db'

/** The version this code is written for; a server on another one is not ready. */
export const SCHEMA_VERSION = 31

/** The version the schema stands at, read as the server reads. */
export async function versionOfSchema(): Promise<number> {
  const { rows } = await database().query<{ version: number }>(
    'select coalesce(max(version), 0)::integer as version from migrations',
  )
  return rows[0]!.version
}
