/** Hands a text, or what was made of it, to whoever reads as a file of their own. */
export function saveFile(content: string | Blob, name: string, type = ''): void {
  const link = document.createElement('a')
  link.href = URL.createObjectURL(content instanceof Blob ? content : new Blob([content], { type }))
  link.download = name
  link.click()
  setTimeout(() => URL.revokeObjectURL(link.href), 10_000)
}
