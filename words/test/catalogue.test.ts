import { execFileSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { parse as parseMessage, TYPE, type MessageFormatElement } from '@formatjs/icu-messageformat-parser'
import ts from 'typescript'
import { expect, test } from 'vitest'
import british from '../en-GB.json' with { type: 'json' }
import catalogue from '../en-US'
import spanish from '../es.json' with { type: 'json' }
import { TAGS } from '../teller'

const flat = (rooms: Record<string, Record<string, string>>): Record<string, string> =>
  Object.fromEntries(
    Object.entries(rooms).flatMap(([room, messages]) =>
      Object.entries(messages).map(([name, text]) => [`${room}.${name}`, text]),
    ),
  )
const american = flat(catalogue)
const differences: Record<string, string> = british

/** Values that a message wants, by name. */
function valuesOf(elements: readonly MessageFormatElement[], found = new Set<string>()): Set<string> {
  for (const element of elements) {
    if ('options' in element) for (const { value } of Object.values(element.options)) valuesOf(value, found)
    // Text, the number sign of a plural and a figure in the message itself want no value.
    const wanted = ![TYPE.literal, TYPE.pound, TYPE.tag].includes(element.type)
    if (wanted && 'value' in element && element.value !== 'units') found.add(element.value)
  }
  return found
}
const wants = (text: string): string[] => [...valuesOf(parseMessage(text))].sort()

const FILES = execFileSync('git', ['ls-files', '-co', '--exclude-standard', 'app', 'core', 'contract', 'server', 'words'], {
  encoding: 'utf8',
})
  .split('\n')
  .filter((path) => /\.(ts|vue)$/.test(path) && !/\.test\.ts$|\/test\//.test(path))
  .map((path) => ({ path, text: readFileSync(path, 'utf8') }))

/** The call that begins at an index, to the bracket that closes it. */
function callAt(text: string, from: number): string {
  let depth = 0
  for (let at = text.indexOf('(', from); at < text.length; at++) {
    if (text[at] === '(') depth++
    else if (text[at] === ')' && --depth === 0) return text.slice(from, at + 1)
  }
  throw new Error(`No end of ${text.slice(from, from + 80)}`)
}

/** Each telling of a message by a name that is written out, with the names of the values it gives. */
function* tellings(): Generator<{ at: string; key: string; gives: string[] }> {
  for (const { path, text } of FILES)
    for (const match of text.matchAll(/\b(?:t|told|say)\(\s*'(\w+\.\w+)'/g)) {
      const source = ts.createSourceFile('call.ts', callAt(text, match.index), ts.ScriptTarget.Latest, true)
      const call = (source.statements[0] as ts.ExpressionStatement).expression as ts.CallExpression
      const [, values] = call.arguments
      if (values && !ts.isObjectLiteralExpression(values)) continue
      const gives = values?.properties.flatMap((property) => property.name?.getText() ?? []) ?? []
      yield { at: `${path}: ${match[1]}`, key: match[1]!, gives: gives.sort() }
    }
}

test('every message is told with the values it wants and no others', () => {
  const all = [...tellings()]
  expect(all.length).toBeGreaterThan(1000)
  for (const { at, key, gives } of all) expect([at, gives]).toEqual([at, wants(american[key] ?? `no message ${key}`)])
})

// Found: a figure of a kind that no teller knew took the whole view down.
test('every figure that stands in a message is of a kind that is known', () => {
  const tags = [american, differences].flatMap((messages) =>
    Object.entries(messages).flatMap(([key, text]) => [...text.matchAll(/<([a-z0-9-]+)>/g)].map(([, tag]) => [key, tag!] as const)),
  )
  expect(tags.length).toBeGreaterThan(50)
  expect(tags.filter(([, tag]) => !(tag in TAGS))).toEqual([])
})

/** Rooms whose messages are told by a code: whatever follows is one of a set that is typed. */
const BY_CODE = [/^plan\.(sun|cover|levels|water)$/, /^grass\.[A-Z]{2,4}$/]

test('no message is kept that nobody tells', () => {
  const said = FILES.map(({ text }) => text).join('\n')
  const idle = Object.keys(american).filter((key) => !said.includes(`'${key}'`) && !BY_CODE.some((code) => code.test(key)))
  expect(idle).toEqual([])
})

test('British English differs only in messages there are, in what it says, and in no value', () => {
  for (const [key, text] of Object.entries(differences)) {
    expect([key, text !== american[key] && american[key] !== undefined]).toEqual([key, true])
    expect([key, wants(text)]).toEqual([key, wants(american[key]!)])
  }
})

test('the watering sheet is whole in Spanish, wants the same values, and nothing else is told in it', () => {
  // What the sheet and its calendar say beside names of the firm's own: their messages, days, and how often and how long.
  const sheet = Object.keys(american).filter(
    (key) =>
      (/^water\.(sheet|ics)[A-Z]/.test(key) && key !== 'water.sheetInSpanish') ||
      /^water\.(minutesOf|cycleSoak|nobody|weekly|everyDays?)$/.test(key) ||
      key.startsWith('days.'),
  )
  expect(Object.keys(spanish).sort()).toEqual(sheet.sort())
  for (const [key, text] of Object.entries<string>(spanish))
    expect([key, wants(text)]).toEqual([key, wants(american[key]!)])
})
