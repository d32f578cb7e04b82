/** What the press says that takes a file. @example takeWords(3, 1, "start") // "Make 3, change 1 starts" */
export function takeWords(made: number, changed: number, noun: string): string {
  if (made + changed === 0) return "Nothing to change";
  const said = [made > 0 ? `make ${made}` : "", changed > 0 ? `change ${changed}` : ""]
    .filter(Boolean)
    .join(", ");
  return `${said.charAt(0).toUpperCase()}${said.slice(1)} ${noun}${made + changed === 1 ? "" : "s"}`;
}
