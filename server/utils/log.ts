import pino from 'pino'

/**
 * One line of JSON an event, to standard output. Bodies, cookies, e-mail addresses and the secrets of links are never
 * handed to it; the list below is the second lock.
 */
export const log = pino({
  base: undefined,
  level: process.env.UPPER_SILL_LOG ?? 'info',
  timestamp: pino.stdTimeFunctions.isoTime,
  redact: ['password', 'current', 'secret', 'cookie', 'authorization', 'email', '*.password', '*.secret', '*.email'],
})
