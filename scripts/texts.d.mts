/** Every text of a file that a user can read, with its line, in the order of the file. */
export function textsOf(path: string, source: string): { line: number; text: string }[]
