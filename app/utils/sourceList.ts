/** A source that the core leans on. */
export interface ListedSource {
  name: string
  about: string
}

/** Entries of docs/sources.md: "- **name**: about, over as many lines as it takes". */
export function sourcesIn(markdown: string): ListedSource[] {
  return markdown.split(/\n(?=- \*\*)/).flatMap((entry) => {
    const found = /^- \*\*(.+?)\*\*: ([\s\S]+?)(?:\n\n|$)/.exec(entry)
    return found ? [{ name: found[1]!, about: found[2]!.replace(/\s+/g, ' ').trim() }] : []
  })
}
