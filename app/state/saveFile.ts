/** Hands a file to the browser's downloads. */
export function saveFile(file: Blob, name: string): void {
  const link = document.createElement('a')
  link.href = URL.createObjectURL(file)
  link.download = name
  link.click()
  // A large file is still being written when the click returns.
  setTimeout(() => URL.revokeObjectURL(link.href), 60_000)
}
