/** Hands a file to the browser to be saved. */
export function saveFile(name: string, type: string, text: string): void {
  const url = URL.createObjectURL(new Blob(['\ufeff', text], { type: `${type};charset=utf-8` }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  URL.revokeObjectURL(url);
}
