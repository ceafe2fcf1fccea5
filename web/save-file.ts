/** Hands the operator a file: the browser's own download, nothing leaves the machine. */
export const save = (name: string, content: BlobPart, type: string): void => {
  const url = URL.createObjectURL(new Blob([content], { type }))
  const link = document.createElement('a')
  link.href = url
  link.download = name
  link.click()
  setTimeout(() => URL.revokeObjectURL(url), 1000)
}
