import { inFirm, rowsOf } from './db'
import type { Author } from './firms'

export interface SecondFactor {
  /** Sealed; null where none was set up. */
  secret: string | null
  on: boolean
}

export async function secondFactorOf({ firmId, personId }: Author): Promise<SecondFactor> {
  const rows = await rowsOf<SecondFactor>(
    firmId,
    `select second_factor as secret, second_factor_on as on from people where firm_id = $1 and id = $2`,
    [firmId, personId],
  )
  return rows[0] ?? { secret: null, on: false }
}

/** Keeps a secret that still has to be confirmed. @returns false where one is in force already */
export async function proposeSecondFactor({ firmId, personId }: Author, sealed: string): Promise<boolean> {
  const { rowCount } = await inFirm(firmId, (client) =>
    client.query(`update people set second_factor = $3 where firm_id = $1 and id = $2 and not second_factor_on`, [
      firmId,
      personId,
      sealed,
    ]),
  )
  return rowCount === 1
}

/**
 * Puts a confirmed secret in force, with codes for the day the device is lost. @returns false where it is already, or
 * another was proposed meanwhile
 */
export async function turnSecondFactorOn(
  { firmId, personId }: Author,
  sealed: string,
  step: number,
  recoveryHashes: readonly Buffer[],
): Promise<boolean> {
  return inFirm(firmId, async (client) => {
    const { rowCount } = await client.query(
      `update people set second_factor_on = true, second_factor_step = $4
        where firm_id = $1 and id = $2 and second_factor = $3 and not second_factor_on`,
      [firmId, personId, sealed, step],
    )
    if (!rowCount) return false
    await client.query(`delete from recovery_codes where firm_id = $1 and person_id = $2`, [firmId, personId])
    await client.query(
      `insert into recovery_codes (firm_id, person_id, code_hash) select $1, $2, unnest($3::bytea[])`,
      [firmId, personId, recoveryHashes],
    )
    return true
  })
}

export async function turnSecondFactorOff({ firmId, personId }: Author): Promise<void> {
  await inFirm(firmId, async (client) => {
    await client.query(
      `update people set second_factor = null, second_factor_on = false, second_factor_step = null
        where firm_id = $1 and id = $2`,
      [firmId, personId],
    )
    await client.query(`delete from recovery_codes where firm_id = $1 and person_id = $2`, [firmId, personId])
  })
}

/** Uses the code of a half minute up. @returns false where that or a later one was used already */
export async function useStep({ firmId, personId }: Author, step: number): Promise<boolean> {
  const { rowCount } = await inFirm(firmId, (client) =>
    client.query(
      `update people set second_factor_step = $3
        where firm_id = $1 and id = $2 and second_factor_on and coalesce(second_factor_step, 0) < $3`,
      [firmId, personId, step],
    ),
  )
  return rowCount === 1
}

/** Uses a recovery code up. @returns how many are left; undefined where it is none of theirs */
export async function useRecoveryCode({ firmId, personId }: Author, hash: Buffer): Promise<number | undefined> {
  return inFirm(firmId, async (client) => {
    const { rowCount } = await client.query(
      `delete from recovery_codes where firm_id = $1 and person_id = $2 and code_hash = $3`,
      [firmId, personId, hash],
    )
    if (!rowCount) return undefined
    const { rows } = await client.query<{ left: number }>(
      `select count(*)::integer as left from recovery_codes where firm_id = $1 and person_id = $2`,
      [firmId, personId],
    )
    return rows[0]!.left
  })
}
