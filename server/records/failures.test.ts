import { describe, expect, test } from 'vitest'
import { z } from 'zod'
import { asRefusal } from '../utils/refusal'
import { Uncertain } from './db'
import { failureOf } from './failures'

const thrown = (code: string, message = 'x') => Object.assign(new Error(message), { code })

describe('a failure of the database', () => {
  // SQLSTATEs by name from the PostgreSQL documentation, appendix A.
  test.each([
    ['22021', 'character_not_in_repertoire', 422],
    ['22P02', 'invalid_text_representation', 422],
    ['22P05', 'untranslatable_character', 422],
    ['22003', 'numeric_value_out_of_range', 422],
    ['22008', 'datetime_field_overflow', 422],
    ['23514', 'check_violation', 422],
    ['23502', 'not_null_violation', 422],
    ['23503', 'foreign_key_violation', 422],
    ['23505', 'unique_violation', 409],
    ['23P01', 'exclusion_violation', 409],
    ['40P01', 'deadlock_detected', 503],
    ['40001', 'serialization_failure', 503],
    ['55P03', 'lock_not_available', 503],
    ['57014', 'query_canceled', 503],
    ['57P01', 'admin_shutdown', 503],
    ['53300', 'too_many_connections', 503],
    ['53100', 'disk_full', 507],
    ['58030', 'io_error', 507],
    ['08006', 'connection_failure', 503],
    ['42P01', 'undefined_table', 503],
    ['54001', 'statement_too_complex', 422],
    ['ECONNREFUSED', 'no server', 503],
    ['21000', 'cardinality_violation, which the contract leaves no way to', 500],
    ['42601', 'syntax_error, ours', 500],
    ['XX000', 'internal_error', 500],
    ['P0001', 'raise_exception', 500],
  ])('%s, %s, is told as %i', (code, _, status) => {
    expect(asRefusal(thrown(code), 'r').status).toBe(status)
  })

  test('without a code is known by its words', () => {
    for (const words of [
      'Client has encountered a connection error and is not queryable',
      'Connection terminated unexpectedly',
      'timeout exceeded when trying to connect',
    ])
      expect([words, failureOf(new Error(words))]).toEqual([words, 'unreachable'])
    expect(failureOf(new Error('Query read timeout'))).toBe('slow')
    expect([failureOf(new TypeError('x is not a function')), failureOf(undefined), failureOf('words')]).toEqual([
      undefined,
      undefined,
      undefined,
    ])
  })

  test('says what to do, and what is ours names its request and nothing else', () => {
    expect(asRefusal(new TypeError('secret detail'), 'request-7').message).toBe(
      'Something went wrong on the server, and nothing was saved. Its log has it under request-7.',
    )
    expect(asRefusal(new Uncertain('x'), 'r').code).toBe('uncertain')
    const many = z.array(z.string()).safeParse(Array(5000).fill(1))
    expect(Object.keys(asRefusal(many.error, 'r').fields!)).toHaveLength(60)
  })
})
