/** Where a file carries the sentences it needs, there are no others to be fetched. */
export const languages: Record<string, () => Promise<{ default: Record<string, string> }>> = {}
