/** A page for a client, told once: drawn on the screen, on paper and as PDF. */
export type PaperBlock =
  | { kind: 'text'; text: string; as?: 'small' | 'strong' }
  | { kind: 'heading'; text: string }
  | { kind: 'list'; items: string[] }
  /** Numbers of columns that hold figures are set to the right. */
  | { kind: 'table'; name: string; head: string[]; rows: string[][]; right?: number[] }
  /** Boxes to be ticked with a pen: days across, times down. */
  | { kind: 'boxes'; columns: string[]; rows: string[] }
  | { kind: 'pictures'; pictures: { src: string; says: string }[] }

export interface Paper {
  title: string
  blocks: PaperBlock[]
}

/** Whether a column of a table is of figures. */
export const isRight = (block: Extract<PaperBlock, { kind: 'table' }>, column: number): boolean =>
  block.right?.includes(column) ?? false
