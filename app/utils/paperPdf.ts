import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces'
import { isRight, type Paper, type PaperBlock } from './paper'

/** Points: a page of letter or A4 with room to hold it. */
const MARGIN = 42
const BOX = 13
/** Two pictures side by side. */
const PICTURE_WIDTH = 245

const LINES = { hLineWidth: () => 0.7, vLineWidth: () => 0, paddingLeft: () => 0, paddingRight: () => 8 }
const BOXES = { hLineWidth: () => 0, vLineWidth: () => 0, paddingLeft: () => 1, paddingRight: () => 1 }
const box = (): Content => ({ canvas: [{ type: 'rect', x: 0, y: 2, w: BOX - 3, h: BOX - 3, lineWidth: 0.8 }] })

/** @param pictures whole pictures by their address, as data */
function contentOf(block: PaperBlock, pictures: ReadonlyMap<string, string>): Content {
  switch (block.kind) {
    case 'heading':
      return { text: block.text, style: 'heading' }
    case 'text':
      return { text: block.text, margin: [0, 0, 0, 6], ...(block.as ? { style: block.as } : {}) }
    case 'list':
      return { ul: block.items, margin: [0, 0, 0, 6] }
    case 'table': {
      const cell = (text: string, i: number, bold = false) => ({
        text,
        bold,
        alignment: isRight(block, i) ? ('right' as const) : ('left' as const),
      })
      return {
        table: {
          headerRows: 1,
          widths: block.head.map((_, i) => (i ? 'auto' : '*')),
          body: [
            block.head.map((text, i) => cell(text, i, true)),
            ...block.rows.map((row) => row.map((t, i) => cell(t, i))),
          ],
        },
        layout: LINES,
        margin: [0, 0, 0, 8],
      }
    }
    case 'boxes':
      return {
        table: {
          body: [
            ['', ...block.columns.map((text) => ({ text, style: 'small' }))],
            ...block.rows.map((text) => [{ text, style: 'small' }, ...block.columns.map(box)]),
          ],
        },
        layout: BOXES,
        margin: [0, 0, 0, 6],
      }
    case 'pictures':
      return {
        columns: block.pictures.flatMap(({ src, says }) => {
          const data = pictures.get(src)
          return data
            ? [
                {
                  width: PICTURE_WIDTH,
                  stack: [
                    { image: data, width: PICTURE_WIDTH },
                    { text: says, style: 'small' },
                  ],
                },
              ]
            : []
        }),
        columnGap: 12,
        margin: [0, 0, 0, 8],
      }
  }
}

/** What the maker of PDFs is given. */
export const pdfDefinition = (
  { title, blocks }: Paper,
  { pictures, letter }: { pictures: ReadonlyMap<string, string>; letter: boolean },
): TDocumentDefinitions => ({
  pageSize: letter ? 'LETTER' : 'A4',
  pageMargins: MARGIN,
  info: { title },
  defaultStyle: { fontSize: 10.5, lineHeight: 1.15 },
  styles: {
    title: { fontSize: 20, bold: true, margin: [0, 0, 0, 8] },
    heading: { fontSize: 13, bold: true, margin: [0, 8, 0, 4] },
    strong: { bold: true },
    small: { fontSize: 9 },
  },
  content: [{ text: title, style: 'title' }, ...blocks.map((block) => contentOf(block, pictures))],
})

async function dataOf(src: string): Promise<[string, string] | undefined> {
  const answer = await fetch(src)
  if (!answer.ok) return undefined
  const blob = await answer.blob()
  const reader = new FileReader()
  const data = await new Promise<string>((resolve, reject) => {
    reader.onload = () => resolve(String(reader.result))
    reader.onerror = () => reject(reader.error ?? new Error('No picture.'))
    reader.readAsDataURL(blob)
  })
  return [src, data]
}

/**
 * A page as PDF, made in the browser: text that can be read and searched. The maker and its font come when they are first asked for.
 * @throws Error where it cannot be made
 */
export async function paperPdf(paper: Paper, letter: boolean): Promise<Blob> {
  const [{ default: pdfMake }, { default: roboto }] = await Promise.all([
    import('pdfmake/build/pdfmake'),
    import('pdfmake/build/fonts/Roboto'),
  ])
  pdfMake.addFontContainer(roboto)
  const wanted = paper.blocks.flatMap((block) =>
    block.kind === 'pictures' ? block.pictures.map(({ src }) => src) : [],
  )
  const pictures = new Map((await Promise.all(wanted.map(dataOf))).filter((one) => one !== undefined))
  return pdfMake.createPdf(pdfDefinition(paper, { pictures, letter })).getBlob()
}
