import { readFile } from 'node:fs/promises'
import { extractText } from 'unpdf'

/** The text of a PDF as another program reads it. */
export async function pdfText(path: string): Promise<string> {
  const { text } = await extractText(new Uint8Array(await readFile(path)), { mergePages: true })
  return text
}
