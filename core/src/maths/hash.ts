/** A short mark of a text, eight hexadecimal digits: equal texts have equal marks (FNV-1a, 32 bits). Not for secrets. */
export function hashOf(text: string): string {
  let hash = 0x811c9dc5;
  for (let i = 0; i < text.length; i++) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193);
  return (hash >>> 0).toString(16).padStart(8, "0");
}
