import { defineEventHandler } from 'h3'

/** This process answers; it says nothing of the database. */
export default defineEventHandler(() => ({ ok: true }))
