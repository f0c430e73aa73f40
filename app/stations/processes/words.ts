/** Sentences of Processes, page by page. */
export const texts = {
  // ProcessesPage
  moreSubstances: ({ count }: { count: number }) => `and ${count} more: type part of the name`,

  // process.draft
  enterNameSoThatYou: 'Enter a name so that you can find it later.',
}
