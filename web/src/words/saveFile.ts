/** Hands a text to the browser to be saved as a file. */
export function saveFile(name: string, type: string, text: string): void {
  saveBlob(name, new Blob(['\ufeff', text], { type: `${type};charset=utf-8` }));
}

/** Hands what was made here to the browser to be saved as a file. */
export function saveBlob(name: string, blob: Blob): void {
  const url = URL.createObjectURL(blob);
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  URL.revokeObjectURL(url);
}
