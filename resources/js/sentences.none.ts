/** Until the sentences a file carries are read. */
export default {} as Record<string, string>
