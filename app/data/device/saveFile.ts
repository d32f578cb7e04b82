/** Characters that some device does not take in a file's name. */
const NOT_IN_NAMES = /[\\/:*?"<>|\p{Cc}]+/gu;

/** Hands a text to the device as a file. */
export function saveFile(name: string, type: string, text: string): void {
  saveBlob(name, new Blob([text], { type: `${type};charset=utf-8` }));
}

/** Hands something to the device as a file, as a link to one would. */
export function saveBlob(name: string, content: Blob): void {
  const address = URL.createObjectURL(content);
  const link = document.createElement("a");
  link.href = address;
  link.download = name.replace(NOT_IN_NAMES, " ").trim();
  document.body.append(link);
  link.click();
  link.remove();
  // Once the device has taken it.
  setTimeout(() => URL.revokeObjectURL(address), 60_000);
}
