import type { Step } from '#contract/context'
import { t } from './words'

/** How far a file is: on its way, or in the server's hands. */
export interface FileProgress {
  doing: string
  /** 0-1; null where nobody can tell. */
  share: number | null
}

interface How {
  progress: (told: FileProgress) => void
  signal: AbortSignal
}

/** Carries an answer of the server that is a refusal, as `$fetch` does. */
class Refused extends Error {
  constructor(
    readonly status: number,
    readonly data: unknown,
  ) {
    super(t('shell.theServerRefusedWith', { status }))
  }
}
/** Cancelled by whoever sent it. */
export class Cancelled extends Error {}

const parsed = (text: string): unknown => {
  try {
    return JSON.parse(text)
  } catch {
    return undefined
  }
}

/**
 * Sends a file and follows it: how much has gone up, and what the server says of its work, a line for each step.
 * @throws Cancelled, or an error that `problemOf` puts into words
 */
export function sendFile<T>(path: string, file: Blob, { progress, signal }: How): Promise<T> {
  return new Promise<T>((done, failed) => {
    const request = new XMLHttpRequest()
    let last: Step | undefined
    let read = 0
    const readLines = () => {
      const text = request.responseText
      for (let end = text.indexOf('\n', read); end >= 0; read = end + 1, end = text.indexOf('\n', read)) {
        last = parsed(text.slice(read, end)) as Step | undefined
        if (last && 'doing' in last) progress(last)
      }
    }
    request.open('POST', path)
    request.setRequestHeader('content-type', 'text/csv')
    request.setRequestHeader('accept', 'application/x-ndjson, application/json')
    request.upload.onprogress = ({ loaded, total, lengthComputable }) => {
      progress({ doing: t('shell.sendingTheFile'), share: lengthComputable ? loaded / total : null })
    }
    request.onprogress = () => {
      if (request.status === 200) readLines()
    }
    request.onload = () => {
      if (request.status === 200) readLines()
      const end =
        request.status === 200 && last && 'status' in last
          ? last
          : { status: request.status, body: parsed(request.responseText) }
      if (end.status === 200 && last) done(end.body as T)
      else failed(new Refused(end.status, end.body))
    }
    request.onerror = () => {
      failed(new Error(t('shell.theServerDoesNotAnswer')))
    }
    request.onabort = () => {
      failed(new Cancelled())
    }
    signal.addEventListener(
      'abort',
      () => {
        request.abort()
      },
      { once: true },
    )
    request.send(file)
  })
}
