import { describe, expect, test } from 'vitest'
import { owner } from '../test/database'
import { useTwoFirms } from '../test/firms'
import { newSecret, secretHash } from '../utils/passwords'
import { atWork, type Author } from './firms'
import { addLink, changePerson, linkAtTheDoor, openLinks, peopleOf, revokeLink, useLink } from './people'
import { openSession } from './sessions'

const HERE = { device: 'Firefox on Linux', addressHash: 'here' }
let ours: Author
let theirs: Author
useTwoFirms((a, b) => {
  ;[ours, theirs] = [a, b]
})

describe('a link', () => {
  const joining = { name: 'Tam', email: 'tam@example.org' }

  test('lets in once: of two who open it together one joins', async () => {
    const hash = secretHash(newSecret())
    await addLink(ours, hash, { kind: 'invitation', role: 'technician' })
    const link = (await linkAtTheDoor(hash))!
    expect(link).toMatchObject({ kind: 'invitation', role: 'technician', firmName: 'Ours' })
    const used = await Promise.all(
      [joining, { ...joining, email: 'other@example.org' }].map((who) => useLink(link, 'hash', who)),
    )
    expect(used.filter((outcome) => outcome === 'used')).toHaveLength(1)
    expect(await linkAtTheDoor(hash)).toBeUndefined()
    expect(await peopleOf(ours.firmId)).toHaveLength(2)
  })

  test('still opens after an address that was taken', async () => {
    const hash = secretHash(newSecret())
    await addLink(ours, hash, { kind: 'invitation', role: 'owner' })
    const [taken] = await peopleOf(theirs.firmId)
    expect(await useLink((await linkAtTheDoor(hash))!, 'hash', { name: 'Tam', email: taken!.email })).toBe(
      'address taken',
    )
    expect(await useLink((await linkAtTheDoor(hash))!, 'hash', joining)).toMatchObject({ firmId: ours.firmId })
  })

  test('that resets replaces the one before, ends sessions, and cannot be made for another firm', async () => {
    const [first, second] = [secretHash(newSecret()), secretHash(newSecret())]
    await addLink(ours, first, { kind: 'reset', personId: ours.personId })
    await addLink(ours, second, { kind: 'reset', personId: ours.personId })
    expect(await linkAtTheDoor(first)).toBeUndefined()
    const before = await openSession(ours, HERE)
    expect(await useLink((await linkAtTheDoor(second))!, 'new hash')).toEqual(ours)
    expect(await atWork(before)).toBeUndefined()
    expect(await addLink(ours, secretHash(newSecret()), { kind: 'reset', personId: theirs.personId })).toBeUndefined()
  })

  test('dies with who made it and with who it is for, even used at the very moment they are let go', async () => {
    const [second] = await owner<{ id: string }>(
      `insert into people (firm_id, name, email, role) values ($1, 'Ida', 'ida@example.org', 'owner') returning id`,
      [ours.firmId],
    )
    const ida = { firmId: ours.firmId, personId: second!.id }
    const [takeover, invitation, forIda] = [secretHash(newSecret()), secretHash(newSecret()), secretHash(newSecret())]
    await addLink(ida, takeover, { kind: 'reset', personId: ours.personId })
    await addLink(ida, invitation, { kind: 'invitation', role: 'owner' })
    await addLink(ours, forIda, { kind: 'reset', personId: ida.personId })
    expect((await openLinks(ours.firmId)).map(({ madeBy, kind }) => [madeBy, kind])).toEqual(
      expect.arrayContaining([
        ['Ida', 'reset'],
        ['Ida', 'invitation'],
        ['Somebody of Ours', 'reset'],
      ]),
    )
    const opened = (await linkAtTheDoor(takeover))!
    await changePerson(ours.firmId, ida.personId, { role: 'owner', active: false })
    expect([
      await linkAtTheDoor(takeover),
      await linkAtTheDoor(invitation),
      await linkAtTheDoor(forIda),
      await openLinks(ours.firmId),
    ]).toEqual([undefined, undefined, undefined, []])
    expect(await useLink(opened, 'hash')).toBe('used')
    // Taken back, they find none of them alive; a technician's would not be either.
    await changePerson(ours.firmId, ida.personId, { role: 'technician', active: true })
    expect(await linkAtTheDoor(takeover)).toBeUndefined()
    expect(await addLink(ida, secretHash(newSecret()), { kind: 'invitation', role: 'owner' })).toBeUndefined()
  })

  test('is taken back by its firm and by no other', async () => {
    const hash = secretHash(newSecret())
    const made = (await addLink(ours, hash, { kind: 'invitation', role: 'technician' }))!
    expect(await revokeLink(theirs.firmId, made.id)).toBe(false)
    expect(await revokeLink(ours.firmId, made.id)).toBe(true)
    expect([await linkAtTheDoor(hash), await revokeLink(ours.firmId, made.id)]).toEqual([undefined, false])
  })

  test('is shut after its week', async () => {
    const hash = secretHash(newSecret())
    await addLink(ours, hash, { kind: 'invitation', role: 'technician' })
    const link = (await linkAtTheDoor(hash))!
    await owner(`update entry_links set expires_at = now() - interval '1 second'`)
    expect(await linkAtTheDoor(hash)).toBeUndefined()
    expect(await useLink(link, 'hash', joining)).toBe('used')
  })
})
